using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Gives a host that stands another place on a network.</summary>
/// <param name="Host">The host.</param>
/// <param name="Leg">The place.</param>
internal sealed record SetHostAddress(HostId Host, Leg Leg) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "set-host-address";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [.. base.Values, Value("network", Leg.Network), Value("address", Leg.Address), Value("bridge", Leg.Bridge)];

    internal override Duration Takes(Plan plan) => new(10);

    internal override ActText Text(Plan plan) =>
        new(
            $"Put {plan.NameOf(Host)} on {Leg.Network}",
            WireValues.Of(plan, Leg, Leg.Mac ?? plan.Host(Host)?.ManagementPort?.Mac, plan.Host(Host)),
            $"{plan.NameOf(Host)} answers at {Leg.Address ?? "its address"} from another machine, also after a restart.",
            "Nothing answers? Go to the console and put the old settings back.",
            "Back to the address it had.",
            "Links, apps and the other hosts may still point to the old address: look for it in their settings first, and do this where you can reach the console."
        );

    internal override string? AtAddress => Leg.Address;

    internal override void Affect(SimHouse house, SimHost host, Plan plan) { }
}
