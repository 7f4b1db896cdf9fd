using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Edits;

/// <summary>Taking over guests that run already.</summary>
public static class TakeOverEdits
{
    /// <summary>Adds guests and puts each on the host it runs on, in the pools that suit it best; what stands is said apart.</summary>
    /// <param name="host">The host.</param>
    /// <param name="guests">The guests, with whatever is known of them.</param>
    /// <exception cref="Refused">When applied: there is no such host, no guest, or one is not sound.</exception>
    /// <param name="stand">Whether they are there: then what they keep is part of what lies in their pools already, and is not counted twice.</param>
    public static Edit Take(HostId host, IReadOnlyList<Guest> guests, bool stand) =>
        lab =>
        {
            var target = lab.Host(host) ?? throw new Refused("That host is no longer in the lab.");
            if (guests.Count == 0)
            {
                throw new Refused("There is no guest to take over.");
            }

            var with = lab;
            foreach (var guest in guests)
            {
                with = GuestEdits
                    .Add(
                        guest with
                        {
                            Placement = null,
                            Name = Free(with, guest.Name),
                            // A network that is not planned here is none.
                            Interfaces = [.. guest.Interfaces.Where(l => with.Network(l.Network) is not null)],
                            Mounts = [],
                        }
                    )(with)
                    .Lab;
                var added = with.Guests[^1];
                with = with.WithGuest(added.Id, g => g with { Placement = VolumePlacement.Choose(with, g, target) });
                with = stand ? CountedOnce(with, host, added.Id) : with;
            }

            return new Changed(with, $"{Numbers.Count(guests.Count, "guest")} of {target.Name} taken over");
        };

    /// <summary>The lab in which what a guest keeps is taken out of what lay in its pools before anybody said whose it is.</summary>
    private static Lab CountedOnce(Lab lab, HostId host, GuestId guest)
    {
        var sizing = Sizing.Of(lab, lab.Guest(guest)!);
        return lab.WithHost(
            host,
            h =>
                h with
                {
                    Pools = h.Pools.Change(
                        p => p.AlreadyUsed > ByteSize.Zero,
                        p => p with { AlreadyUsed = ByteSize.Max(ByteSize.Zero, p.AlreadyUsed - new PoolBudget(h, p, []).ClaimOf(sizing)) }
                    ),
                }
        );
    }

    /// <summary>The pools that were found on a host and are not known yet: over disks that belong to none.</summary>
    public static IReadOnlyList<Pool> NewPools(Host host) =>
        [.. PoolProposal.Found(host).Where(f => host.PoolNamed(f.Name) is null && host.Pools.All(p => !p.DiskIds.Any(f.DiskIds.Contains)))];

    /// <summary>Adds the pools that were found on a host and are not known yet. Nothing is made: they are there.</summary>
    /// <exception cref="Refused">When applied: there is no such host.</exception>
    public static Edit TakePools(HostId host) =>
        lab =>
        {
            var target = lab.Host(host) ?? throw new Refused("That host is no longer in the lab.");
            var found = NewPools(target);
            return new Changed(
                lab.WithHost(host, h => h with { Pools = [.. h.Pools, .. found] }),
                $"{target.Name}: {string.Join(", ", found.Select(p => p.Name))} found"
            );
        };

    /// <summary>A guest of that name may be on another host already; then the name gets a number.</summary>
    private static string Free(Lab lab, string name)
    {
        var free = name;
        for (var n = 2; lab.Guests.Any(g => string.Equals(g.Name, free, StringComparison.OrdinalIgnoreCase)); n++)
        {
            free = $"{name} {n}";
        }

        return free;
    }
}
