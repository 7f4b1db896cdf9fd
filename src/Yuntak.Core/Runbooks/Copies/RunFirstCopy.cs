using System.Text.Json.Nodes;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Takes the first copy by a job, of what it did not take before.</summary>
/// <param name="Job">The job.</param>
/// <param name="Parts">What is new in it.</param>
/// <param name="Place">The host it is done at; null for none of the lab.</param>
internal sealed record RunFirstCopy(string Job, Base.ValueList<string> Parts, HostId? Place) : KeepingAct(Place)
{
    /// <inheritdoc/>
    public override string Type => "run-first-copy";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [Value("job", Job), Value("takes", Parts)];

    internal override Duration Takes(Plan plan) =>
        new Duration(5) + (House(plan).Jobs.FirstOrDefault(j => j.Job.Name == Job)?.FirstOf(Parts) ?? new Duration(0));

    /// <summary>A first copy is the longest measurement a house ever makes of a job: from then on its nights are reckoned with what it showed.</summary>
    internal override Edit? Learns(Plan plan, Duration? took, DateOnly? today)
    {
        if (took is not { } measured)
        {
            return null;
        }

        var bytes = House(plan).Jobs.FirstOrDefault(j => j.Job.Name == Job)?.BytesOf(Parts).Bytes ?? 0;
        var rate = bytes / 1e6 / (measured.Minutes * 60);
        return double.IsFinite(rate) && rate is >= JobShapes.LeastRate and <= JobShapes.MostRate
            ? KeepingEdits.Measured(Job, Math.Round(rate, 2))
            : null;
    }

    internal override (double Least, double Most) Spread => OfAmounts;

    internal override bool Copies => true;

    internal override ActText Text(Plan plan) =>
        new(
            $"Let {Job} run for the first time",
            [
                new("copies", House(plan).Jobs.FirstOrDefault(j => j.Job.Name == Job)?.BytesOf(Parts).ToDecimalString() ?? ""),
                new("when", "while the house needs neither the disks nor the line; it may go on over several nights"),
            ],
            "Each copy is about as large as what is in use, not a fraction of it: every volume is in.",
            "A volume missing? It is not ticked. Broken off? Begin again: what is there is not copied twice by a store that keeps the same once.",
            "Delete the copy."
        );

    internal override void Do(SimHouse house, Plan plan)
    {
        house.Tried = house.Tried.Add($"first {Job}");
        foreach (var guest in WholeGuests(plan).Select(house.GuestIf).OfType<SimGuest>())
        {
            guest.Backup = guest.Size;
        }
    }

    /// <summary>The guests of whom all is in it from now on.</summary>
    internal IEnumerable<GuestId> WholeGuests(Plan plan) =>
        from part in plan.Draft.Jobs.Where(j => j.Name == Job).SelectMany(j => j.Takes)
        where part is { Guest: not null, Kind: PartKind.Whole, Without.Count: 0 } && Parts.Contains(part.Key)
        select part.Guest!.Value;

    internal override IEnumerable<Proof> Proofs(Plan plan) =>
        [
            new Proof("", h => h.Tried.Contains($"first {Job}")),
            new Proof(
                "",
                h =>
                    WholeGuests(plan)
                        .Select(h.GuestIf)
                        .OfType<SimGuest>()
                        .All(g => g.Backup is { } backup && backup.Bytes >= g.Size.Bytes / 2)
            ),
        ];
}
