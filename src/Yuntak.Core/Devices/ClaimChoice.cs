using Google.OrTools.Sat;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Devices;

/// <summary>The best ways for all claims of one host together: a small exact search, done by a solver of constraints.</summary>
internal sealed class ClaimChoice
{
    /// <summary>Far more than a household's claims take; a solver that is cut off says that it has not proven anything.</summary>
    private const double Seconds = 20;

    /// <summary>Up to so many combinations are tried one by one.</summary>
    private const long MostTried = 4_000;

    private readonly ClaimCheck check;
    private readonly ClaimVerdict?[] chosen;
    private readonly List<ClaimVerdict>[] ways;

    private ClaimChoice(ClaimCheck check)
    {
        this.check = check;
        chosen = new ClaimVerdict?[check.Asked.Count];
        ways = [.. check.Asked.Select(a => check.Alone(a).Where(v => v.CanBe).ToList())];
    }

    /// <summary>For each claim of the check what it gets; null for one that cannot be met.</summary>
    public IReadOnlyList<ClaimVerdict?> Chosen => chosen;

    /// <summary>Whether nothing better is to be had.</summary>
    public bool Optimal { get; private set; } = true;

    /// <summary>The choice for the claims of a check.</summary>
    public static ClaimChoice Of(ClaimCheck check)
    {
        var choice = new ClaimChoice(check);
        foreach (var together in choice.Entangled())
        {
            // A handful of claims is tried through in less time than a solver takes to begin.
            if (together.Aggregate(1L, (all, n) => Math.Min(MostTried + 1, all * (choice.ways[n].Count + 1))) <= MostTried)
            {
                choice.TryThrough(together);
            }
            else
            {
                choice.Solve(together);
            }
        }

        return choice;
    }

    /// <summary>Claims that may have to do with each other, directly or through others: those that look to the same tray. Nothing clashes across trays.</summary>
    private IEnumerable<List<int>> Entangled()
    {
        var group = Enumerable.Range(0, ways.Length).ToArray();
        Dictionary<string, int> first = new(StringComparer.Ordinal);
        for (var n = 0; n < ways.Length; n++)
        {
            foreach (var place in ways[n].Select(Place).Distinct(StringComparer.Ordinal))
            {
                if (!first.TryAdd(place, n))
                {
                    Join(group, n, first[place]);
                }
            }
        }

        return Enumerable.Range(0, ways.Length).Where(n => ways[n].Count > 0).GroupBy(n => group[n]).Select(g => g.ToList());
    }

    private static void Join(int[] group, int one, int other)
    {
        var (from, to) = (group[one], group[other]);
        for (var n = 0; n < group.Length; n++)
        {
            group[n] = group[n] == from ? to : group[n];
        }
    }

    /// <summary>Where a device lies: the tray of its controller, by the first address in it.</summary>
    private string Place(ClaimVerdict way)
    {
        var controller = check.Map.ControllerOf(way.Device!);
        return check.Map.TrayOf(controller)?.Functions[0].Address ?? controller;
    }

    /// <summary>All combinations of a few claims, one after the other.</summary>
    private void TryThrough(List<int> claims)
    {
        var count = claims.Count + 1L;
        var best = (Met: -1L, Cost: 0L);
        var taken = new ClaimVerdict?[claims.Count];
        void Go(int n, long met, long cost)
        {
            if (n == claims.Count)
            {
                if (met > best.Met || (met == best.Met && cost < best.Cost))
                {
                    best = (met, cost);
                    for (var k = 0; k < claims.Count; k++)
                    {
                        chosen[claims[k]] = taken[k];
                    }
                }

                return;
            }

            foreach (var way in ways[claims[n]].Where(w => Fits(w, taken.AsSpan(0, n))))
            {
                taken[n] = way;
                Go(n + 1, met + Worth(check.Asked[claims[n]], count), cost + Weight(Collateral(way), count));
            }

            taken[n] = null;
            Go(n + 1, met, cost);
        }

        Go(0, 0, 0);
    }

