using Yuntak.Core.Labs;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>A folder is exported over the network, or for others than before.</summary>
/// <param name="Name">The share's name.</param>
internal sealed record ShareWork(string Name) : Work
{
    /// <inheritdoc/>
    public override string Key => $"share/{Uri.EscapeDataString(Name)}";

    /// <inheritdoc/>
    public override HostId? Host => null;

    /// <summary>The shares that are planned where something is that will stand, and differ in more than their size.</summary>
    public static IEnumerable<Work> Find(Plan plan) =>
        plan
            .Draft.Shares.Where(s => IsPlanned(plan, s) && !Same(plan.AsBuilt.Shares.FirstOrDefault(b => b.Name == s.Name), s))
            .Select(s => new ShareWork(s.Name));

    /// <summary>Whether what exports a share is to stand.</summary>
    public static bool IsPlanned(Plan plan, NetworkShare share) => share.From.Guest is not { } guest || plan.Planned(guest) is not null;

    /// <summary>Whether two forms of a share are the same but for what is known of its size.</summary>
    public static bool Same(NetworkShare? a, NetworkShare b) => a is not null && a with { Size = b.Size } == b;

    /// <inheritdoc/>
    public override string Title(Plan plan) => $"Share {Name}";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Runbooks.Phase.GuestBuilt;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan) =>
        [new ExportShare(Of(plan), ShareSums.HostOf(plan.Draft, Of(plan))?.Id, plan.AsBuilt.Shares.Any(s => s.Name == Name))];

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) =>
        [
            .. Of(plan).From.Guest is { } guest ? [Condition.Ready(guest), Condition.Changed(guest)] : Array.Empty<Condition>(),
            .. Of(plan).From.Host is { } host ? HostNeeds(plan, host) : [],
        ];

    /// <inheritdoc/>
    public override IEnumerable<Condition> Gives(Plan plan) => [Condition.Shared(Name)];

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) => stands with { Shares = stands.Shares.Put(Of(plan), s => s.Name == Name) };

    private IEnumerable<Condition> HostNeeds(Plan plan, HostId host) =>
        plan.Draft.Host(host)?.PoolAt(Of(plan).From.Path) is { } pool
            ? [Condition.Stands(host), Condition.PoolThere(host, pool.Name)]
            : [Condition.Stands(host)];

    private NetworkShare Of(Plan plan) => plan.Draft.Shares.First(s => s.Name == Name);
}
