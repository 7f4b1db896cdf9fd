using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>
/// What stands: is there already and holds data or serves somebody. A lab that is kept knows it from what is built; a file marks it, host by host, pool by pool and
/// guest by guest. What stands never comes to be by a step.
/// </summary>
public static class Standing
{
    /// <summary>
    /// What a lab marks as standing, as a lab of its own. What carries something that stands does too: the host of a pool, the pools and the outer guest of a guest.
    /// Guests have their figures written down, since what stands has figures, not advice.
    /// </summary>
    public static Lab Of(Lab marked)
    {
        var outer = marked.Guests.Where(g => g.Stands).Select(g => g.RunsIn).OfType<GuestId>().ToHashSet();
        List<Guest> guests =
        [
            .. marked
                .Guests.Where(g => (g.Stands || outer.Contains(g.Id)) && marked.HostOf(g) is not null)
                .Select(g => Known.AsFacts(marked, g)),
        ];
        var used = guests
            .Where(g => g.Placement is not null)
            .SelectMany(g => new[] { g.Placement!.SystemPool, g.Placement.BulkPool }.Select(p => (g.Placement.Host, Pool: p)))
            .ToHashSet();
        List<Host> hosts = [];
        foreach (var host in marked.Hosts)
        {
            ValueList<Pool> pools = [.. host.Pools.Where(p => p.Stands || used.Contains((host.Id, p.Name)))];
            if (host.Stands || pools.Count > 0 || guests.Exists(g => g.Placement?.Host == host.Id))
            {
                hosts.Add(host with { Pools = pools });
            }
        }

        var stands = marked with { Hosts = [.. hosts], Guests = [.. guests], Ticks = [], Forwards = [], Shares = [], Reserved = [] };
        return Unmarked(
            StandingCopies.Marked(
                WithTheirWires(
                    stands with
                    {
                        Stores = [],
                        Jobs = [],
                        Onward = [],
                        Copies = marked.Copies,
                    },
                    marked,
                    guests.Select(g => g.Id),
                    whole: true
                ),
                marked
            )
        );
    }

    /// <summary>Whether a lab marks anything as standing.</summary>
    public static bool MarksAny(Lab lab) => lab.Hosts.Any(h => h.Stands || h.Pools.Any(p => p.Stands)) || lab.Guests.Any(g => g.Stands);

    /// <summary>A lab with the marks of what stands, for a file.</summary>
    public static Lab Marked(Lab draft, Lab asBuilt) =>
        StandingCopies.WithMarks(draft, asBuilt) with
        {
            Hosts = draft.Hosts.Change(_ => true, h => Marked(h, asBuilt.Host(h.Id))),
            Guests = draft.Guests.Change(_ => true, g => g with { Stands = asBuilt.Guest(g.Id) is not null }),
        };

    /// <summary>A lab without marks, as it is kept.</summary>
    public static Lab Unmarked(Lab lab) => Marked(lab, Lab.Empty(lab.Name));

    /// <summary>A lab with everything marked that can stand: all hosts with their pools, and all guests that are on one.</summary>
    public static Lab AllMarked(Lab lab) => Marked(lab, lab with { Guests = [.. lab.Guests.Where(g => lab.HostOf(g) is not null)] });

    /// <summary>The edit of what stands that adds what a lab file marks and does not stand yet. What stands already stays as it is.</summary>
    public static Edit TakeMarked(Lab marked) =>
        asBuilt =>
        {
            var stands = Of(marked);
            var hosts = asBuilt.Hosts.Change(
                _ => true,
                h => h with { Pools = [.. h.Pools, .. (stands.Host(h.Id)?.Pools ?? []).Where(p => h.PoolNamed(p.Name) is null)] }
            );
            var guests = stands.Guests.Where(g => asBuilt.Guest(g.Id) is null).ToList();
            var with = Unmarked(
                asBuilt with
                {
                    Hosts = [.. hosts, .. stands.Hosts.Where(h => asBuilt.Host(h.Id) is null)],
                    Guests = [.. asBuilt.Guests, .. guests],
                    Profiles = marked.Profiles,
                }
            );
            return new Changed(
                Unmarked(StandingCopies.Marked(WithTheirWires(with, marked, guests.Select(g => g.Id)), marked)),
                $"{Numbers.Count(stands.Hosts.Count, "host")} and {Numbers.Count(stands.Guests.Count, "guest")} stand, as the lab file says"
            );
        };

    /// <summary>The edit of what stands by which a host of the draft stands as it is, with those of its pools that hold something.</summary>
    /// <exception cref="Refused">When applied: the draft has no such host, or it stands already.</exception>
    public static Edit TakeHost(Lab draft, HostId id) =>
        asBuilt =>
        {
            var host = draft.Host(id) ?? throw new Refused("There is no such host in the draft.");
            return asBuilt.Host(id) is not null
                ? throw new Refused($"{host.Name} stands already.")
                : new Changed(WithTheirWires(asBuilt with { Hosts = asBuilt.Hosts.With(AsItIs(host)) }, draft, []), $"{host.Name} stands");
        };

