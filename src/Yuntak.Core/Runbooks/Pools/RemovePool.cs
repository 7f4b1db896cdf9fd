using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>A pool comes apart, after everything in it has left.</summary>
/// <param name="On">The host as it stands.</param>
/// <param name="Old">The pool.</param>
internal sealed record RemovePool(Host On, Pool Old) : PoolWork(On)
{
    /// <inheritdoc/>
    public override string Key => $"remove-pool/{On.Id}/{Old.Name}";

    /// <summary>The pools that stand on a host that stays, and are not planned.</summary>
    public static IEnumerable<Work> Find(Plan plan) =>
        from host in plan.AsBuilt.Hosts
        let planned = plan.Draft.Host(host.Id)
        where planned is not null
        from pair in PoolPairs.Of(host, planned)
        where pair.After is null
        select new RemovePool(host, pair.Before!);

    /// <inheritdoc/>
    public override string Title(Plan plan) => $"Take the pool {Old.Name} apart on {On.Name}";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Runbooks.Phase.PoolGoes;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan) =>
        [
            .. Old.AlreadyUsed > ByteSize.Zero
                ? new Act[]
                {
                    new CopyPoolAway(
                        On.Id,
                        Old.Name,
                        Old.AlreadyUsed,
                        Spare.Raw(On, Old),
                        Spare.For(plan, On.Id, Old, Old.AlreadyUsed),
                        []
                    ),
                }
                : [],
            new TakePoolApart(On.Id, Old.Name, Old.DiskIds),
        ];

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) =>
        stands.WithHost(
            On.Id,
            h => WithDisks(h, plan.Draft.Host(On.Id), Old.DiskIds) with { Pools = h.Pools.Without(p => p.Name == Old.Name) }
        );

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) =>
        [
            Condition.PoolEmpty(On.Id, Old.Name),
            .. Old.AlreadyUsed > ByteSize.Zero && Spare.For(plan, On.Id, Old, Old.AlreadyUsed) is var (host, pool)
                ? [Condition.PoolThere(host, pool)]
                : Array.Empty<Condition>(),
        ];

    /// <inheritdoc/>
    public override IEnumerable<Condition> Gives(Plan plan) => Old.DiskIds.Select(d => Condition.DiskFree(On.Id, d));

    /// <inheritdoc/>
    public override (HostId Host, string Pool, ByteSize Size, bool Stays)? CopiesTo(Plan plan) =>
        Old.AlreadyUsed > ByteSize.Zero && Spare.For(plan, On.Id, Old, Old.AlreadyUsed) is var (host, pool)
            ? (host, pool, Old.AlreadyUsed, true)
            : null;

    /// <inheritdoc/>
    public override Halt? Stop(Plan plan)
    {
        var homeless = plan
            .AsBuilt.GuestsOn(On.Id)
            .Where(g => g.Placement!.SystemPool == Old.Name || g.Placement.BulkPool == Old.Name)
            .Where(g => plan.Draft.Guest(g.Id) is { Placement: { } place } planned && place.Host == On.Id && Homeless(plan, g, planned))
            .Select(g => g.Name)
            .ToList();
        if (homeless.Count > 0)
        {
            return new Halt(
                On.Id,
                $"{Old.Name} on {On.Name} cannot come apart yet",
                $"{string.Join(", ", homeless)} {(homeless.Count == 1 ? "keeps" : "keep")} volumes in it that have nowhere to go.",
                "Choose other pools for them on the Bench, move them, or take them off the host."
            );
        }

        return Old.AlreadyUsed > ByteSize.Zero && Spare.For(plan, On.Id, Old, Old.AlreadyUsed) is null
            ? Spare.Nowhere(On, Old, Old.AlreadyUsed)
            : null;
    }

    /// <summary>Whether a volume that lies in the pool has no other planned.</summary>
    private bool Homeless(Plan plan, Guest stands, Guest planned)
    {
        var bulk = plan.Standing.Guest(stands.Id).Bulk > ByteSize.Zero && plan.Sums.Guest(planned.Id).Bulk > ByteSize.Zero;
        return (stands.Placement!.SystemPool == Old.Name && planned.Placement!.SystemPool is null)
            || (bulk && stands.Placement.BulkPool == Old.Name && planned.Placement!.BulkPool is null);
    }
}
