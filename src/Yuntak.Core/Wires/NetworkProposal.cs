using Yuntak.Core.Addresses;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires;

/// <summary>Networks that hosts were found on and nobody has planned.</summary>
public static class NetworkProposal
{
    /// <summary>One for each prefix read that none planned overlaps, the one with most hosts first.</summary>
    public static IReadOnlyList<Network> Of(Lab lab)
    {
        var planned = lab.Networks.Select(n => Prefix.Read(n.Prefix)).OfType<Prefix>().ToList();
        var read = lab
            // A bridge without a port is an engine's own, or a private one: nobody else is on it.
            .Hosts.SelectMany(h =>
                h.Hardware.Bridges.Where(b => b.Ports.Count > 0)
                    .SelectMany(b => b.Addresses)
                    .Concat(h.Hardware.Ports.SelectMany(p => p.Addresses))
            )
            .Select(Prefix.Around)
            .OfType<Prefix>()
            .Where(p => p.Hosts > 1 && p.IsPrivate && !planned.Exists(p.Overlaps))
            .GroupBy(p => p.ToString(), StringComparer.Ordinal)
            .OrderByDescending(g => g.Count())
            .ToList();
        List<Network> found = [];
        foreach (var prefix in read.Select(g => g.Key))
        {
            var name = Enumerable
                .Range(1, lab.Networks.Count + read.Count + 1)
                .Select(n => n == 1 ? "household" : $"household {n}")
                .First(n => lab.Network(n) is null && found.TrueForAll(f => f.Name != n));
            found.Add(new Network(name, prefix));
        }

        return found;
    }
}
