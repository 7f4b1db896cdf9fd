using Yuntak.Core.Labs;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>A folder is no longer exported.</summary>
/// <param name="Name">The share's name.</param>
internal sealed record UnshareWork(string Name) : Work
{
    /// <inheritdoc/>
    public override string Key => $"unshare/{Uri.EscapeDataString(Name)}";

    /// <summary>The shares that stand and are not planned any more.</summary>
    public static IEnumerable<Work> Find(Plan plan) =>
        plan
            .AsBuilt.Shares.Where(s => plan.Draft.Shares.All(d => d.Name != s.Name || !ShareWork.IsPlanned(plan, d)))
            .Select(s => new UnshareWork(s.Name));

    /// <inheritdoc/>
    public override string Title(Plan plan) => $"No longer share {Name}";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Runbooks.Phase.PoolGoes;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan)
    {
        var share = plan.AsBuilt.Shares.First(s => s.Name == Name);
        return [new StopSharing(share, ShareSums.HostOf(plan.AsBuilt, share)?.Id)];
    }

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) =>
        plan.AsBuilt.Guests.Where(g => g.Mounts.Any(m => m.Share == Name)).Select(g => Condition.Changed(g.Id));

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) => stands with { Shares = stands.Shares.Without(s => s.Name == Name) };
}
