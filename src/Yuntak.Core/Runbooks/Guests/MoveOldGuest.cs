using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Runbooks;

/// <summary>A guest that stands goes to another host, and gets its new figures there.</summary>
/// <param name="Of">The guest's id.</param>
internal sealed record MoveOldGuest(GuestId Of) : GuestWork(Of)
{
    /// <inheritdoc/>
    public override string Key => $"move-guest/{Of}";

    /// <summary>The guests that stand on one host and are planned on another.</summary>
    public static IEnumerable<Work> Find(Plan plan) =>
        plan
            .Draft.Guests.Where(g => plan.Planned(g.Id) is { } after && plan.Stands(g.Id) is { } before && !StaysPut(plan, before, after))
            .Select(g => new MoveOldGuest(g.Id));

    /// <inheritdoc/>
    public override HostId? Host => null;

    /// <inheritdoc/>
    public override string Title(Plan plan) =>
        $"Move {After(plan)!.Name} from {plan.AsBuilt.HostOf(Before(plan)!)!.Name} to {plan.Draft.HostOf(After(plan)!)!.Name}";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Runbooks.Phase.GuestMoves;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan)
    {
        var (before, after) = (Before(plan)!, After(plan)!);
        var (from, to) = (plan.AsBuilt.HostOf(before)!, plan.Draft.HostOf(after)!);
        var pool = after.Placement?.SystemPool;
        ValueList<GuestId> mounters = [.. Mounters(plan).Distinct()];
        return
        [
            new BackupGuest(Of, from.Id),
            new MoveGuest(Of, from.Id, to.Id, after.Placement, pool is not null && from.PoolNamed(pool) is not null, mounters),
            .. ChangeGuest.Figures(plan, before, after, to.Id, moved: true) is { } set ? [set] : Array.Empty<Act>(),
            .. ChangeGuest.Devices(plan, before, after, to.Id).TakeWhile(a => a is not ProveDevices),
            .. ChangeGuest.Shares(before, after, to.Id, moved: true),
            new StartGuest(Of, to.Id, StartMinutes(plan.Sums.Guest(Of)), mounters),
            .. ChangeGuest.Devices(plan, before, after, to.Id).OfType<ProveDevices>(),
        ];
    }

    /// <summary>The guests that mount what it exports as it stands, and those it runs.</summary>
    private IEnumerable<GuestId> Mounters(Plan plan) =>
        from share in plan.AsBuilt.Shares
        where share.From.Guest is { } exporter && (exporter == Of || plan.Stands(exporter)?.RunsIn == Of)
        from user in Wires.ShareSums.Users(plan.AsBuilt, share)
        where user.Guest.Id != Of && user.Guest.RunsIn != Of && plan.Stands(user.Guest.Id) is not null
        select user.Guest.Id;

    /// <inheritdoc/>
    public override Halt? Stop(Plan plan) => Bars(plan, HandedDevice.Of(plan.Draft, After(plan)!));

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) => Settle(stands, plan, After(plan)!);

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) =>
        [
            Condition.Stands(plan.Draft.HostOf(After(plan)!)!.Id),
            .. PoolsOf(After(plan)!),
            .. WiresOf(plan, After(plan)!),
            .. Deserted(plan),
            .. After(plan)!.RunsIn is { } outer ? [Condition.Ready(outer), Condition.Changed(outer)] : Array.Empty<Condition>(),
        ];

    /// <inheritdoc/>
    public override IEnumerable<Condition> Gives(Plan plan) =>
        [
            .. Emptied(Before(plan)!),
            Condition.Left(plan.AsBuilt.HostOf(Before(plan)!)!.Id),
            Condition.Changed(Of),
            .. Before(plan)!.RunsIn is { } outer && outer != After(plan)!.RunsIn ? [Condition.Deserted(outer)] : Array.Empty<Condition>(),
        ];

    /// <inheritdoc/>
    public override IEnumerable<string> Cautions(Plan plan, IReadOnlyList<Act> acts) => Outage(plan, Before(plan), acts);
}
