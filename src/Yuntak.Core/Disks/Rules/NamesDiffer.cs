using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Disks.Rules;

/// <summary>Pools for the same purpose have the same name on every host.</summary>
internal sealed class NamesDiffer : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.names-differ",
            Severity.Mind,
            Station.Disks,
            Says: "Pools that are meant for guest disks, or hold them, have the same name on every host.",
            Because: "A guest moves to another host by itself only when it finds a pool of the name it knows.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from pools in new[] { ForGuestDisks(lab).ToList() }
        let names = pools.GroupBy(p => p.Pool.Pool.Name, StringComparer.OrdinalIgnoreCase).OrderByDescending(g => g.Count()).ToList()
        where names.Count > 1
        from odd in names.Skip(1).SelectMany(g => g)
        where odd.Host.Host.PoolNamed(names[0].Key) is null
        select Info.On(
            Subject.Of(odd.Host.Host, odd.Pool.Pool),
            $"Guest disks lie in {odd.Pool.Pool.Name} on {odd.Host.Host.Name} and in {names[0].Key} elsewhere",
            $"Give pools for the same purpose one name, and guests move without being told where.",
            () =>
                [
                    new Fix(
                        $"Call it {names[0].Key}",
                        PoolEdits.Change(odd.Host.Host.Id, odd.Pool.Pool.Name, p => p with { Name = names[0].Key })
                    ),
                ]
        );

    private static IEnumerable<(HostAssessment Host, PoolBudget Pool)> ForGuestDisks(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where
            pool.Pool.Takes.Contains(ContentKind.GuestDisks)
            // A pool that says what else it is for only lodges a guest's disk; what is wrong then is said at the pool.
            // One on a boot disk is called as its system calls it.
            || pool.Pool.Takes.Count == 0
                && !pool.OnBootDisk
                && host.Guests.Any(g => g.Guest.Kind != GuestKind.AppStack && g.Guest.Placement?.SystemPool == pool.Pool.Name)
        select (host, pool);
}
