using Yuntak.Core.Bench;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;

namespace Yuntak.Core.Stations;

/// <summary>What a change did to the lab: the hosts it touched, before and after, and the findings that came and went.</summary>
/// <param name="Hosts">One line for each host whose budgets changed.</param>
/// <param name="Came">Findings that were not there before.</param>
/// <param name="Went">Findings that are settled.</param>
public sealed record Verdict(IReadOnlyList<HostVerdict> Hosts, IReadOnlyList<Finding> Came, IReadOnlyList<Finding> Went)
{
    /// <summary>The worst fit of the hosts touched; null when none was.</summary>
    public Fit? Worst => Hosts.Count == 0 ? null : Hosts.Max(h => h.Fit);

    /// <summary>Compares a lab before and after a change.</summary>
    public static Verdict Between(Assessment before, Assessment after)
    {
        var hosts =
            from host in after.Hosts
            let was = before.Host(host.Host.Id)
            where was is null || Differs(was, host)
            select new HostVerdict(host.Host.Name, was?.Fit, host.Fit, Words(was, host));
        var had = before.Findings.Select(f => f.Key).ToHashSet(StringComparer.Ordinal);
        var has = after.Findings.Select(f => f.Key).ToHashSet(StringComparer.Ordinal);
        return new Verdict(
            [.. hosts],
            [.. after.Findings.Where(f => !had.Contains(f.Key))],
            [.. before.Findings.Where(f => !has.Contains(f.Key))]
        );
    }

    private static bool Differs(HostAssessment was, HostAssessment host) =>
        was.Memory.Committed.Value != host.Memory.Committed.Value
        || was.Memory.Total != host.Memory.Total
        || Math.Abs(was.Processor.Peak.Value.Value - host.Processor.Peak.Value.Value) > 0.001
        || Math.Abs(was.Processor.Effective.Value.Value - host.Processor.Effective.Value.Value) > 0.001
        || !was.Pools.Select(p => (p.Claimed.Value, p.Room.Usable)).SequenceEqual(host.Pools.Select(p => (p.Claimed.Value, p.Room.Usable)));

    private static string Words(HostAssessment? was, HostAssessment host)
    {
        var spare =
            host.Memory.Spare < ByteSize.Zero ? $"{ByteSize.Zero - host.Memory.Spare} short"
            : host.Memory.Spare == ByteSize.Zero ? "nothing spare"
            : $"{host.Memory.Spare} spare";
        var cores =
            $"{Numbers.OneDecimal(host.Processor.Peak.Value.Value)} of {Numbers.OneDecimal(host.Processor.Effective.Value.Value)} cores at {Numbers.Hour(host.Processor.PeakHour)}";
        var full = host.Pools.Where(p => p.Fit == Fit.Over).Select(p => p.Pool.Name).ToList();
        var disks = full.Count == 0 ? "" : $", {string.Join(" and ", full)} too small";
        return was is null ? $"joins with {spare}" : $"{spare}, {cores}{disks}";
    }
}
