using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>How long amounts take from here to there: the slowest of source, link and target. Disks by what they do in a row, links by their goodput. Every time of a copy in the product comes from here.</summary>
internal static class CopyRates
{
    /// <summary>A link nobody has read: what arrives over 1 Gbit/s in packets of 1,500 bytes, 40 of them headers and 38 more round each on the wire (IEEE 802.3).</summary>
    public const double UsualLink = 1e9 / 8 * 1460 / 1538;

    /// <summary>The time an amount takes from one pool to another, here or over the network.</summary>
    /// <param name="labs">The labs in which hosts and pools are looked up, the first that has one counts.</param>
    /// <param name="amount">How much.</param>
    /// <param name="from">Host and pool it is read from; no pool where that is not known.</param>
    /// <param name="to">Host and pool it is written to; no host for one elsewhere.</param>
    public static Duration Time(
        IReadOnlyList<Lab> labs,
        ByteSize amount,
        (HostId? Host, string? Pool) from,
        (HostId? Host, string? Pool) to
    ) => amount <= ByteSize.Zero ? new(0) : Duration.Of(amount, Rate(labs, from, to));

    /// <summary>Bytes a second from one pool to another.</summary>
    public static double Rate(IReadOnlyList<Lab> labs, (HostId? Host, string? Pool) from, (HostId? Host, string? Pool) to)
    {
        var rate = Math.Min(Pool(labs, from), Pool(labs, to));
        return from.Host == to.Host ? rate : Math.Min(rate, Math.Min(Link(labs, from.Host), Link(labs, to.Host)));
    }

    /// <summary>What a host's link carries, in bytes a second.</summary>
    public static double Link(IReadOnlyList<Lab> labs, HostId? host) =>
        labs.Select(l => l.Host(host)).FirstOrDefault(h => h is not null)?.Hardware.Goodput is { } goodput
            ? goodput.BitsPerSecond / 8
            : UsualLink;

    /// <summary>What the slowest disk of a pool does in a row, in bytes a second; of none that is known, what a spinning one does.</summary>
    public static double Pool(IReadOnlyList<Lab> labs, (HostId? Host, string? Name) at)
    {
        var found = labs.Select(l => l.Host(at.Host))
            .Select(h => (Host: h, Pool: h?.PoolNamed(at.Name)))
            .FirstOrDefault(f => f.Pool is not null);
        return (found.Pool is null ? [] : found.Host!.DisksOf(found.Pool))
            .Select(d => DiskSpec.Of(d).SequentialRate)
            .DefaultIfEmpty(new DiskSpec(default).SequentialRate)
            .Min();
    }
}
