using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
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
            Says: "Pools for guest disks have the same name on every host.",
            Because: "A guest moves to another host by itself only when it finds a pool of the name it knows.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from kind in new[] { ContentKind.GuestDisks }
        let pools = lab.Hosts.SelectMany(h => h.Pools.Where(p => p.Pool.Takes.Contains(kind)).Select(p => (Host: h, Pool: p))).ToList()
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
}
