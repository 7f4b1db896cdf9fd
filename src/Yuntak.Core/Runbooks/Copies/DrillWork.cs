using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>A restore is to be tried.</summary>
/// <param name="Of">What the drill is known by.</param>
internal sealed record DrillWork(string Of) : Work
{
    /// <inheritdoc/>
    public override string Key => $"drill/{Uri.EscapeDataString(Of)}";

    private const int MostAtOnce = 6;

    /// <summary>The next drills that are planned and were not worked through: all of the month of the first.</summary>
    public static IEnumerable<Work> Find(Plan plan) =>
        plan
            .Draft.Drills.Where(d => d.Worked is null && plan.AsBuilt.Drills.All(b => b.Key != d.Key))
            .Where(d => d.Guest is not { } guest || plan.Planned(guest) is not null)
            .Where(d => d.Host is not { } host || plan.AsBuilt.Host(host) is not null && plan.Draft.Host(host) is not null)
            .Where(_ => plan.Draft.Jobs.Count > 0)
            .OrderBy(d => d.On)
            .ThenBy(d => d.Key, StringComparer.Ordinal)
            // A plan may name years of them: those of the first month that has one are steps, later ones when they come nearer.
            .GroupBy(d => (d.On.Year, d.On.Month))
            .Take(1)
            .SelectMany(month => month)
            .Take(MostAtOnce)
            .Select(d => new DrillWork(d.Key));

    /// <inheritdoc/>
    public override string Title(Plan plan) => $"Restore test of {Planned(plan).On:yyyy-MM-dd}: {Planned(plan).Of(plan.Draft)}";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Runbooks.Phase.Copies;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan) =>
        [new BringBackForDrill(Planned(plan), At(plan)), new LookAtDrill(Planned(plan), At(plan)), new EndDrill(Planned(plan), At(plan))];

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) =>
        Planned(plan).Guest is { } guest
            ?
            [
                Condition.Ready(guest),
                Condition.Changed(guest),
                // What was never copied is not brought back.
                .. plan.Draft.Jobs.Where(j => j.Takes.Any(p => p.Guest == guest)).Select(j => Condition.Copied(j.Name)),
            ]
            : [];

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) => stands with { Drills = stands.Drills.With(Planned(plan)) };

    private Drill Planned(Plan plan) => plan.Draft.Drills.First(d => d.Key == Of);

    private HostId? At(Plan plan) =>
        Planned(plan).Host ?? (Planned(plan).Guest is { } id && plan.Draft.Guest(id) is { } guest ? plan.Draft.HostOf(guest)?.Id : null);
}
