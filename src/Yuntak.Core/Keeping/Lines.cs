using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>Makes the lines copies go over.</summary>
internal static class Lines
{
    /// <summary>The disks of a pool.</summary>
    public static NightLine Disk(IReadOnlyList<Lab> labs, Host host, string? pool) =>
        new(
            NightLineKind.Disk,
            pool is null ? $"boot disk of {host.Name}" : $"{pool} on {host.Name}",
            CopyRates.Pool(labs, (host.Id, pool))
        );

    /// <summary>The link of a host, one way.</summary>
    public static NightLine Wire(IReadOnlyList<Lab> labs, Host host, bool into) =>
        new(NightLineKind.Wire, $"{host.Name} {(into ? "takes in" : "sends")}", CopyRates.Link(labs, host.Id));

    /// <summary>The line to another place: what it carries is less than what it is sold as, by what packets and frames cost.</summary>
    /// <param name="place">The place.</param>
    /// <param name="line">What it is sold as, in Mbit/s; null for what is usual.</param>
    public static NightLine To(string place, double? line) =>
        new(
            NightLineKind.Line,
            $"line to {place}",
            DataRate.FromMbps(line ?? KeepingRules.UsualLine).BytesPerSecond * Hardware.GoodputShare.Value
        );

    /// <summary>What lies in a pool of a host, read or written, with the link where the other end is elsewhere.</summary>
    public static IEnumerable<NightUse> End(IReadOnlyList<Lab> labs, (HostId? Host, string? Pool) at, HostId? other, bool into)
    {
        if (labs[0].Host(at.Host) is not { } host)
        {
            yield break;
        }

        yield return new NightUse(Disk(labs, host, at.Pool));
        if (other != host.Id)
        {
            yield return new NightUse(Wire(labs, host, into));
        }
    }

    /// <summary>Both ends together; a line that is at both is gone over twice.</summary>
    public static ValueList<NightUse> Join(IEnumerable<NightUse> from, IEnumerable<NightUse> to) =>
        [.. from.Concat(to).GroupBy(u => u.Line).Select(g => new NightUse(g.Key, g.Sum(u => u.Times)))];
}
