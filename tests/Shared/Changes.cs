using CsCheck;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;

namespace Yuntak.Tests;

/// <summary>A lab and what somebody plans to make of it: random changes of the kind people make, some of them unwise.</summary>
internal static class Changes
{
    /// <summary>A lab that stands and a draft of up to six changes to it.</summary>
    public static readonly Gen<(Lab Stands, Lab Draft)> AnyPair =
        from lab in Gens.AnyLab
        from kinds in Gen.Int[0, 25].Array[1, 6]
        from picks in Gen.Int[0, 1000].Array[24]
        select (Stands(lab), kinds.Select((kind, n) => Change(kind, picks, n * 4)).Aggregate(lab, Gens.Try));

    /// <summary>Two labs that have something in common, or nothing: the second is planned where the first stands.</summary>
    public static readonly Gen<(Lab Stands, Lab Draft)> AnyTwo = Gen.OneOf(
        AnyPair,
        Gen.Select(Gens.AnyLab, Gens.AnyLab).Select(two => (Stands(two.Item1), two.Item2))
    );

    /// <summary>What stands is on a host; what is only asked for does not stand.</summary>
    public static Lab Stands(Lab lab) =>
        lab.Guests.Where(g => lab.HostOf(g) is null).Aggregate(lab, (l, g) => GuestEdits.Remove(g.Id)(l).Lab);

    private static Edit Change(int kind, int[] picks, int at) =>
        lab =>
        {
            var (a, b, c, d) = (picks[at], picks[at + 1], picks[at + 2], picks[at + 3]);
            if (lab.Hosts.Count == 0)
            {
                return HostEdits.Add(Small.Host($"new {a}"))(lab);
            }

            var host = lab.Hosts[a % lab.Hosts.Count];
            var guest = lab.Guests.Count == 0 ? null : lab.Guests[b % lab.Guests.Count];
            var pool = host.Pools.Count == 0 ? null : host.Pools[c % host.Pools.Count];
            var edit = kind switch
            {
                < 9 when pool is not null => PoolChange(kind, lab, host, pool, d),
                < 16 when guest is not null => GuestChange(kind, guest, host, c, d),
                16 => HostEdits.Change(host.Id, h => h with { Memory = ByteSize.FromGiB(1 + (d % 128)) }),
                17 => HostEdits.Remove(host.Id),
                19 => WireEdits.AddNetwork(new Network($"net {a % 3}", "10.9.0.0/24")),
                > 21 => CopyGens.Any(lab, new Random(a + (b * 1001))),
                > 19 => WireGens.Any(lab, new Random(a + (b * 1001))),
                _ => HostEdits.Add(Small.Host($"new {a}")),
            };
            return edit(lab);
        };

    private static Edit PoolChange(int kind, Lab lab, Host host, Pool pool, int d)
    {
        var others = host.Disks.Where(k => !pool.DiskIds.Contains(k.Id)).Select(k => k.Id).ToList();
        var other = others.Count == 0 ? "none" : others[d % others.Count];
        return kind switch
        {
            0 => PoolEdits.Change(host.Id, pool.Name, p => p with { Name = $"renamed {d % 3}" }),
            1 => PoolEdits.Change(host.Id, pool.Name, p => p with { Layout = (PoolLayout)(d % 9) }),
            2 => PoolEdits.Change(host.Id, pool.Name, p => p with { Family = 1 - p.Family, Name = d % 2 == 0 ? "anew" : p.Name }),
            3 => PoolEdits.MoveDisk(host.Id, other, pool.Name),
            4 => PoolEdits.ReplaceDisk(host.Id, pool.Name, pool.DiskIds[d % pool.DiskIds.Count], other),
            5 => HostEdits.RemovePool(host.Id, pool.Name),
            // Taken apart and its disks used anew under another name, and guests put there.
            6 => l =>
            {
                var apart = HostEdits.RemovePool(host.Id, pool.Name)(l).Lab;
                var made = HostEdits.AddPool(host.Id, pool with { Name = $"second {d % 3}", Family = PoolFamily.BlockArray })(apart).Lab;
                return new Changed(
                    lab.GuestsOn(host.Id)
                        .Aggregate(
                            made,
                            (m, g) =>
                                Gens.Try(
                                    m,
                                    GuestEdits.UsePools(g.Id, $"second {d % 3}", g.Placement?.BulkPool is null ? null : $"second {d % 3}")
                                )
                        ),
                    ""
                );
            },
            7 => PoolEdits.Change(host.Id, pool.Name, p => p with { Encrypted = d % 3 == 0 ? null : d % 3 == 1 }),
            _ => PoolEdits.Change(host.Id, pool.Name, p => p with { AlreadyUsed = ByteSize.FromGB(d % 400), ScrubDays = d % 40 }),
        };
    }

    private static Edit GuestChange(int kind, Guest guest, Host host, int c, int d) =>
        kind switch
        {
            9 => GuestEdits.Change(
                guest.Id,
                g => g with { Overrides = new SizeOverrides(1 + (c % 8), ByteSize.FromMiB(256 * (1 + (d % 40)))) }
            ),
            10 => GuestEdits.Place(guest.Id, host.Id),
            // Moved, and given other figures at the same time.
            11 => l =>
                GuestEdits.Change(
                    guest.Id,
                    g => g with { Overrides = new SizeOverrides(1 + (c % 8), ByteSize.FromMiB(256 * (1 + (d % 40)))) }
                )(GuestEdits.Place(guest.Id, host.Id)(l).Lab),
            12 => GuestEdits.UsePools(
                guest.Id,
                host.Pools.Count == 0 ? null : host.Pools[c % host.Pools.Count].Name,
                host.Pools.Count == 0 ? null : host.Pools[d % host.Pools.Count].Name
            ),
            13 => GuestEdits.Remove(guest.Id),
            14 => GuestEdits.TakeOff(guest.Id),
            _ => GuestEdits.Change(guest.Id, g => g with { Kind = (GuestKind)(c % 3), Name = $"{guest.Name.Trim()} {d % 2}" }),
        };
}
