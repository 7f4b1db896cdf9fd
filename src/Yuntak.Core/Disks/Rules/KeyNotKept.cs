using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks.Rules;

/// <summary>The key of an encrypted pool is kept apart from its host.</summary>
internal sealed class KeyNotKept : IRule
{
    private static readonly RuleLimit Limit = new(2, "places", "noted", LimitSide.Below);

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.key-not-kept",
            Severity.Stop,
            Station.Disks,
            Says: "The key of an encrypted pool is noted in two places other than the host.",
            Because: "When the host is gone, the key on it is gone too, and so is everything the pool holds.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where pool.Pool.Encrypted == true
        let places = pool.Pool.KeyPlaces.Distinct(StringComparer.OrdinalIgnoreCase).Count()
        where Limit.Notices(places)
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"The key of {pool.Pool.Name} on {host.Host.Name} is not kept safely",
            $"{Numbers.Count(places, "place")} noted, {Limit.Value} needed: a safe and a sealed letter elsewhere, say. Note the places on the pool, never the key itself."
        );
}
