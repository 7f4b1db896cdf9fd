using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Wires;

/// <summary>What runs over links, hour by hour.</summary>
internal static class LinkSums
{
    /// <summary>For each host with something to send: all that leaves it. For each share read from another host: that alone.</summary>
    public static IEnumerable<LinkUse> Of(HouseWires wires, IReadOnlyList<Sizing> sizings)
    {
        var reads = Reads(wires, sizings).ToList();
        var onHost = sizings.Where(s => s.Guest.Placement is not null).ToLookup(s => s.Guest.Placement!.Host);
        foreach (var host in wires.Lab.Hosts)
        {
            double Shares(int hour) => reads.Where(r => r.From.Id == host.Id).Sum(r => r.Reader.ReadBitsPerSecondAt(hour));
            var hours = Enumerable
                .Range(0, DayShape.Hours)
                .Select(hour => (Hour: hour, Bits: onHost[host.Id].Sum(g => g.BitsPerSecondAt(hour)) + Shares(hour)))
                .ToList();
            var (busiest, peak) = hours.MaxBy(h => h.Bits);
            if (peak > 0)
            {
                yield return new(
                    host,
                    NetworkOf(wires, host),
                    null,
                    new DataRate(peak),
                    Goodput(wires, host),
                    busiest,
                    new DataRate(Shares(busiest))
                );
            }
        }

        foreach (var read in reads)
        {
            var busiest = Enumerable.Range(0, DayShape.Hours).MaxBy(read.Reader.ReadBitsPerSecondAt);
            var rate = new DataRate(read.Reader.ReadBitsPerSecondAt(busiest));
            var slower = new[] { Goodput(wires, read.From), Goodput(wires, read.To) }.OfType<DataRate>().ToList();
            yield return new(
                read.From,
                read.To.Name,
                read.Share,
                rate,
                slower.Count == 0 ? null : new DataRate(slower.Min(s => s.BitsPerSecond)),
                busiest,
                rate
            );
        }
    }

    /// <summary>What a host's wire can carry, in the largest packets that all it is on agree on.</summary>
    private static DataRate? Goodput(HouseWires wires, Host host)
    {
        if (host.Hardware.Goodput is not { } usual || host.Hardware.LinkSpeeds.Count > 0)
        {
            return host.Hardware.Goodput;
        }

        var mtu = wires.BridgesOf(host.Id).Where(b => b.Port is not null).Select(b => b.Mtu).DefaultIfEmpty(Network.UsualMtu).Min();
        return new DataRate(usual.BitsPerSecond / LinkUse.GoodputShare(Network.UsualMtu) * LinkUse.GoodputShare(mtu));
    }

    private static string NetworkOf(HouseWires wires, Host host) =>
        wires.Networks.FirstOrDefault(n => n.Held.Any(h => h.Who == Holder.Of(host)))?.Network.Name
        ?? wires.BridgesOf(host.Id).SelectMany(b => b.Networks).FirstOrDefault()?.Name
        ?? "the switch";

    /// <summary>Guests that read their library from a share on another host: what they stream or convert is read there first.</summary>
    private static IEnumerable<(NetworkShare Share, Host From, Host To, Sizing Reader)> Reads(
        HouseWires wires,
        IReadOnlyList<Sizing> sizings
    ) =>
        from reader in sizings
        from mount in reader.Guest.Mounts
        where mount.Library
        let share = wires.Lab.Shares.FirstOrDefault(s => s.Name == mount.Share)
        where share is not null
        let @from = ShareSums.HostOf(wires.Lab, share)
        let to = wires.Lab.HostOf(reader.Guest)
        where @from is not null && to is not null && @from.Id != to.Id
        select (share, @from, to, reader);
}
