using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Disks.Rules;

/// <summary>A tier says which pool it stands in front of.</summary>
internal sealed class TierServesNothing : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.tier-serves-nothing",
            Severity.Mind,
            Station.Disks,
            Says: "A landing tier or read cache says which pool of its host it stands in front of.",
            Because: "Nobody moves anything from it, or reads through it, while that is open.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where pool.Pool.Tier is TierKind.Landing or TierKind.ReadCache
        where pool.Pool.Serves == pool.Pool.Name || host.Pool(pool.Pool.Serves) is null
        let others = host.Pools.Where(p => p != pool && p.Pool.Tier is null).ToList()
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"{pool.Pool.Name} stands in front of no pool",
            pool.Pool.Serves is { } lost
                ? $"{host.Host.Name} has no pool {lost}."
                : $"It is a {pool.Pool.Tier!.Value.Words()}; say of which pool.",
            () =>
                others.Select(p => new Fix(
                    $"In front of {p.Pool.Name}",
                    PoolEdits.Change(host.Host.Id, pool.Pool.Name, x => x with { Serves = p.Pool.Name })
                ))
        );
}
