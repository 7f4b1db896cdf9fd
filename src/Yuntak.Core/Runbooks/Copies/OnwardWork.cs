using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>A store is copied on into another, or otherwise than before.</summary>
/// <param name="Of">What it is known by.</param>
internal sealed record OnwardWork(string Of) : Work
{
    /// <inheritdoc/>
    public override string Key => $"onward/{Uri.EscapeDataString(Of)}";

    /// <summary>The onward copies that are planned between stores that will stand, and differ in what asks for work.</summary>
    public static IEnumerable<Work> Find(Plan plan) =>
        plan
            .Draft.Onward.Where(o =>
                KeptThings.IsThere(plan.Draft, o)
                && (
                    plan.AsBuilt.Onward.FirstOrDefault(b => b.Key == o.Key) is not { } built
                    || KeptThings.Essence(built) != KeptThings.Essence(o)
                )
            )
            .Select(o => new OnwardWork(o.Key));

    /// <inheritdoc/>
    public override string Title(Plan plan) => $"Onward from {Of}";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Runbooks.Phase.Copies;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan)
    {
        var onward = Planned(plan);
        var before = plan.AsBuilt.Onward.FirstOrDefault(o => o.Key == Of);
        var at = KeptPlaces.Of(plan, plan.Draft.Stores.First(s => s.Name == onward.From));
        var to = plan.Draft.Stores.First(s => s.Name == onward.To);
        var far = KeptPlaces.Of(plan, to);
        // An account is made where it lets somebody in, and the side that begins has the schedule.
        var (account, schedule) = onward.Way == OnwardWay.Pull ? (at, far ?? at) : (far ?? at, at);
        var sums = Keeping.HouseKeeping.Of(plan.Sums).Onward.First(o => o.Onward.Key == Of);
        return
        [
            .. before is null || before.Way != onward.Way || before.Rights != onward.Rights
                ? [new AllowOnward(onward, account)]
                : Array.Empty<Act>(),
            .. before is null ? [new FirstOnward(onward, at)] : Array.Empty<Act>(),
            new SetUpOnward(onward, schedule, before is not null),
            // What is verified is verified where it lies, and only where the store plans to.
            .. before is null && to.IsChecked ? [new ReadBack(Of, sums.First, onward.To, far ?? at)] : Array.Empty<Act>(),
        ];
    }

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) =>
        plan
            .Draft.Stores.Where(s => s.Name == Planned(plan).From || s.Name == Planned(plan).To)
            .SelectMany(s => KeptPlaces.Needs(plan, s).Append(Condition.StoreThere(s.Name)));

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) => stands with { Onward = stands.Onward.Put(Planned(plan), o => o.Key == Of) };

    private OnwardCopy Planned(Plan plan) => plan.Draft.Onward.First(o => o.Key == Of);
}
