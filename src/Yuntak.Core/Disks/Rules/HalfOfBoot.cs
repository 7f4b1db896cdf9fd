using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Disks.Rules;

/// <summary>A pool beside a mirrored boot uses both its disks, or neither.</summary>
internal sealed class HalfOfBoot : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.half-of-boot",
            Severity.Mind,
            Station.Disks,
            Says: "A pool in the free room of a mirrored boot uses both its disks, or neither.",
            Because: "What lies on one half alone is not mirrored, and replacing that disk for the boot's sake takes it along.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        let boots = host.Host.BootDisks.ToList()
        where boots.Count > 1
        from pool in host.Pools
        let inIt = boots.Where(d => pool.Pool.DiskIds.Contains(d.Id)).ToList()
        where inIt.Count > 0 && inIt.Count < boots.Count
        let other = boots.Except(inIt).ToList()
        let free = other.TrueForAll(d => host.Host.DisksInNoPool.Contains(d))
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"{pool.Pool.Name} uses one half of {host.Host.Name}'s mirrored boot",
            $"{host.Host.Name} starts from {string.Join(" and ", boots.Select(d => d.Name))}; {pool.Pool.Name} is on {string.Join(" and ", inIt.Select(d => d.Name))} alone.",
            () =>
                pool.Pool.Layout == PoolLayout.Single && free
                    ?
                    [
                        new Fix(
                            "Mirror it over both",
                            PoolEdits.Change(
                                host.Host.Id,
                                pool.Pool.Name,
                                p => p with { Layout = PoolLayout.Mirror, DiskIds = [.. boots.Select(d => d.Id)] }
                            )
                        ),
                    ]
                    : []
        );
}
