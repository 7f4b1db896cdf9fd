using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Brings something back under another name, with no network.</summary>
/// <param name="Drill">The drill.</param>
/// <param name="Place">The host it is done at; null for none of the lab.</param>
internal sealed record BringBackForDrill(Drill Drill, HostId? Place) : KeepingAct(Place)
{
    /// <inheritdoc/>
    public override string Type => "bring-back-for-drill";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [Value("drill", Drill.Key)];

    internal override Duration Takes(Plan plan) =>
        new Duration(5)
        + (
            Drill.Kind switch
            {
                DrillKind.Guest => House(plan).Guests.FirstOrDefault(g => g.Guest.Id == Drill.Guest)?.Restore ?? new Duration(30),
                DrillKind.House => House(plan).HouseRestore ?? new Duration(240),
                _ => new Duration(KeepingRules.FileMinutes),
            }
        );

    internal override (double Least, double Most) Spread => OfAmounts;

    internal override ActText Text(Plan plan) => Drill.Kind == DrillKind.File ? OneFile(plan) : Whole(plan);

    /// <summary>One file: found among the copies of a day, laid beside the one that is there, and compared.</summary>
    private ActText OneFile(Plan plan)
    {
        var from = House(plan).Guests.FirstOrDefault(g => g.Guest.Id == Drill.Guest)?.From;
        return new(
            $"Restore test: bring {Drill.Of(plan.Draft)} back",
            [
                StepValue.Ask("file", "one that has not changed for a week, with its whole path"),
                new("from", from?.Where ?? "the store that has it"),
                new("backup of", "a day last week, and then the oldest that is kept"),
                new("to", "/tmp/restore-test, beside the one that is there and never over it", Literal: false),
                new("compare", "sha256sum of both", Literal: true),
                new("start", "note the time: how long it takes is what the test is for"),
            ],
            "Both sums are the same, owner and rights too.",
            "Not there, or another sum? Look whether the volume is in the job, then verify the backup; say so in the test.",
            "Delete /tmp/restore-test."
        );
    }

    private ActText Whole(Plan plan) =>
        new(
            $"Drill: bring {Drill.Of(plan.Draft)} back under another name",
            [
                new("name", $"{Names.Slug(Drill.Of(plan.Draft))}-drill", Literal: true),
                new("network", "off, so that two of one never meet"),
                new("from", House(plan).Guests.FirstOrDefault(g => g.Guest.Id == Drill.Guest)?.From?.Where ?? "the store that has it"),
                new("start", "note the time: how long it takes is what the drill is for"),
            ],
            "It is there, and starts.",
            "It does not? Then there is no copy: mend that today, and say so in the drill.",
            "Delete what was brought back.",
            "Look twice that it goes beside the one that stands, never over it."
        );

    /// <summary>How long it took to have it back is what a drill is for.</summary>
    internal override Edit? Learns(Plan plan, Duration? took, DateOnly? today) =>
        took is { } measured ? KeepingEdits.Took(Drill.Key, (int)Math.Ceiling(measured.Minutes)) : null;

    internal override void Do(SimHouse house, Plan plan) => house.Tried = house.Tried.Add($"back {Drill.Key}");

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => h.Tried.Contains($"back {Drill.Key}"))];
}
