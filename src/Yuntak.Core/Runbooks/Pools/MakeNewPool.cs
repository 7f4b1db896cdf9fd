using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Runbooks;

/// <summary>A pool is made that did not stand.</summary>
/// <param name="On">The host as it is planned.</param>
/// <param name="New">The pool.</param>
internal sealed record MakeNewPool(Host On, Pool New) : PoolWork(On)
{
    /// <inheritdoc/>
    public override string Key => $"make-pool/{On.Id}/{New.Name}";

    /// <summary>The pools that are planned and do not stand.</summary>
    public static IEnumerable<Work> Find(Plan plan) =>
        from host in plan.Draft.Hosts
        from pair in PoolPairs.Of(plan.AsBuilt.Host(host.Id), host)
        where pair.Before is null
        select new MakeNewPool(host, pair.After!);

    /// <inheritdoc/>
    public override string Title(Plan plan) => $"{(New.KeptAsFound ? "Mount" : "Make")} the pool {New.Name} on {On.Name}";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Runbooks.Phase.Pools;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan) => Making(On, New);

    /// <summary>The acts that bring a pool up: one kept as found is mounted; others are made and, where that is planned, encrypted before anything goes in.</summary>
    public static IReadOnlyList<Act> Making(Host host, Pool pool) =>
        pool.KeptAsFound
            ? [new MountAsFound(host.Id, pool.Name, pool.DiskIds, pool.MountedAt)]
            :
            [
                Of(host, pool),
                .. pool.Encrypted == true ? [new EncryptPool(host.Id, pool.Name, pool.Family, pool.KeyPlaces)] : Array.Empty<Act>(),
            ];

    /// <summary>The act that makes a pool. The boot disk is never wiped: only its free room is used.</summary>
    private static MakePool Of(Host host, Pool pool) =>
        new(host.Id, pool, [.. host.DisksOf(pool).Where(host.StartsFrom).Select(d => d.Id)]);

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) =>
        stands.WithHost(On.Id, h => WithDisks(h, On, New.DiskIds) with { Pools = h.Pools.Without(p => p.Name == New.Name).With(New) });

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) =>
        [Condition.Stands(On.Id), .. New.DiskIds.Select(d => Condition.DiskFree(On.Id, d))];

    /// <inheritdoc/>
    public override IEnumerable<Condition> Gives(Plan plan) => [Condition.PoolThere(On.Id, New.Name)];
}
