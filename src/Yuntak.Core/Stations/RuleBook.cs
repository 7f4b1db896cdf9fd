using Yuntak.Core.Bench.Rules;
using Yuntak.Core.Disks.Rules;
using Yuntak.Core.Findings;
using Yuntak.Core.Kit.Rules;
using Yuntak.Core.Wants.Rules;

namespace Yuntak.Core.Stations;

/// <summary>All rules, in one explicit list.</summary>
public static class RuleBook
{
    /// <summary>The rules, by station.</summary>
    public static readonly IReadOnlyList<IRule> Rules =
    [
        new VirtualisationOff(),
        new RouterNeedsTwoPorts(),
        new GuestsOnBootDisk(),
        new OldDisk(),
        new NoBatteryBackup(),
        new BootFromRemovable(),
        new IsolationOff(),
        new DiskFailing(),
        new DiskLosesSectors(),
        new DiskWorn(),
        new PoolLost(),
        new PoolDegraded(),
        new AddressChanges(),
        new StaysOff(),
        new TooHot(),
        new FirmwareOld(),
        new MoreVcpuThanThreads(),
        new MachineOnlyService(),
        new NoDataFolder(),
        new WrongFamily(),
        new MemoryStarved(),
        new MemoryGenerous(),
        new LatestTag(),
        new ScratchOnSpinning(),
        new AcceleratorBusy(),
        new EncoderOver(),
        new NoEncoder(),
        new PrivilegedContainer(),
        new HealthCheckShort(),
        new StreamsOverLink(),
        new ParityDiskSmall(),
        new KeyNotKept(),
        new FullSoon(),
        new FillsSoon(),
        new ThinParity(),
        new SizesLeftOver(),
        new MixedKinds(),
        new UsbInParity(),
        new NoScrub(),
        new ThinPromised(),
        new GuestDisksOnSpinning(),
        new NamesDiffer(),
        new GuestDisksOnParity(),
        new SameBatch(),
        new MemoryOver(),
        new MemoryTight(),
        new MemoryPromised(),
        new CoresOver(),
        new CoresTight(),
        new VcpuCrowded(),
        new PoolOver(),
        new PoolPastComfort(),
        new NoPoolForGuest(),
        new RouterWithTestGuests(),
        new NotPlaced(),
    ];

    /// <summary>Everything the rules notice in a lab, the worst first, otherwise in the order of the book.</summary>
    public static IReadOnlyList<Finding> Check(Assessment lab) =>
        [.. Rules.SelectMany(r => r.Check(lab)).OrderByDescending(f => f.Severity)];
}
