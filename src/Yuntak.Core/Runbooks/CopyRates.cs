using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>How long amounts take from here to there: the slowest of source, link and target. Disks by what they do in a row, links by their goodput.</summary>
internal static class CopyRates
{
    /// <summary>A link nobody has read: what arrives over 1 Gbit/s in packets of 1,500 bytes, 40 of them headers and 38 more round each on the wire (IEEE 802.3).</summary>
    public const double UsualLink = 1e9 / 8 * 1460 / 1538;

    /// <summary>The time an amount takes from one pool to another, here or over the network.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="amount">How much.</param>
    /// <param name="from">Host and pool it is read from; no pool where that is not known.</param>
    /// <param name="to">Host and pool it is written to; no host for one elsewhere.</param>
    public static Duration Time(Plan plan, ByteSize amount, (HostId? Host, string? Pool) from, (HostId? Host, string? Pool) to) =>
        amount <= ByteSize.Zero ? new(0) : Duration.Of(amount, Rate(plan, from, to));

    /// <summary>Bytes a second from one pool to another.</summary>
    public static double Rate(Plan plan, (HostId? Host, string? Pool) from, (HostId? Host, string? Pool) to)
    {
        var rate = Math.Min(Pool(plan, from), Pool(plan, to));
        return from.Host == to.Host ? rate : Math.Min(rate, Math.Min(Link(plan, from.Host), Link(plan, to.Host)));
    }

    /// <summary>What a host's link carries, in bytes a second.</summary>
    public static double Link(Plan plan, HostId? host) =>
        plan.Host(host)?.Hardware.Goodput is { } goodput ? goodput.BitsPerSecond / 8 : UsualLink;

    /// <summary>What the slowest disk of a pool does in a row; of none that is known, what a spinning one does.</summary>
    private static double Pool(Plan plan, (HostId? Host, string? Name) at)
    {
        var host = plan.Host(at.Host);
        var pool = host?.PoolNamed(at.Name) is { } planned ? (Host: host, Pool: planned) : Standing(plan, at);
        return (pool.Pool is null ? [] : pool.Host!.DisksOf(pool.Pool))
            .Select(d => DiskSpec.Of(d).SequentialRate)
            .DefaultIfEmpty(new DiskSpec(default).SequentialRate)
            .Min();
    }

    private static (Host? Host, Pool? Pool) Standing(Plan plan, (HostId? Host, string? Name) at) =>
        plan.AsBuilt.Host(at.Host) is { } host ? (host, host.PoolNamed(at.Name)) : (null, null);
}
