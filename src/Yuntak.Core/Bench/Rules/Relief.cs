using Yuntak.Core.Disks;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Bench.Rules;

/// <summary>Finds the one move that settles an overfull budget: the least important guest that is big enough, to the host it hurts least.</summary>
internal static class Relief
{
    private const int GuestsTried = 6;
    private const int HostsTried = 3;

    /// <summary>Moves that bring a host's memory back to comfort.</summary>
    public static IEnumerable<Fix> Memory(Sums lab, HostAssessment host)
    {
        var shares = host.Memory.Shares.ToDictionary(s => s.Guest.Id, s => s.Committed.Bytes);
        var excess = host.Memory.Committed.Value - (host.Memory.Total * MemoryBudget.TightShare);
        return Moves(lab, host, s => shares[s.Guest.Id] / (double)Math.Max(1, excess.Bytes));
    }

    /// <summary>Moves that bring a host's busiest hour back to comfort.</summary>
    public static IEnumerable<Fix> Processor(Sums lab, HostAssessment host)
    {
        var p = host.Processor;
        var excess = p.Peak.Value.Value - (p.Effective.Value.Value * ProcessorBudget.TightShare);
        return Moves(lab, host, s => s.CoresAt(p.PeakHour) / Math.Max(1e-6, excess));
    }

    /// <summary>Moves of volumes that bring a pool back under its comfort line, and first of all the slip that counts the same data twice.</summary>
    public static IEnumerable<Fix> Pool(Sums lab, HostAssessment host, PoolBudget pool)
    {
        if (CountedTwice(host, pool) is { } once)
        {
            yield return once;
        }

        foreach (
            var guest in host
                .Guests.Where(g => g.Guest.Placement!.SystemPool == pool.Pool.Name)
                .OrderByDescending(g => g.SystemDisk)
                .Take(GuestsTried)
        )
        {
            var other = host.Pools.FirstOrDefault(p =>
                p != pool && (p.Claimed.Value + guest.SystemDisk).ShareOf(p.Room.Usable) <= PoolRoom.ComfortShare
            );
            if (other is not null && (pool.Claimed.Value - guest.SystemDisk).ShareOf(pool.Room.Usable) <= PoolRoom.ComfortShare)
            {
                yield return new Fix(
                    $"Move {guest.Guest.Name}'s system disk to {other.Pool.Name}",
                    GuestEdits.UsePools(guest.Guest.Id, other.Pool.Name, guest.Guest.Placement!.BulkPool)
                );
                yield break;
            }
        }

        foreach (
            var fix in Moves(lab, host, s => pool.ClaimOf(s).Bytes / (double)Math.Max(1, (pool.Claimed.Value - pool.Room.Comfort).Bytes))
        )
        {
            yield return fix;
        }
    }

    /// <summary>
    /// What the tools of a host say is used holds the volumes and folders of guests too. Where either fits and only both together do not, they may be the same data counted twice:
    /// then they are subtracted.
    /// </summary>
    private static Fix? CountedTwice(HostAssessment host, PoolBudget pool)
    {
        var used = pool.Pool.AlreadyUsed;
        var claims = pool.Claimed.Value - used;
        return used == default || claims > pool.Room.Usable || used > pool.Room.Usable
            ? null
            : new Fix(
                $"What is in it already counts its guests and folders too: subtract {ByteSize.Min(used, claims).ToDecimalString()}",
                PoolEdits.Change(host.Host.Id, pool.Pool.Name, p => p with { AlreadyUsed = ByteSize.Max(ByteSize.Zero, used - claims) })
            );
    }

    /// <param name="relief">How much of the excess a guest's leaving takes away: 1 is just enough.</param>
    private static IEnumerable<Fix> Moves(Sums lab, HostAssessment host, Func<Sizing, double> relief)
    {
        var guests = host.Guests.Where(s => relief(s) >= 1).OrderByDescending(s => s.Guest.Importance).ThenBy(relief).Take(GuestsTried);
        var targets = lab.Hosts.Where(h => h != host).OrderByDescending(h => h.Memory.Spare).Take(HostsTried).ToList();
        var best = (
            from guest in guests
            from target in targets
            let answer = FitCheck.Of(lab, guest.Guest, target.Host)
            where answer.CanGo && answer.Fit <= target.Fit
            select answer
        ).FirstOrDefault();
        return best is null
            ? []
            : [new Fix($"Move {best.Guest.Name} to {best.After.Host.Name}", GuestEdits.Place(best.Guest.Id, best.After.Host.Id))];
    }
}
