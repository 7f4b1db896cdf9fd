using System.Text.Json.Nodes;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Sets an onward copy up, or changes it.</summary>
/// <param name="Onward">The onward copy as it is to be.</param>
/// <param name="Place">The host it is done at; null for none of the lab.</param>
/// <param name="Changes">Whether it stands already.</param>
internal sealed record SetUpOnward(OnwardCopy Onward, HostId? Place, bool Changes) : KeepingAct(Place)
{
    /// <inheritdoc/>
    public override string Type => "set-up-onward";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [Value("onward", Onward.Key), .. Fields(OnwardShapes.Onward.Write(KeptThings.Essence(Onward)))];

    internal override Duration Takes(Plan plan) => new(10);

    internal override ActText Text(Plan plan) =>
        new(
            $"{(Changes ? "Change" : "Set up")} the onward copy from {Onward.From} to {Onward.To}",
            [
                new("begins", CopyTimes.Parse(Onward.Times).Words()),
                new("who begins", CopyWords.Ways.Display(Onward.Way)),
                new("keeps there", Onward.Keep ?? "what is kept here"),
                .. Onward.Limit is { } limit ? [new StepValue("at most", DataRate.FromMbps(limit).ToString())] : Array.Empty<StepValue>(),
            ],
            "It shows the next beginning, and the far store thins by itself.",
            "It does not begin? Try the account by hand first.",
            Changes ? "Set it as it was." : "Take it out; copies stay where they are."
        );

    internal override void Do(SimHouse house, Plan plan) =>
        house.Kept = house.Kept.SetItem(KeptThings.Of(Onward).Key, KeptThings.Of(Onward).Value);

    internal override IEnumerable<Proof> Proofs(Plan plan) =>
        [new Proof("", h => h.Kept.GetValueOrDefault(KeptThings.Of(Onward).Key) == KeptThings.Of(Onward).Value)];
}