    /// <summary>Whether a way can be had beside those taken already, slices of its card counted.</summary>
    private bool Fits(ClaimVerdict way, ReadOnlySpan<ClaimVerdict?> taken)
    {
        var slices = 1;
        foreach (var other in taken)
        {
            if (other is null)
            {
                continue;
            }

            if (Clash(way, other))
            {
                return false;
            }

            slices += (way.Way, other.Way) == (ClaimWay.Slice, ClaimWay.Slice) && way.Device == other.Device ? 1 : 0;
        }

        return way.Way != ClaimWay.Slice || slices <= check.Map.Host.Hardware.Function(way.Device)!.Slices;
    }

    private void Solve(List<int> claims)
    {
        var model = new CpModel();
        var picks = claims.SelectMany(n => ways[n].Select(v => (Claim: n, Way: v, Taken: model.NewBoolVar("")))).ToList();
        foreach (var of in picks.GroupBy(p => p.Claim))
        {
            model.AddAtMostOne(of.Select(p => p.Taken));
        }

        foreach (var near in picks.GroupBy(p => Place(p.Way), StringComparer.Ordinal).Select(g => g.ToList()))
        {
            for (var a = 0; a < near.Count; a++)
            {
                foreach (var other in near.Take(a).Where(o => o.Claim != near[a].Claim && Clash(near[a].Way, o.Way)))
                {
                    model.AddAtMostOne([near[a].Taken, other.Taken]);
                }
            }
        }

        foreach (var card in picks.Where(p => p.Way.Way == ClaimWay.Slice).GroupBy(p => p.Way.Device))
        {
            model.Add(LinearExpr.Sum(card.Select(p => p.Taken)) <= check.Map.Host.Hardware.Function(card.Key)!.Slices!.Value);
        }

        // First as many as can be, then as little collateral as can be: two searches, so that no weight grows past what is counted exactly.
        var count = claims.Count + 1L;
        var met = LinearExpr.WeightedSum(picks.Select(p => p.Taken), picks.Select(p => Worth(check.Asked[p.Claim], count)));
        model.Maximize(met);
        using var solver = new CpSolver { StringParameters = $"num_workers:1,random_seed:1,max_time_in_seconds:{Seconds}" };
        var first = solver.Solve(model);
        Optimal &= first == CpSolverStatus.Optimal;
        if (first is not (CpSolverStatus.Optimal or CpSolverStatus.Feasible))
        {
            return;
        }

        model.Add(met >= (long)Math.Round(solver.ObjectiveValue));
        model.Minimize(LinearExpr.WeightedSum(picks.Select(p => p.Taken), picks.Select(p => Weight(Collateral(p.Way), count))));
        var second = solver.Solve(model);
        Optimal &= second == CpSolverStatus.Optimal;
        if (second is CpSolverStatus.Optimal or CpSolverStatus.Feasible)
        {
            foreach (var pick in picks.Where(p => solver.BooleanValue(p.Taken)))
            {
                chosen[pick.Claim] = pick.Way;
            }
        }
    }

    /// <summary>What is chosen already outweighs all that is open, and what was said all that profiles bring.</summary>
    private static long Worth(AskedClaim asked, long count) =>
        asked.Claim.Chosen ? count * count
        : asked.By == AskedBy.Profile ? 1
        : count;

    /// <summary>What a way costs, the weightiest first: what goes along, what else is lost, whether memory is pinned, how many words it takes.</summary>
    private static (int Moves, int Along, int Pinned, int Reasons) Collateral(ClaimVerdict way) =>
        (
            way.AlsoMoves.Count,
            way.Answer == ClaimAnswer.Collateral ? 1 : 0,
            way.Pins > ByteSize.Zero ? 1 : 0,
            Math.Min(way.Reasons.Count, 9)
        );

    private static long Weight((int Moves, int Along, int Pinned, int Reasons) of, long count) =>
        (((((of.Moves * count) + of.Along) * count) + of.Pinned) * count * 10) + of.Reasons;

    private bool Clash(ClaimVerdict a, ClaimVerdict b) => ClaimClash.IsThere(check.Map, a, b);
}
