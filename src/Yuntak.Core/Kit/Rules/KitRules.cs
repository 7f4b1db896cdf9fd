using Yuntak.Core.Findings;

namespace Yuntak.Core.Kit.Rules;

/// <summary>The rules about what is there, in the order of the book.</summary>
internal static class KitRules
{
    /// <summary>The rules.</summary>
    public static readonly IReadOnlyList<IRule> All =
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
    ];
}
