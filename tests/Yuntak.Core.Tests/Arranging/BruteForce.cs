using Yuntak.Core.Arranging;
using Yuntak.Core.Bench;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;

namespace Yuntak.Core.Tests.Arranging;

/// <summary>
/// The best arrangement of a small lab by trying all of them. Its figures come from the assessment of each guest alone on each host, its limits from the handbook's
/// chapter 6; nothing of the solver's model is used.
/// </summary>
internal sealed class BruteForce
{
    private const double Hair = 1e-9;

    private static readonly string[] Keeps =
    [
        "kit.virtualisation-off",
        "wants.wrong-family",
        "wants.more-vcpu-than-threads",
        "bench.no-pool-for-guest",
        "kit.router-one-port",
        "wires.no-bridge",
    ];

    private readonly Lab lab;
    private readonly ArrangeAsk ask;
    private readonly HostAssessment[] empty;
    private readonly List<Way>[] ways;
    private readonly Way?[] taken;
    private readonly double[][] loads;
    private long[]? best;

    private BruteForce(Lab lab, ArrangeAsk ask)
    {
        (this.lab, this.ask) = (lab, ask);
        var nobody = lab with { Guests = lab.Guests.Change(_ => true, g => g with { Placement = null }) };
        empty = [.. Sums.Of(nobody).Hosts];
        ways = [.. lab.Guests.Select(g => Ways(nobody, g).ToList())];
        taken = new Way?[lab.Guests.Count];
        loads = [.. empty.Select(h => new double[Lines(h)])];
    }

    /// <summary>The goals at their best, in their order.</summary>
    public static long[] Of(Lab lab, ArrangeAsk ask)
    {
        var brute = new BruteForce(lab, ask);
        brute.Go(0, new long[3], 0);
        return brute.best!;
    }

    private static int Lines(HostAssessment host) => 3 + DayShape.Hours + (2 * host.Pools.Count);

    private IEnumerable<Way> Ways(Lab nobody, Guest guest)
    {
        for (var h = 0; h < empty.Length; h++)
        {
            foreach (var kind in guest.MayBe.Prepend(guest.Kind).Distinct())
            {
                var pools = empty[h].Pools.Select(p => p.Pool.Name).ToList();
                foreach (var system in pools)
                {
                    foreach (var bulk in guest.Overrides.Bulk > ByteSize.Zero ? pools : [""])
                    {
                        if (Alone(nobody, guest, h, kind, system, bulk) is { } way)
                        {
                            yield return way;
                        }
                    }
                }
            }
        }
    }

    private Way? Alone(Lab nobody, Guest guest, int h, GuestKind kind, string system, string bulk)
    {
        var stays = guest.Placement?.Host == empty[h].Host.Id && kind == guest.Kind;
        var elsewhere =
            stays
            && guest.Pinned
            && (guest.Placement!.SystemPool != system || (bulk != "" && guest.Placement.BulkPool is { } b && b != bulk));
        if (elsewhere || guest.Pinned && guest.Placement is not null && !stays || ask.Empty == empty[h].Host.Id)
        {
            return null;
        }

        var placed = guest with
        {
            Kind = kind,
            Placement = new Placement(empty[h].Host.Id, system, bulk == "" ? null : bulk),
            MayShrinkTo = kind == GuestKind.Machine ? guest.MayShrinkTo : null,
        };
        var alone = Assessment.Of(nobody.WithGuest(guest.Id, _ => placed));
        if (
            !empty[h].Host.Kind.Runs.Contains(kind)
            || alone.Findings.Any(f => f.Severity == Severity.Stop && Keeps.Contains(f.Rule.Id))
            // What has to be a machine is made nothing else, whatever was said.
            || (kind != guest.Kind && alone.Findings.Any(f => f.Rule.Id == "wants.machine-only" && f.Subject.Id == guest.Id.Value))
        )
        {
            return null;
        }

        var there = alone.Hosts[h];
        double[] load =
        [
            (there.Memory.Hard - empty[h].Memory.Hard).Bytes,
            (there.Memory.Promised - empty[h].Memory.Promised).Bytes,
            there.Processor.Vcpu,
            .. Enumerable.Range(0, DayShape.Hours).Select(there.Processor.At),
            .. there.Pools.Select((p, n) => (double)(p.Claimed.Value - empty[h].Pools[n].Claimed.Value).Bytes),
            .. there.Pools.Select((p, n) => (double)(p.Promised - empty[h].Pools[n].Promised).Bytes),
        ];
        var copied = !stays
            ? 0
            : (guest.Placement!.SystemPool is { } was && was != system ? 1 : 0)
                + (guest.Placement.BulkPool is { } data && bulk != "" && data != bulk ? 1 : 0);
        return new Way(
            h,
            stays,
            load,
            copied,
            Badly(empty[h], system, guest: true) + (bulk == "" ? 0 : Badly(empty[h], bulk, guest: false))
        );
    }

