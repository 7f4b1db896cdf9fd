using Yuntak.Core.Findings;

namespace Yuntak.Core.Wants.Rules;

/// <summary>The rules about what is asked for, in the order of the book.</summary>
internal static class WantsRules
{
    /// <summary>The rules.</summary>
    public static readonly IReadOnlyList<IRule> All =
    [
        new MoreVcpuThanThreads(),
        new MachineOnlyService(),
        new NoDataFolder(),
        new WrongFamily(),
        new ProcessorsShort(),
        new PinnedCannotShrink(),
        new MemoryStarved(),
        new SystemDiskShort(),
        new PackagingNotOffered(),
        new MemoryGenerous(),
        new LatestTag(),
        new ScratchOnSpinning(),
        new AcceleratorBusy(),
        new EncoderOver(),
        new NoEncoder(),
        new PrivilegedContainer(),
        new HealthCheckShort(),
        new StreamsOverLink(),
        new ShrinkSaysNothing(),
    ];
}
