using Yuntak.Core.Bench;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Arranging;

/// <summary>What would become of the guests of a host if it were away: where each could go while everybody else stays, and what would not live.</summary>
public static class HostAway
{
    private const double Seconds = 1;

    /// <summary>A search that a rule may take: guests of one host are few, and most find a place by feel.</summary>
    private const double RuleSeconds = 0.2;

    /// <summary>The arrangement of the guests of a host among the others.</summary>
    public static Arrangement Of(Sums sums, HostId away, CancellationToken cancel = default) =>
        Arranger.Of(sums, Ask(away) with { Seconds = Seconds }, cancel: cancel);

    /// <summary>The guests of a host that are to keep running and have nowhere to go while it is away; what matters is whether all of them find a place together.</summary>
    internal static IReadOnlyList<Guest> Lost(Sums sums, HostId away)
    {
        var problem = new ArrangeProblem(sums, Ask(away) with { OnlySurvivors = true, Seconds = RuleSeconds }, new HashSet<GuestId>());
        var chosen = FirstFit.Of(problem);
        if (chosen.Any(c => !c.Placed))
        {
            using var search = new Search(problem.Ask, null, CancellationToken.None);
            chosen = GoalSearch.Of(problem, search).Chosen;
        }

        return [.. problem.Movers.Where(m => !chosen[m.Number].Placed).Select(m => m.Guest)];
    }

    private static ArrangeAsk Ask(HostId away) =>
        new()
        {
            Scope = ArrangeScope.OneHost,
            Of = away,
            Empty = away,
            Away = true,
        };
}