    /// <summary>The edit of what stands by which pools of a host that stands stand too, with the disks they are on.</summary>
    /// <param name="draft">The draft, which has the pools.</param>
    /// <param name="id">The host.</param>
    /// <param name="names">The pools.</param>
    /// <exception cref="Refused">When applied: the host does not stand.</exception>
    public static Edit TakePools(Lab draft, HostId id, IReadOnlyList<string> names) =>
        asBuilt =>
        {
            var stands = asBuilt.Host(id) ?? throw new Refused("It does not stand, so nothing on it does.");
            var planned = draft.Host(id) ?? throw new Refused("There is no such host in the draft.");
            var pools = planned.Pools.Where(p => names.Contains(p.Name) && stands.PoolNamed(p.Name) is null).ToList();
            var disks = pools.SelectMany(planned.DisksOf).Where(d => stands.Disks.All(k => k.Id != d.Id));
            return new Changed(
                asBuilt.WithHost(id, h => h with { Disks = [.. h.Disks, .. disks], Pools = [.. h.Pools, .. pools] }),
                $"{string.Join(", ", names)} on {stands.Name} {(names.Count == 1 ? "stands" : "stand")}"
            );
        };

    /// <summary>The edit of what stands by which a pool is, and always was, as the draft says now: its layout was read or said wrongly. No step comes of it.</summary>
    /// <param name="draft">The draft, which has it right.</param>
    /// <param name="id">The host.</param>
    /// <param name="name">What the pool was called.</param>
    /// <param name="now">What it is called now.</param>
    /// <exception cref="Refused">When applied: there is no such pool, or a disk of it does not stand.</exception>
    public static Edit CorrectPool(Lab draft, HostId id, string name, string now) =>
        asBuilt =>
        {
            var right = draft.Host(id)?.PoolNamed(now) ?? throw new Refused("There is no such pool in the draft.");
            return PoolEdits.Change(id, name, _ => right, correcting: true)(asBuilt);
        };

    /// <summary>The edit of what stands by which guests of the draft stand as they are. The hosts they are on stand with them.</summary>
    /// <exception cref="Refused">When applied: one of them is on no host, or all stand already.</exception>
    public static Edit TakeGuests(Lab draft, IReadOnlyList<GuestId> ids) =>
        asBuilt =>
        {
            var guests = ids.Select(i => draft.Guest(i) ?? throw new Refused("There is no such guest in the draft."))
                .Where(g => asBuilt.Guest(g.Id) is null)
                .ToList();
            if (guests.Count == 0)
            {
                throw new Refused("They stand already.");
            }

            if (guests.Find(g => draft.HostOf(g) is null) is { } nowhere)
            {
                throw new Refused($"{nowhere.Name} is on no host yet: say where it runs, then that it stands.");
            }

            var with = guests.Aggregate(asBuilt, (lab, g) => Taken(lab, draft, g));
            return new Changed(
                WithTheirWires(with with { Profiles = draft.Profiles }, draft, guests.Select(g => g.Id)),
                $"{string.Join(", ", guests.Select(g => g.Name))} {(guests.Count == 1 ? "stands" : "stand")}"
            );
        };

    /// <summary>The edit of what stands by which networks, ports, ways in and shares are, of all that stands, as the draft says now. No step comes of it.</summary>
    public static Edit TakeWires(Lab draft) =>
        asBuilt =>
        {
            var guests = asBuilt.Guests.Change(
                g => draft.Guest(g.Id) is not null,
                g =>
                    g with
                    {
                        Interfaces = draft.Guest(g.Id)!.Interfaces,
                        Listens = draft.Guest(g.Id)!.Listens,
                        Mounts = draft.Guest(g.Id)!.Mounts,
                    }
            );
            var hosts = asBuilt.Hosts.Change(h => draft.Host(h.Id) is not null, h => h with { Wires = draft.Host(h.Id)!.Wires });
            var bare = asBuilt with { Hosts = hosts, Guests = guests, Forwards = [], Shares = [], Reserved = [] };
            return new Changed(
                WithTheirWires(bare, draft, guests.Select(g => g.Id)),
                "networks, addresses, ports and shares are as planned"
            );
        };

    /// <summary>The edit of what stands by which stores, jobs and onward copies are as the draft says now, as far as what they speak of stands. No step comes of it.</summary>
    public static Edit TakeKeeping(Lab draft) =>
        asBuilt => new Changed(StandingCopies.OfDraft(asBuilt, draft), "stores, jobs and onward copies are as planned");

    /// <summary>The edit of what stands by which a host is to be built once more on paper, and all that is on it. Nothing is done to the host itself.</summary>
    /// <exception cref="Refused">When applied: it does not stand.</exception>
    public static Edit LetHostGo(HostId id) =>
        asBuilt =>
        {
            var host = asBuilt.Host(id) ?? throw new Refused("It does not stand; it is to be built already.");
            return new Changed(
                WireEdits.Without(
                    asBuilt with
                    {
                        Hosts = asBuilt.Hosts.Without(h => h.Id == id),
                        Guests = asBuilt.Guests.Without(g => asBuilt.HostOf(g)?.Id == id),
                    }
                ),
                $"{host.Name} is to be built"
            );
        };

