using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Starts a guest again after it was changed, and tries it.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Minutes">How long that may take.</param>
/// <param name="Mounters">Guests that mount a folder of it and were stopped while it was away.</param>
internal sealed record StartGuest(GuestId Guest, HostId? Host, int Minutes, ValueList<GuestId> Mounters = default) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [
            .. base.Values,
            .. Mounters.Count > 0 ? [Value("startsThen", Mounters.Select(m => m.Value))] : Array.Empty<KeyValuePair<string, JsonNode?>>(),
        ];

    /// <inheritdoc/>
    public override string Type => "start-guest";

    /// <inheritdoc/>
    public override IReadOnlyList<GuestId> Stops => [Guest, .. Mounters];

    internal override Duration Takes(Plan plan) => new(Minutes);

    internal override ActText Text(Plan plan) =>
        new(
            "Start it and try it",
            Mounters.Count > 0
                ? [new StepValue("start then", $"{string.Join(", ", Mounters.Select(plan.NameOf))}, once its folders can be reached again")]
                : [],
            "The service answers from another machine.",
            "Read the guest's own journal first, then the host's.",
            "Shut it down and go one step back."
        );

    internal override bool Starts => true;

    internal override void Affect(SimHouse house, Plan plan)
    {
        house.Start(Guest);
        house.StartAgain(Mounters);
    }

    internal override IEnumerable<Proof> Proofs(Plan plan) => [.. base.Proofs(plan), .. Running(plan)];
}
