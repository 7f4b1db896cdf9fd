using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>Some work for which others step aside first. It is known by the same name, and counts as built when it does.</summary>
/// <param name="Inner">The work.</param>
/// <param name="First">What lets it through.</param>
internal sealed record AfterSteppingAside(Work Inner, ValueList<Act> First) : Work
{
    /// <inheritdoc/>
    public override string Key => Inner.Key;

    /// <inheritdoc/>
    public override HostId? Host => Inner.Host;

    /// <inheritdoc/>
    public override GuestId? Guest => Inner.Guest;

    /// <inheritdoc/>
    public override bool Builds => Inner.Builds;

    /// <inheritdoc/>
    public override string Title(Plan plan) => Inner.Title(plan);

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Inner.Phase(plan);

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan) => [.. First, .. Inner.Acts(plan)];

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) => Inner.Adopt(stands, plan);

    /// <inheritdoc/>
    public override Lab? AdoptAt(Lab stands, Plan plan, Act act) => First.Contains(act) ? null : Inner.AdoptAt(stands, plan, act);

    /// <inheritdoc/>
    public override bool StandsDone(Plan plan, Act act) => !First.Contains(act) && Inner.StandsDone(plan, act);

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) => Inner.Needs(plan);

    /// <inheritdoc/>
    public override IEnumerable<Condition> Gives(Plan plan) => Inner.Gives(plan);

    /// <inheritdoc/>
    public override IEnumerable<string> Cautions(Plan plan, IReadOnlyList<Act> acts) =>
        [
            .. First
                .OfType<ShutDownMeanwhile>()
                .Select(a =>
                    $"There is no room to do this while {plan.NameOf(a.Guest)} runs: it is off from here until its own turn comes further down. Do both in one sitting."
                ),
            .. Inner.Cautions(plan, [.. acts.Where(a => !First.Contains(a))]),
        ];

    /// <inheritdoc/>
    public override Halt? Stop(Plan plan) => Inner.Stop(plan);
}
