using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Closes a way in from outside.</summary>
/// <param name="Way">The way.</param>
internal sealed record CloseWay(Forward Way) : Act
{
    /// <inheritdoc/>
    public override string Type => "close-way-in";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [
            Value("fromPort", Way.FromPort),
            Value("protocol", Way.Protocol.Word()),
            Value("to", Way.To.Value),
            Value("through", Way.Through?.Value),
            Value("name", Way.Name),
        ];

    internal override HostId? On => null;

    internal override string Where(Plan plan) => plan.Sums.Wires.RouterName ?? "the router";

    internal override Duration Takes(Plan plan) => new(3);

    internal override ActText Text(Plan plan) =>
        new(
            $"Close {Way.FromPort}/{Way.Protocol.Word()} from outside{(Way.Name is null ? "" : $", {Way.Name}")}",
            [new("led to", plan.NameOf(Way.To))],
            "From a phone with its own line it no longer answers.",
            "Still answers? The router may open ports by itself when a guest asks it to: switch that off.",
            "Put the forward back."
        );

    internal override void Do(SimHouse house, Plan plan) => house.Ways = house.Ways.Remove(Way);

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => !h.Ways.Contains(Way))];
}