    /// <summary>Guest disks want flash, bulk data does not; neither lies beside the host's system (handbook, chapter 3; common practice).</summary>
    private static int Badly(HostAssessment host, string pool, bool guest)
    {
        var lies = host.Pool(pool)!;
        var other = host.Pools.Any(p => p.IsFlash == guest && !p.OnBootDisk);
        return (lies.OnBootDisk && host.Host.HasOtherDisks ? 4 : 0) + (other && lies.IsFlash != guest ? 2 : 0);
    }

    private void Go(int n, long[] placed, long moves)
    {
        if (best is not null && CannotBeat(n, placed, moves))
        {
            return;
        }

        if (n == taken.Length)
        {
            var goals = Goals(placed, moves);
            if (best is null || goals.AsSpan().SequenceCompareTo(best) < 0)
            {
                best = goals;
            }

            return;
        }

        var guest = lab.Guests[n];
        foreach (var way in ways[n].OrderByDescending(w => w.Stays))
        {
            if (Company(n, way) && Add(way, 1))
            {
                taken[n] = way;
                placed[(int)guest.Importance]++;
                Go(n + 1, placed, moves + (guest.Placement is not null && !way.Stays ? 1 : 0));
                placed[(int)guest.Importance]--;
                taken[n] = null;
                Add(way, -1);
            }
        }

        Go(n + 1, placed, moves + (guest.Placement is not null ? 1 : 0));
    }

    /// <summary>Whether even with all that are left in place nothing better comes of it.</summary>
    private bool CannotBeat(int n, long[] placed, long moves)
    {
        for (var i = 0; i < 3; i++)
        {
            var most = -(placed[i] + lab.Guests.Skip(n).Count(g => (int)g.Importance == i));
            if (most != best![i])
            {
                return most > best[i];
            }
        }

        return !ask.SurviveOne && moves > best![3];
    }

    private bool Company(int n, Way way)
    {
        for (var o = 0; o < n; o++)
        {
            if (taken[o] is { } other)
            {
                var (a, b) = (lab.Guests[n], lab.Guests[o]);
                if (
                    (other.Host == way.Host && (a.Apart.Contains(b.Id) || b.Apart.Contains(a.Id)))
                    || (other.Host != way.Host && (a.Together.Contains(b.Id) || b.Together.Contains(a.Id)))
                )
                {
                    return false;
                }
            }
        }

        return true;
    }

    /// <summary>Puts a guest on, when it fits; takes it off again with a minus.</summary>
    private bool Add(Way way, int sign)
    {
        var load = loads[way.Host];
        for (var l = 0; l < load.Length; l++)
        {
            load[l] += sign * way.Load[l];
        }

        if (sign < 0 || Fits(empty[way.Host], load, way.Load))
        {
            return true;
        }

        Add(way, -1);
        return false;
    }

    private static bool Fits(HostAssessment host, double[] load, double[] mine)
    {
        var (memory, processor) = (host.Memory, host.Processor);
        var fits = memory.Hard.Bytes + load[0] <= memory.Total.Bytes;
        for (var hour = 0; hour < DayShape.Hours && fits; hour++)
        {
            fits = load[3 + hour] <= processor.Effective.Value.Value * 1.2 * (1 + Hair) || mine[3 + hour] <= 0;
        }

        for (var p = 0; p < host.Pools.Count && fits; p++)
        {
            var at = 3 + DayShape.Hours + p;
            fits = host.Pools[p].Claimed.Value.Bytes + load[at] <= host.Pools[p].Room.Usable.Bytes || mine[at] <= 0;
        }

        return fits;
    }

    private long[] Goals(long[] placed, long moves)
    {
        var used = taken.OfType<Way>().ToList();
        var on = used.Select(w => w.Host).ToHashSet();
        List<long> goals = [-placed[0], -placed[1], -placed[2]];
        if (ask.SurviveOne)
        {
            goals.Add(Lost());
        }

        goals.AddRange([moves, used.Sum(w => w.Copied)]);
        goals.AddRange(
            ask.Prefer == Prefer.Even
                ? [Enumerable.Range(0, empty.Length).Max(Full)]
                : [on.Count, on.Sum(h => (long)Math.Round(10 * (empty[h].Host.IdleWatts ?? 0)))]
        );
        goals.AddRange([on.Sum(Uneasy), used.Sum(w => (long)w.Badly)]);
        return [.. goals];
    }

