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
    public override IReadOnlyList<Act> Acts(Plan plan) =>
        New.KeptAsFound
            ? [new MountAsFound(On.Id, New.Name, New.DiskIds, New.MountedAt)]
            : [Of(On, New), .. New.Encrypted == true ? [new EncryptPool(On.Id, New.Name, New.Family, New.KeyPlaces)] : Array.Empty<Act>()];

    /// <summary>The act that makes a pool. The boot disk is never wiped: only its free room is used.</summary>
    public static MakePool Of(Host host, Pool pool) => new(host.Id, pool, [.. host.DisksOf(pool).Where(host.StartsFrom).Select(d => d.Id)]);

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) =>
        stands.WithHost(On.Id, h => WithDisks(h, On, New.DiskIds) with { Pools = h.Pools.Without(p => p.Name == New.Name).With(New) });

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) =>
        [Condition.Stands(On.Id), .. New.DiskIds.Select(d => Condition.DiskFree(On.Id, d))];

    /// <inheritdoc/>
    public override IEnumerable<Condition> Gives(Plan plan) => [Condition.PoolThere(On.Id, New.Name)];
}
