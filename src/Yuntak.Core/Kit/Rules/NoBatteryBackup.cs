using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Kit.Rules;

/// <summary>Pools with parity want a clean stop when the power goes.</summary>
internal sealed class NoBatteryBackup : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "kit.no-battery-backup",
            Severity.Mind,
            Station.Kit,
            Says: "A host with a parity or copy-on-write pool is linked to a battery backup.",
            Because: "A dirty stop costs up to a day of checking parity; without a link to the host the battery only delays it.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        where host.Host.BatteryBackup == false
        let pools = host
            .Host.Pools.Where(p => p.Family == PoolFamily.CopyOnWrite || p.Layout.ParityDisks() > 0)
            .Select(p => p.Name)
            .ToList()
        where pools.Count > 0
        select Info.On(
            Subject.Of(host.Host),
            $"A power cut stops {host.Host.Name} in mid-write",
            $"{string.Join(" and ", pools)} on {host.Host.Name} {(pools.Count == 1 ? "wants" : "want")} a clean stop, and no battery backup is linked to it. "
                + "Batteries can burn and shock: leave their insides to the maker or a licensed person."
        );
}