    private long Full(int h)
    {
        var memory = empty[h].Memory;
        double Up(double part, double of) => Math.Ceiling((100 * part / of) - Hair);
        // Counted in kibibytes and millionths of a core, each rounded up.
        var bytes =
            Math.Ceiling(memory.Hard.Bytes / 1024.0) + taken.OfType<Way>().Where(w => w.Host == h).Sum(w => Math.Ceiling(w.Load[0] / 1024));
        var most = Up(bytes, Math.Floor(memory.Total.Bytes / 1024.0));
        for (var hour = 0; hour < DayShape.Hours; hour++)
        {
            var cores = taken.OfType<Way>().Where(w => w.Host == h).Sum(w => Math.Ceiling(Math.Round(w.Load[3 + hour] * 1e9) / 1e3));
            most = Math.Max(most, Up(cores, Math.Floor(empty[h].Processor.Effective.Value.Value * 1e6)));
        }

        return (long)most;
    }

    /// <summary>How many comfortable lines a host crosses: 90 %, 130 %, four to a thread, 80 % of cores, 80 % of each pool, one and a half times a thin one (handbook, chapter 6).</summary>
    private long Uneasy(int h)
    {
        var (host, load) = (empty[h], loads[h]);
        bool Over(double part, double of, double share) => part > of * share * (1 + Hair);
        var total = host.Memory.Total.Bytes;
        long crossed = Over(host.Memory.Committed.Value.Bytes + load[0], total, 0.9) ? 1 : 0;
        crossed += Over(host.Memory.Promised.Bytes + load[1], total, 1.3) ? 1 : 0;
        crossed += load[2] > 4 * host.Host.Processor.Threads ? 1 : 0;
        crossed += Enumerable.Range(0, DayShape.Hours).Any(hour => Over(load[3 + hour], host.Processor.Effective.Value.Value, 0.8)) ? 1 : 0;
        for (var p = 0; p < host.Pools.Count; p++)
        {
            var (pool, claimed, promised) = (host.Pools[p], load[3 + DayShape.Hours + p], load[3 + DayShape.Hours + host.Pools.Count + p]);
            crossed += claimed > 0 && Over(pool.Claimed.Value.Bytes + claimed, pool.Room.Usable.Bytes, 0.8) ? 1 : 0;
            crossed += pool.Pool.Thin && promised > 0 && Over(pool.Promised.Bytes + promised, pool.Room.Usable.Bytes, 1.5) ? 1 : 0;
        }

        return crossed;
    }

    /// <summary>With each host away: how many that must run find no place on the rest, everybody else staying.</summary>
    private long Lost()
    {
        long lost = 0;
        for (var away = 0; away < empty.Length; away++)
        {
            var gone = Enumerable
                .Range(0, taken.Length)
                .Where(n => taken[n]?.Host == away && lab.Guests[n].Importance == Importance.Must)
                .ToList();
            var kept = taken.ToArray();
            for (var n = 0; n < taken.Length; n++)
            {
                taken[n] = taken[n]?.Host == away ? null : taken[n];
            }

            lost += gone.Count - Refuges(gone, 0, away);
            Array.Copy(kept, taken, kept.Length);
        }

        return lost;
    }

    private int Refuges(List<int> gone, int at, int away)
    {
        if (at == gone.Count)
        {
            return 0;
        }

        var most = Refuges(gone, at + 1, away);
        foreach (var way in All(gone[at]).Where(w => w.Host != away))
        {
            if (most == gone.Count - at)
            {
                break;
            }

            if (Beside(gone[at], way) && Add(way, 1))
            {
                taken[gone[at]] = way;
                most = Math.Max(most, 1 + Refuges(gone, at + 1, away));
                taken[gone[at]] = null;
                Add(way, -1);
            }
        }

        return most;
    }

    private bool Beside(int n, Way way) =>
        Enumerable
            .Range(0, taken.Length)
            .All(o =>
                o == n
                || taken[o] is not { } other
                || !(
                    (
                        other.Host == way.Host
                        && (lab.Guests[n].Apart.Contains(lab.Guests[o].Id) || lab.Guests[o].Apart.Contains(lab.Guests[n].Id))
                    )
                    || (
                        other.Host != way.Host
                        && (lab.Guests[n].Together.Contains(lab.Guests[o].Id) || lab.Guests[o].Together.Contains(lab.Guests[n].Id))
                    )
                )
            );

    /// <summary>In an emergency a pinned guest goes where it can.</summary>
    private List<Way> All(int n)
    {
        if (!lab.Guests[n].Pinned)
        {
            return ways[n];
        }

        var nobody = lab with { Guests = lab.Guests.Change(_ => true, g => g with { Placement = null, Pinned = false }) };
        return [.. Ways(nobody, lab.Guests[n] with { Pinned = false })];
    }

    private sealed record Way(int Host, bool Stays, double[] Load, int Copied, int Badly);
}
