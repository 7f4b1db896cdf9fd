using Yuntak.Core.Labs;

namespace Yuntak.Core.Devices;

/// <summary>An isolation group: what is in it is handed over together, or stays.</summary>
/// <param name="Group">Its number; null for a function whose group was not read.</param>
/// <param name="Functions">The functions in it, bridges included.</param>
/// <param name="NeededByHost">What in it the host itself cannot do without, and why.</param>
public sealed record DeviceTray(int? Group, IReadOnlyList<PciFunction> Functions, IReadOnlyList<HostNeed> NeededByHost)
{
    /// <summary>What moves when it is handed over: all but bridges, which stay with the host.</summary>
    public IEnumerable<PciFunction> Moves => Functions.Where(f => !IsBridge(f));

    /// <summary>Whether a function is a bridge (PCI base class 06).</summary>
    public static bool IsBridge(PciFunction function) => function.ClassCode.StartsWith("06", StringComparison.Ordinal);
}
