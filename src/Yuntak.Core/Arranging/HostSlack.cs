using Google.OrTools.Sat;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Arranging;

/// <summary>The lines of one host give way for one guest, and are named afterwards.</summary>
internal sealed class HostSlack
{
    /// <summary>What a byte of memory and a billionth of a core weigh against a byte of disk; what is bought, and so only a rough measure.</summary>
    private const long MemoryWeight = 64;
    private const long CoreWeight = 256;

    private readonly ArrangeProblem problem;
    private readonly IReadOnlyList<Choice> chosen;
    private readonly Mover mover;
    private readonly Seat seat;
    private readonly List<(Limit Limit, IntVar More, BoolVar Used)> lines = [];
    private readonly List<(FitLimit Change, BoolVar Used)> rules = [];
    private BoolVar? cores;

    /// <param name="problem">What was arranged.</param>
    /// <param name="chosen">What was chosen.</param>
    /// <param name="mover">The guest without a place.</param>
    /// <param name="seat">The seat it is to have.</param>
    public HostSlack(ArrangeProblem problem, IReadOnlyList<Choice> chosen, Mover mover, Seat seat) =>
        (this.problem, this.chosen, this.mover, this.seat) = (problem, chosen, mover, seat);

    /// <summary>How many things give.</summary>
    public LinearExpr Kinds => LinearExpr.Sum(lines.Select(l => l.Used).Concat(rules.Select(r => r.Used)).Distinct());

    /// <summary>How much gives.</summary>
    public LinearExpr Amounts =>
        LinearExpr.WeightedSum(
            lines.Select(l => l.More),
            lines.Select(l =>
                l.Limit.Line == RoomLine.Memory ? MemoryWeight
                : l.Limit.Line == RoomLine.Cores ? CoreWeight
                : 1
            )
        );

    /// <summary>The seats a guest may take.</summary>
    public IEnumerable<Seat> SeatsOf(Mover other) => other == mover ? [seat] : other.Seats;

    /// <summary>How much more there could be of a line; null for one that does not give.</summary>
    public IntVar? On(CpModel model, HostRoom room, Limit limit)
    {
        if (room != seat.Room)
        {
            return null;
        }

        // A line it takes nothing of stays as it is.
        if (Most(limit) <= 0)
        {
            return null;
        }

        // More than the guest itself takes is never needed, but where the host is overfull already.
        var over = Math.Max(
            0,
            problem.Movers.Where(m => m.Home?.Room == room).Sum(m => (double)Choice.Now(m.Home!).LoadOn(limit)) - limit.Hard!.Value
        );
        var most = (long)Math.Min(long.MaxValue / 1024.0, over + Most(limit) + Math.Max(0, -limit.Hard.Value));
        var more = model.NewIntVar(0, Math.Max(0, most), "");
        // The hours of a day are one thing: the host's cores.
        var used = limit.Line == RoomLine.Cores ? cores ??= model.NewBoolVar("") : model.NewBoolVar("");
        model.Add(more == 0).OnlyEnforceIf(used.Not());
        lines.Add((limit, more, used));
        return more;
    }

    /// <summary>What those take of a line who stay on a host without a place.</summary>
    public long Staying(HostRoom room, Limit limit) =>
        chosen.Where((c, n) => n != mover.Number && c is { Left: true, Seat: { } there } && there.Room == room).Sum(c => c.LoadOn(limit));

    private long Most(Limit limit) =>
        limit.Line == RoomLine.Pool
            ? seat.System.Where(p => p.Pool == limit.At).Sum(p => p.Claimed) + seat.Bulk.Where(p => p.Pool == limit.At).Sum(p => p.Claimed)
            : seat.LoadOn(limit);

    /// <summary>Two guests that keep apart.</summary>
    public static FitLimit Apart(Guest mine, Guest other) =>
        new($"{mine.Name} keeps apart from {other.Name}", $"let {mine.Name} and {other.Name} share a host");

    /// <summary>Two guests that keep together.</summary>
    public static FitLimit Together(Guest mine, Guest other) =>
        new($"{mine.Name} keeps together with {other.Name}", $"let {mine.Name} and {other.Name} be on two hosts");

    /// <summary>Whether two guests need not keep apart; null where they must.</summary>
    public BoolVar? Apart(CpModel model, int a, int b) => Gives(model, a, b, Apart);

    /// <summary>Whether two guests need not keep together; null where they must.</summary>
    public BoolVar? Together(CpModel model, int a, int b) => Gives(model, a, b, Together);

    private BoolVar? Gives(CpModel model, int a, int b, Func<Guest, Guest, FitLimit> words)
    {
        if (a != mover.Number && b != mover.Number)
        {
            return null;
        }

        return Rule(model, words(mover.Guest, problem.Movers[a == mover.Number ? b : a].Guest));
    }

    /// <summary>Whether a guest goes without a device it needs on its seat; null where it may not.</summary>
    public BoolVar? Without(CpModel model, Seat other, SeatNeed need)
    {
        if (other.Room != seat.Room)
        {
            return null;
        }

        return Rule(
            model,
            other == seat
                ? ChangeWords.Missing(seat, need, ChangeWords.Holder(problem, chosen, mover, seat, need))
                // Another guest that gives a device up is as good as this one doing without, and says who.
                : ChangeWords.Missing(seat, need, other.Guest)
        );
    }

    private BoolVar Rule(CpModel model, FitLimit change)
    {
        var used = model.NewBoolVar("");
        rules.Add((change, used));
        return used;
    }

    /// <summary>What gave, in words, with how much.</summary>
    public IEnumerable<FitLimit> Read(CpSolver solver)
    {
        foreach (var (limit, more, _) in lines.Where(l => l.Limit.Line != RoomLine.Cores && solver.Value(l.More) > 0))
        {
            yield return ChangeWords.Of(seat, limit, Most(limit), solver.Value(more));
        }

        var hours = lines.Where(l => l.Limit.Line == RoomLine.Cores && solver.Value(l.More) > 0).ToList();
        if (hours.Count > 0)
        {
            var (limit, more, _) = hours.MaxBy(h => solver.Value(h.More));
            yield return ChangeWords.Of(seat, limit, Most(limit), solver.Value(more));
        }

        foreach (var (change, used) in rules)
        {
            if (solver.BooleanValue(used))
            {
                yield return change;
            }
        }
    }
}
