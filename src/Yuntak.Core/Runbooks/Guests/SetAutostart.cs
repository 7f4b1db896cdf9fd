using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Lets a guest start with its host.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Order">Small numbers start first.</param>
/// <param name="Stack">Whether it is an app stack.</param>
internal sealed record SetAutostart(GuestId Guest, HostId? Host, int Order, bool Stack) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "set-autostart";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("order", Order)];

    internal override Duration Takes(Plan plan) => new(2);

    internal override ActText Text(Plan plan) =>
        new(
            "Let it start with its host",
            [new("start order", Order.ToString()), new("restart", Stack ? "unless stopped" : "on")],
            $"Restart {plan.NameOf(Guest)}'s host when nobody minds, and see it come up.",
            "Check that what it depends on has a smaller start order.",
            "Switch it off again."
        );

    internal override void Affect(SimHouse house, Plan plan) => house.Guest(Guest).Starts = true;
}
