using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>The ways in from outside differ from what is planned. What leads to a guest that is on no host is not opened.</summary>
internal sealed record WaysWork : Work
{
    /// <inheritdoc/>
    public override string Key => "ways-in";

    /// <summary>The one work, when anything differs.</summary>
    public static IEnumerable<Work> Find(Plan plan) => Wanted(plan).SequenceEqual(plan.AsBuilt.Forwards) ? [] : [new WaysWork()];

    /// <inheritdoc/>
    public override string Title(Plan plan) => "Ways in from outside";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Runbooks.Phase.WaysIn;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan) =>
        [
            .. plan.AsBuilt.Forwards.Except(Wanted(plan)).Select(f => new CloseWay(f)),
            .. Wanted(plan).Except(plan.AsBuilt.Forwards).Select(f => new OpenWay(f)),
        ];

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) =>
        Wanted(plan)
            .SelectMany(f => new[] { f.To, f.Through ?? f.To })
            .Distinct()
            .SelectMany(g => new[] { Condition.Ready(g), Condition.Changed(g) });

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) => stands with { Forwards = [.. Wanted(plan)] };

    private static IEnumerable<Forward> Wanted(Plan plan) =>
        plan.Draft.Forwards.Where(f => plan.Planned(f.To) is not null && (f.Through is not { } t || plan.Planned(t) is not null));
}