    /// <summary>The edit of what stands by which guests are to be built once more on paper, with the app stacks inside them.</summary>
    /// <exception cref="Refused">When applied: none of them stands.</exception>
    public static Edit LetGuestsGo(IReadOnlyList<GuestId> ids) =>
        asBuilt =>
        {
            var gone = asBuilt.Guests.Where(g => ids.Contains(g.Id) || g.RunsIn is { } outer && ids.Contains(outer)).ToList();
            return gone.Count == 0
                ? throw new Refused("None of them stands; they are to be built already.")
                : new Changed(
                    WireEdits.Without(asBuilt with { Guests = asBuilt.Guests.Without(g => gone.Contains(g)) }),
                    $"{string.Join(", ", gone.Select(g => g.Name))} {(gone.Count == 1 ? "is" : "are")} to be built"
                );
        };

    /// <summary>A pool of which a disk holds something, or of whose content somebody said how much it is, is there already; one over empty disks is still to be made. Of a host that was typed in nobody has looked: its pools are there as it is.</summary>
    private static Host AsItIs(Host host) =>
        host with
        {
            Pools =
            [
                .. host.Pools.Where(p =>
                    !host.WasRead || p.AlreadyUsed > ByteSize.Zero || host.DisksOf(p).Any(d => d.HoldsSomething || host.StartsFrom(d))
                ),
            ],
        };

    private static Lab Taken(Lab asBuilt, Lab draft, Guest guest)
    {
        var outer = draft.Outer(guest);
        var lab = outer is not null && asBuilt.Guest(outer.Id) is null ? Taken(asBuilt, draft, outer) : asBuilt;
        var host = draft.HostOf(guest)!;
        if (lab.Host(host.Id) is null)
        {
            lab = lab with { Hosts = lab.Hosts.With(AsItIs(host)) };
        }

        var place = guest.Placement;
        lab = lab.WithHost(
            host.Id,
            h =>
                h with
                {
                    // What a guest that stands keeps its disks in is there too.
                    Pools =
                    [
                        .. h.Pools,
                        .. host.Pools.Where(p => (p.Name == place?.SystemPool || p.Name == place?.BulkPool) && h.PoolNamed(p.Name) is null),
                    ],
                }
        );
        return lab with { Guests = lab.Guests.With(Known.AsFacts(draft, guest)) };
    }

    /// <summary>What stands, with the networks it is on, and what of ways in, shares and reservations belongs to guests that stand from now on.</summary>
    private static Lab WithTheirWires(Lab stands, Lab draft, IEnumerable<GuestId> fresh, bool whole = false)
    {
        var now = fresh.ToHashSet();
        var macs = draft.Guests.Where(g => now.Contains(g.Id)).SelectMany(g => g.Interfaces.Select(l => Macs.Of(g, l))).ToHashSet();
        macs.UnionWith(draft.Boxes.Select(b => b.Mac).OfType<string>());
        macs.UnionWith(stands.Hosts.SelectMany(h => h.Wires.Interfaces.Select(l => l.Mac ?? h.ManagementPort?.Mac)).OfType<string>());
        var with = stands with
        {
            Networks = [.. stands.Networks, .. draft.Networks.Where(n => stands.Network(n.Name) is null)],
            Boxes = [.. stands.Boxes, .. draft.Boxes.Where(b => stands.Boxes.All(k => k.Name != b.Name))],
            Sites = [.. stands.Sites, .. draft.Sites.Where(s => stands.Sites.All(k => k.Name != s.Name))],
            Forwards = [.. stands.Forwards, .. draft.Forwards.Where(f => now.Contains(f.To) && stands.Forwards.All(k => k.Key != f.Key))],
            Shares =
            [
                .. stands.Shares,
                .. draft.Shares.Where(s =>
                    stands.Shares.All(k => k.Name != s.Name)
                    && (
                        // Of a home that stands as a whole, what hosts and boxes share is shared.
                        whole && s.From.Guest is null
                        || s.From.Guest is { } g && now.Contains(g)
                        || ShareSums.Users(draft, s).Any(u => now.Contains(u.Guest.Id))
                    )
                ),
            ],
            Reserved =
            [
                .. stands.Reserved,
                .. new HouseWires(draft, []).Reservations.Where(r => macs.Contains(r.Mac) && !stands.Reserved.Contains(r)),
            ],
        };
        return WireEdits.Without(with);
    }

    private static Host Marked(Host host, Host? stands) =>
        host with
        {
            Stands = stands is not null,
            Pools = host.Pools.Change(_ => true, p => p with { Stands = stands?.PoolNamed(p.Name) is not null }),
        };
}
