using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>A host's bridges, and its own places on networks, differ from what is planned. What was read to be so already is no work.</summary>
/// <param name="Of">The host's id.</param>
internal sealed record BridgeWork(HostId Of) : Work
{
    /// <inheritdoc/>
    public override string Key => $"wire-host/{Of}";

    /// <inheritdoc/>
    public override HostId? Host => Of;

    /// <summary>The hosts whose wiring is work.</summary>
    public static IEnumerable<Work> Find(Plan plan) =>
        plan.Draft.Hosts.Where(h => Acts(plan.AsBuilt.Host(h.Id), h).Count > 0).Select(h => new BridgeWork(h.Id));

    /// <inheritdoc/>
    public override string Title(Plan plan) => $"Wire {plan.NameOf(Of)}";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Runbooks.Phase.Wires;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan) => Acts(plan.AsBuilt.Host(Of), plan.Draft.Host(Of)!);

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) => [Condition.Stands(Of)];

    /// <inheritdoc/>
    public override IEnumerable<Condition> Gives(Plan plan) => [Condition.Wired(Of)];

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) => stands.WithHost(Of, h => h with { Wires = plan.Draft.Host(Of)!.Wires });

    /// <summary>What there is to do; nothing where what is planned was read to be so.</summary>
    /// <param name="before">The host as it stands; null while it does not.</param>
    /// <param name="after">The host as it is planned.</param>
    public static IReadOnlyList<Act> Acts(Host? before, Host after)
    {
        var was = before?.Wires ?? HostWires.None;
        List<Act> acts = [];
        foreach (var bridge in after.Wires.Bridges)
        {
            var old = was.Bridges.FirstOrDefault(b => b.Name == bridge.Name);
            if (old != bridge && !WasRead(after, bridge))
            {
                acts.Add(new MakeBridge(after.Id, bridge, old is not null || after.Hardware.Bridges.Any(b => b.Name == bridge.Name)));
            }
        }

        // A host that joins gets its address when it is made ready.
        acts.AddRange(
            after
                .Wires.Interfaces.Where(l => before is not null && !was.Interfaces.Contains(l) && !WasRead(after, l))
                .Select(l => new SetHostAddress(after.Id, l))
        );
        acts.AddRange(
            was.Bridges.Where(b => after.Wires.Bridges.All(k => k.Name != b.Name) && after.Hardware.Bridges.All(r => r.Name != b.Name))
                .Select(b => new RemoveBridge(after.Id, b.Name))
        );
        return acts;
    }

    /// <summary>The planned bridges that were read to be there as planned.</summary>
    public static IEnumerable<PlannedBridge> ReadAsPlanned(Host host) => host.Wires.Bridges.Where(b => WasRead(host, b));

    /// <summary>
    /// The bridges that stand, with all that no act is for: those read as planned are as planned, and those that are planned no more but were read are let be.
    /// </summary>
    public static ValueList<PlannedBridge> Known(Host stands, Host draft)
    {
        ValueList<PlannedBridge> read = [.. ReadAsPlanned(draft)];
        return
        [
            .. stands.Wires.Bridges.Where(b =>
                read.All(r => r.Name != b.Name)
                && (draft.Wires.Bridges.Any(d => d.Name == b.Name) || draft.Hardware.Bridges.All(r => r.Name != b.Name))
            ),
            .. read,
        ];
    }

    private static bool WasRead(Host host, PlannedBridge bridge) =>
        bridge is { Aware: false, Mtu: null or Network.UsualMtu }
        && host.Hardware.Bridges.Any(r =>
            r.Name == bridge.Name && (bridge.Port is null ? r.Ports.Count == 0 : r.Ports.Contains(bridge.Port))
        );

    private static bool WasRead(Host host, Leg leg) =>
        leg.Address is null
        || host.Hardware.Bridges.SelectMany(b => b.Addresses)
            .Concat(host.Hardware.Ports.SelectMany(p => p.Addresses))
            .Any(a => a.Split('/')[0] == leg.Address);
}
