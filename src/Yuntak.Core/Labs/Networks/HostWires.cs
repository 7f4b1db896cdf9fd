using Yuntak.Core.Base;

namespace Yuntak.Core.Labs;

/// <summary>What is planned for a host on the networks. What was read of it stands beside this, among its facts.</summary>
/// <param name="Bridges">Its bridges.</param>
/// <param name="Interfaces">Its own places on networks.</param>
/// <param name="Listens">What it answers on itself, such as its own page.</param>
public sealed record HostWires(
    ValueList<PlannedBridge> Bridges = default,
    ValueList<Leg> Interfaces = default,
    ValueList<Listen> Listens = default
)
{
    /// <summary>Nothing planned.</summary>
    public static readonly HostWires None = new();
}
