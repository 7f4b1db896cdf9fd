using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Runbooks;

/// <summary>A guest leaves its host for good.</summary>
/// <param name="Of">The guest's id.</param>
internal sealed record RetireOldGuest(GuestId Of) : GuestWork(Of)
{
    /// <inheritdoc/>
    public override string Key => $"retire-guest/{Of}";

    /// <inheritdoc/>
    public override HostId? Host => null;

    /// <summary>The guests that stand and are planned on no host.</summary>
    public static IEnumerable<Work> Find(Plan plan) =>
        plan.AsBuilt.Guests.Where(g => plan.Stands(g.Id) is not null && plan.Planned(g.Id) is null).Select(g => new RetireOldGuest(g.Id));

    /// <inheritdoc/>
    public override string Title(Plan plan) => $"Take {Before(plan)!.Name} off {plan.AsBuilt.HostOf(Before(plan)!)!.Name}";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Runbooks.Phase.GuestGoes;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan)
    {
        var host = plan.AsBuilt.HostOf(Before(plan)!)!.Id;
        return [new BackupGuest(Of, host), new RetireGuest(Of, host, plan.Draft.Guest(Of) is not null)];
    }

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) => WireEdits.Without(stands with { Guests = stands.Guests.Without(g => g.Id == Of) });

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) => [Condition.Deserted(Of)];

    /// <inheritdoc/>
    public override IEnumerable<Condition> Gives(Plan plan) =>
        [
            Condition.Gone(Of),
            .. Emptied(Before(plan)!),
            Condition.Left(plan.AsBuilt.HostOf(Before(plan)!)!.Id),
            .. Before(plan)!.RunsIn is { } outer ? [Condition.Deserted(outer)] : Array.Empty<Condition>(),
        ];

    /// <inheritdoc/>
    public override IEnumerable<string> Cautions(Plan plan, IReadOnlyList<Act> acts) => Outage(plan, Before(plan), acts, forGood: true);
}
