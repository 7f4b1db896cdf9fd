using Yuntak.Core.Disks;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>A host that could be bought: what its advertisement says, and nothing that has to be read from it.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Price">What it costs, in the currency of the lab.</param>
/// <param name="Cores">Its cores.</param>
/// <param name="Memory">Its memory.</param>
/// <param name="Threads">Its hardware threads; null for one to a core.</param>
/// <param name="Flash">Flash in it; nothing for none.</param>
/// <param name="Bulk">Spinning disks in it, as one; nothing for none.</param>
/// <param name="IdleWatts">Power at rest, when known.</param>
/// <param name="FullWatts">Power at full load, when known.</param>
/// <param name="NetworkPorts">Wired ports; null when it does not say.</param>
/// <param name="Architecture">The family of its processor.</param>
/// <param name="Type">What system it would run.</param>
public sealed record HostOffer(
    string Name,
    double Price,
    int Cores,
    ByteSize Memory,
    int? Threads = null,
    ByteSize Flash = default,
    ByteSize Bulk = default,
    double? IdleWatts = null,
    double? FullWatts = null,
    int? NetworkPorts = null,
    string Architecture = "x86_64",
    HostType Type = HostType.Hypervisor
)
{
    /// <summary>
    /// The host it would be. Its pools are called what pools of their sort are called most in the lab, so that guests can move straight across.
    /// </summary>
    /// <param name="lab">The lab it would join.</param>
    public Host AsHost(Lab lab)
    {
        List<Disk> disks = [];
        List<Pool> pools = [];
        Add("flash", Flash, DiskKind.NvmeFlash, flash: true);
        Add("bulk", Bulk, DiskKind.Spinning, flash: false);
        return new Host(
            new HostId(Base.Names.IdFrom(Name, lab.Hosts.Select(h => h.Id.Value))),
            Name,
            "offered",
            new HostFacts(
                new Processor(Architecture, 1, Cores, Math.Max(Cores, Threads ?? Cores)),
                Memory,
                [.. disks],
                NetworkPorts,
                IdleWatts: IdleWatts,
                FullWatts: FullWatts,
                Type: Type
            ),
            new HostPlan([.. pools])
        );

        void Add(string what, ByteSize size, DiskKind kind, bool flash)
        {
            if (size > ByteSize.Zero)
            {
                var like = lab
                    .Hosts.SelectMany(h => h.Pools.Where(p => pools.TrueForAll(k => k.Name != p.Name)).Select(p => (Host: h, Pool: p)))
                    .Where(p => p.Host.DisksOf(p.Pool).Any() && p.Host.DisksOf(p.Pool).All(d => d.IsFlash) == flash)
                    .GroupBy(p => p.Pool.Name, StringComparer.Ordinal)
                    .OrderByDescending(g => g.Count())
                    .FirstOrDefault();
                disks.Add(new Disk($"{Base.Names.Slug(Name)}-{what}", what, size, kind));
                pools.Add(
                    new Pool(like?.Key ?? what, PoolLayout.Single, like?.First().Pool.Family ?? PoolFamily.BlockArray, [disks[^1].Id])
                );
            }
        }
    }
}
