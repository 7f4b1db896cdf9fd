using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Disks.Rules;

/// <summary>What lands on a tier before it is moved survives the failure of a disk.</summary>
internal sealed class LandingUnprotected : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.landing-unprotected",
            Severity.Mind,
            Station.Disks,
            Says: "A landing tier survives the failure of a disk.",
            Because: "New files lie on it alone until they are moved to the array.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where pool.Pool.Tier == TierKind.Landing && pool.Groups.All(g => g.HasEnough) && pool.Groups.Min(g => g.Survives) == 0
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"New files on {pool.Pool.Name} are unprotected until they are moved",
            $"{pool.Pool.Name} is {pool.Pool.Layout.Words(pool.Pool.DiskIds.Count)}: one failure takes what has not been moved{(pool.Pool.Serves is { } array ? $" to {array}" : "")} yet. A mirror keeps it."
        );
}
