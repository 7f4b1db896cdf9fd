using Yuntak.Core.Findings;

namespace Yuntak.Core.Devices.Rules;

/// <summary>The rules about devices, in the order of the book.</summary>
internal static class DevicesRules
{
    /// <summary>The rules.</summary>
    public static readonly IReadOnlyList<IRule> All =
    [
        new HostNeedsDevice(),
        new ClaimedTwice(),
        new SharedAndWhole(),
        new DeviceTaken(),
        new SameUsbId(),
        new LayerMissing(),
        new GroupNotMapped(),
        new NotPossible(),
        new OnlyElsewhere(),
        new Headless(),
        new NoReset(),
        new OnHub(),
        new NodeWithoutDriver(),
        new GroupsSplit(),
        new TiedCannotMove(),
        new MemoryInBackup(),
        new NotThere(),
        new OpenClaims(),
    ];
}
