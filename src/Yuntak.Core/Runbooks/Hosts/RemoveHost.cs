using Yuntak.Core.Edits;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>A host goes, after everything on it has left.</summary>
/// <param name="Old">The host as it stands.</param>
internal sealed record RemoveHost(Host Old) : Work
{
    /// <inheritdoc/>
    public override string Key => $"remove-host/{Old.Id}";

    /// <inheritdoc/>
    public override HostId? Host => Old.Id;

    /// <summary>The hosts that stand and are not planned.</summary>
    public static IEnumerable<Work> Find(Plan plan) =>
        plan.AsBuilt.Hosts.Where(h => plan.Draft.Host(h.Id) is null).Select(h => new RemoveHost(h));

    /// <inheritdoc/>
    public override string Title(Plan plan) => $"Take {Old.Name} away";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Runbooks.Phase.HostGoes;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan) => [new TakeHostAway(Old.Id, [.. Old.Disks.Select(d => d.Id)])];

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) =>
        WireEdits.Without(stands with { Hosts = stands.Hosts.Without(h => h.Id == Old.Id) });

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) => [Condition.Left(Old.Id)];
}
