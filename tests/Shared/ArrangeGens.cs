using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Tests;

/// <summary>Random labs for arranging: hosts of several sizes, guests that fill them more or less, some of them placed.</summary>
internal static class ArrangeGens
{
    private static readonly string[] Profiles = ["wiki", "test-machine", "names", "database", "files-photos", "films", "backup"];

    /// <summary>A lab.</summary>
    /// <param name="seed">The same for the same lab.</param>
    /// <param name="hosts">How many hosts.</param>
    /// <param name="guests">How many guests.</param>
    /// <param name="fill">How much of all memory the guests want, about.</param>
    /// <param name="placed">The part of them that is on a host already.</param>
    /// <param name="settled">Whether everybody who is placed has room there.</param>
    /// <param name="odd">Whether some are kept apart, together, pinned, or may be packaged otherwise.</param>
    public static Lab Of(int seed, int hosts, int guests, double fill = 0.85, double placed = 0.7, bool odd = true, bool settled = false)
    {
        var random = new Random(seed);
        List<Host> made = [.. Enumerable.Range(0, hosts).Select(n => AHost(random, $"host {(char)('a' + (n % 26))}{n}"))];
        var known = Profiles.Where(p => ProfileBook.Standard.Find(p) is not null).ToArray();
        var all = made.Sum(h => h.Memory.GiB - 1.5);
        List<Guest> asked = [.. Enumerable.Range(0, guests).Select(n => AGuest(random, n, known, all * fill / guests, made, placed))];
        for (var n = 1; odd && n < guests; n++)
        {
            asked[n] = random.Next(14) switch
            {
                0 => asked[n] with { Apart = [asked[random.Next(n)].Id] },
                1 => asked[n] with { Together = [asked[random.Next(n)].Id] },
                2 when asked[n].Placement is not null => asked[n] with { Pinned = true },
                3 when asked[n].Kind != GuestKind.AppStack => asked[n] with { MayBe = [GuestKind.SystemContainer, GuestKind.Machine] },
                4 => asked[n] with { MadeFor = "aarch64" },
                _ => asked[n],
            };
        }

        var lab = Lab.Empty("arranged") with { Hosts = [.. made], Guests = [.. asked] };
        return settled ? Settled(lab) : lab;
    }

    /// <summary>A home that runs: everybody who is placed is where there is room, put there one after the other as people do; the others wait.</summary>
    private static Lab Settled(Lab lab)
    {
        var settled = lab with { Guests = lab.Guests.Change(_ => true, g => g with { Placement = null }) };
        foreach (var guest in lab.Guests.Where(g => g.Placement is not null))
        {
            if (FitCheck.Best(Sums.Of(settled), settled.Guest(guest.Id)!) is { } best)
            {
                settled = settled.WithGuest(guest.Id, g => g with { Placement = best.Guest.Placement });
            }
        }

        return settled;
    }

    private static Host AHost(Random random, string name)
    {
        var slug = Names.Slug(name);
        var cores = 2 << random.Next(4);
        List<Disk> disks = [new($"{slug}-boot", "sda", ByteSize.FromGB(240), DiskKind.SataFlash, ["/"])];
        List<Pool> pools = [];
        disks.Add(new($"{slug}-flash", "nvme0n1", ByteSize.FromGB(random.Next(4, 20) * 100), DiskKind.NvmeFlash));
        pools.Add(
            new(
                "ember",
                PoolLayout.Single,
                PoolFamily.BlockArray,
                [$"{slug}-flash"],
                ByteSize.FromGB(random.Next(3) * 50),
                Thin: random.Next(3) == 0
            )
        );
        if (random.Next(2) == 0)
        {
            disks.Add(new($"{slug}-bulk", "sdb", ByteSize.FromTB(random.Next(2, 16)), DiskKind.Spinning));
            pools.Add(
                new("clay", PoolLayout.Single, random.Next(2) == 0 ? PoolFamily.CopyOnWrite : PoolFamily.BlockArray, [$"{slug}-bulk"])
            );
        }

        return new Host(
            new HostId(slug),
            name,
            "",
            new HostFacts(
                new Processor(random.Next(8) == 0 ? "aarch64" : "x86_64", 1, cores, cores * 2, random.Next(9) > 0),
                ByteSize.FromGiB(8 << random.Next(4)),
                [.. disks],
                NetworkPorts: 2,
                BatteryBackup: true,
                IdleWatts: 5 + random.Next(60),
                FullWatts: 90
            ),
            new HostPlan([.. pools])
        );
    }

    private static Guest AGuest(Random random, int number, string[] profiles, double meanGiB, List<Host> hosts, double placed)
    {
        var name = $"guest {number}";
        var kind = (GuestKind)random.Next(3);
        var on = hosts[random.Next(hosts.Count)];
        var bulk = random.Next(4) == 0 ? (ByteSize?)ByteSize.FromGB(random.Next(1, 30) * 100) : ByteSize.Zero;
        return new Guest(
            new GuestId(Names.Slug(name)),
            name,
            kind,
            [new Want(profiles[random.Next(profiles.Length)])],
            new SizeOverrides(
                random.Next(1, 5),
                ByteSize.FromMiB(Math.Max(1, Math.Round(meanGiB * (0.2 + (1.6 * random.NextDouble())) * 8)) * 128),
                ByteSize.FromGiB(random.Next(4, 80)),
                bulk
            ),
            random.NextDouble() < placed ? new Placement(on.Id, "ember", bulk > ByteSize.Zero ? on.Pools[^1].Name : null) : null,
            (Importance)random.Next(3),
            kind == GuestKind.Machine && random.Next(5) == 0 ? ByteSize.FromMiB(512) : null,
            Folders: kind == GuestKind.AppStack ? [new FolderMount($"/srv/{Names.Slug(name)}", "/data")] : [],
            Ports: [8000 + number]
        );
    }
}
