using System.Collections.Immutable;
using Yuntak.Core.Bench;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Simulation;

/// <summary>Simulated hosts as a lab has them.</summary>
internal static class HouseMaker
{
    /// <summary>The hosts of a lab with its guests on them, each as far in its life as it is.</summary>
    public static SimHouse Of(Sums sums)
    {
        var lab = sums.Lab;
        var house = new SimHouse
        {
            Shares = lab
                .Shares.Where(s => s.From.Guest is not { } g || lab.Guest(g) is { } there && lab.HostOf(there) is not null)
                .ToImmutableDictionary(s => s.Name),
            Ways = [.. lab.Forwards.Where(f => On(f.To) && (f.Through is not { } t || On(t)))],
            Reserved = [.. lab.Reserved],
            Kept = KeptThings.Of(lab).ToImmutableDictionary(),
        };
        foreach (var host in lab.Hosts)
        {
            house.Join(Of(sums, host));
        }

        foreach (var guest in lab.Guests.Where(g => lab.HostOf(g) is not null))
        {
            house.Stand(GuestNeeds.Of(sums, guest.Id), guest.Life, sums.Guest(guest.Id).IsThrowAway);
        }

        return house;

        bool On(GuestId id) => lab.Guest(id) is { } guest && lab.HostOf(guest) is not null;
    }

    /// <summary>A host that stands, without its guests.</summary>
    private static SimHost Of(Sums sums, Host host)
    {
        var made = Bare(sums, host);
        made.Engine = true;
        made.Pools = sums.Host(host.Id)!.Pools.ToImmutableDictionary(p => p.Pool.Name, Of);
        made.Bridges = host.Wires.Bridges.ToImmutableDictionary(b => b.Name);
        made.Kept =
        [
            .. host.DisksInNoPool.Where(d => host.StartsFrom(d) || d is { HoldsSomething: true, MayBeWiped: null }).Select(d => d.Id),
        ];
        return made;
    }

    /// <summary>A host that has come up and has neither pools nor bridges yet.</summary>
    public static SimHost Bare(Sums sums, Host host)
    {
        return new SimHost
        {
            Id = host.Id,
            Name = host.Name,
            Processor = host.Processor,
            Memory = host.Memory,
            Keeps = sums.Host(host.Id)!.Memory.Kept,
            Disks = [.. host.Disks.Select(d => d.Id)],
            Kept = [.. host.DisksInNoPool.Where(host.HoldsUnsaid).Select(d => d.Id)],
            // Where an engine has to be installed, a step does it.
            Engine = host.Type is not (HostType.Server or HostType.Board),
        };
    }

    private static SimPool Of(PoolBudget budget)
    {
        return new SimPool
        {
            Name = budget.Pool.Name,
            Made = budget.Pool,
            Disks = [.. budget.Pool.DiskIds],
            // What stands fits where it stands, whatever the sums say of it.
            Room = ByteSize.Max(budget.Room.Usable, budget.Claimed.Value),
            Other = budget.BesideGuests,
            Used = budget.Claimed.Value,
        };
    }
}
