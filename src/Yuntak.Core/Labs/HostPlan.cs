using Yuntak.Core.Base;

namespace Yuntak.Core.Labs;

/// <summary>What is made of a host: nothing of it is read from the host's own tools.</summary>
/// <param name="Pools">How the disks are joined.</param>
/// <param name="Wires">Its bridges, and its own places on networks; null for none.</param>
public sealed record HostPlan(ValueList<Pool> Pools = default, HostWires? Wires = null)
{
    /// <summary>Nothing planned.</summary>
    public static readonly HostPlan None = new();
}
