using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Makes or changes a bridge of a host.</summary>
/// <param name="Host">The host.</param>
/// <param name="Bridge">The bridge as it is to be.</param>
/// <param name="Changes">Whether one of that name is there and changes.</param>
internal sealed record MakeBridge(HostId Host, PlannedBridge Bridge, bool Changes) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "make-bridge";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [
            .. base.Values,
            Value("bridge", Bridge.Name),
            Value("port", Bridge.Port),
            Value("tagAware", Bridge.Aware),
            Value("networks", Bridge.Networks),
            Value("mtu", Bridge.Mtu),
        ];

    internal override Duration Takes(Plan plan) => new(Bridge.Port is null ? 5 : 15);

    internal override ActText Text(Plan plan)
    {
        var host = plan.Host(Host)!;
        var carries = Bridge.Networks.Select(n => plan.Draft.Network(n)).OfType<Network>().ToList();
        var management = host.Hardware.Bridges.FirstOrDefault(b => b.Addresses.Count > 0);
        var mine = Bridge.Port is not null && (Bridge.Port == host.ManagementPort?.Name || management?.Ports.Contains(Bridge.Port) == true);
        return new(
            $"{(Changes ? "Change" : "Make")} the bridge {Bridge.Name}",
            [
                new("name", Bridge.Name, Literal: true),
                new("port", Bridge.Port ?? "none: nobody outside the host sees it"),
                new("keeps tagged networks apart", Bridge.Aware ? "yes" : "no"),
                .. carries.Select(n => new StepValue(
                    "carries",
                    $"{n.Name}{(n.Tag is { } tag ? $", tag {tag}" : "")}{(n.Prefix is null ? "" : $", {n.Prefix}")}"
                )),
                .. Bridge.Mtu is { } mtu ? [new StepValue("largest packet", $"{mtu} bytes")] : Array.Empty<StepValue>(),
                new("see it", $"ip -br link show dev {Bridge.Name}", Literal: true),
            ],
            Bridge.Port is null
                ? "It is there, and no port is in it."
                : $"{Bridge.Port} is in it, and {host.Name} answers from another machine.",
            "Nothing answers? Go to the console, put the old network settings back and start the network anew.",
            "Put the copy of the old network settings back.",
            mine
                ? $"{host.Name} is looked after through {Bridge.Port}: one slip and you are cut off. Do it at the console, keep a copy of the network settings, and let a timer put them back in ten minutes unless you stop it."
                : null
        );
    }

    internal override void Affect(SimHouse house, SimHost host, Plan plan) => host.Bridges = host.Bridges.SetItem(Bridge.Name, Bridge);
}
