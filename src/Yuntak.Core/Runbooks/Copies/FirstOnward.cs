using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Brings the first copy to the far store.</summary>
/// <param name="Onward">The onward copy.</param>
/// <param name="Place">The host it is done at; null for none of the lab.</param>
internal sealed record FirstOnward(OnwardCopy Onward, HostId? Place) : KeepingAct(Place)
{
    /// <inheritdoc/>
    public override string Type => "first-onward";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [Value("onward", Onward.Key), Value("first", CopyWords.Firsts.Word(Onward.First))];

    internal override Duration Takes(Plan plan) =>
        new Duration(5) + (House(plan).Onward.FirstOrDefault(o => o.Onward.Key == Onward.Key)?.FirstTime ?? new Duration(0));

    internal override (double Least, double Most) Spread => OfAmounts;

    internal override bool Copies => true;

    internal override ActText Text(Plan plan) =>
        new(
            Onward.First == FirstCopyWay.Carried ? $"Carry the first copy to {Onward.To}" : $"Let the first copy go to {Onward.To}",
            [
                .. House(plan).Onward.FirstOrDefault(o => o.Onward.Key == Onward.Key) is { } sums
                    ?
                    [
                        new StepValue("amount", sums.First.ToDecimalString()),
                        new StepValue("over the line", sums.FirstOverLine.Exactly()),
                        new StepValue("on a disk that is carried", sums.FirstCarried.Exactly()),
                    ]
                    : Array.Empty<StepValue>(),
            ],
            "The far store shows as many copies as the near one.",
            "Broken off? Begin again; what is there is not sent twice.",
            "Delete it at the far store.",
            Onward.First == FirstCopyWay.Carried
                ? "Encrypt the disk that is carried, and wipe it when the copy is there and was read back."
                : null
        );

    internal override void Do(SimHouse house, Plan plan) => house.Tried = house.Tried.Add($"first {Onward.Key}");

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => h.Tried.Contains($"first {Onward.Key}"))];
}
