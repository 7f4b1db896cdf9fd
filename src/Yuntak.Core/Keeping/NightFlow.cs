using Yuntak.Core.Base;

namespace Yuntak.Core.Keeping;

/// <summary>
/// Lets work run over lines that it shares: at any moment each gets as much as every other one that waits for the same line, and what one cannot use the others get
/// (max-min fair sharing by progressive filling; Bertsekas and Gallager, «Data Networks», 2nd ed. 1992, section 6.5.2). What was begun ends, however late.
/// </summary>
internal static class NightFlow
{
    /// <summary>What would be through within a microsecond is through: a moment is only known so exactly.</summary>
    private const double Moment = 1e-6;

    /// <summary>How each piece of work goes, in the order they were given.</summary>
    public static IReadOnlyList<NightRun> Run(IReadOnlyList<NightWork> works)
    {
        // Reckoned from the first beginning on, so that moments are small numbers and exact.
        var zero = works.Select(w => w.Start).DefaultIfEmpty(0).Min();
        var states = works.Select((w, n) => new State(w, zero, n)).ToList();
        // Given the number of each line once, so that a moment is worked out on plain lists.
        Dictionary<NightLine, int> numbers = [];
        foreach (var state in states)
        {
            state.Number(numbers);
        }

        var rates = numbers.OrderBy(n => n.Value).Select(n => n.Key.Rate).ToArray();
        var left = new double[rates.Length];
        // Who begins at a time of its own stands in a queue; who waits for another joins it when that one ends.
        PriorityQueue<State, double> waiting = new();
        var followers = states.Where(s => s.Work.After is not null).ToLookup(s => s.Work.After!.Value);
        foreach (var state in states.Where(s => s.Work.After is null))
        {
            waiting.Enqueue(state, state.Start);
        }

        List<State> running = [];
        var now = 0.0;
        while (running.Count > 0 || waiting.Count > 0)
        {
            Patience.Check();
            while (waiting.TryPeek(out _, out var ready) && ready <= now)
            {
                var state = waiting.Dequeue();
                state.Begin(now);
                running.Add(state);
            }

            var next = waiting.TryPeek(out _, out var begins) ? begins : double.PositiveInfinity;
            if (running.Count == 0)
            {
                now = next;
                continue;
            }

            Share(running, rates, left);
            var until = running.Aggregate(next, (at, s) => Math.Min(at, now + s.Needs));
            if (double.IsInfinity(until))
            {
                // What runs stands still, and nothing more begins.
                break;
            }

            foreach (var state in running)
            {
                state.Go(now, until);
            }

            now = until;
            foreach (var ended in running.Where(s => s.Ends is not null))
            {
                foreach (var follower in followers[ended.Place])
                {
                    waiting.Enqueue(follower, Math.Max(follower.Start, now));
                }
            }

            running.RemoveAll(s => s.Ends is not null);
        }

        return [.. states.Select(s => s.Run())];
    }

    /// <summary>Gives each its rate: all grow alike until a line is full or one has all it may take; those are settled, the others grow on.</summary>
    private static void Share(List<State> running, double[] rates, double[] left)
    {
        rates.CopyTo(left, 0);
        var weights = new double[rates.Length];
        List<State> growing = [.. running];
        foreach (var state in growing)
        {
            state.Rate = 0;
            foreach (var (line, times) in state.Uses)
            {
                weights[line] += times;
            }
        }

        while (growing.Count > 0)
        {
            var step = double.PositiveInfinity;
            foreach (var state in growing)
            {
                step = Math.Min(step, state.Most - state.Rate);
            }

            for (var line = 0; line < left.Length; line++)
            {
                if (weights[line] > 0)
                {
                    step = Math.Min(step, left[line] / weights[line]);
                }
            }

            for (var line = 0; line < left.Length; line++)
            {
                if (weights[line] > 0)
                {
                    left[line] = Math.Max(0, left[line] - (step * weights[line]));
                }
            }

            growing.RemoveAll(state =>
            {
                state.Rate += step;
                if (!double.IsInfinity(step) && state.Rate < state.Most * (1 - Tolerance) && !IsFull(state, rates, left))
                {
                    return false;
                }

                foreach (var (line, times) in state.Uses)
                {
                    weights[line] -= times;
                }

                return true;
            });
        }
    }

    private static bool IsFull(State state, double[] rates, double[] left)
    {
        foreach (var (line, _) in state.Uses)
        {
            if (left[line] <= rates[line] * Tolerance)
            {
                return true;
            }
        }

        return false;
    }

    private const double Tolerance = 1e-12;

    private sealed class State(NightWork work, double zero, int place)
    {
        private readonly List<NightSpan> spans = [];
        private readonly List<(int Line, int Times)[]> uses = [];
        private int piece;
        private double remaining = work.Pieces.Count > 0 ? work.Pieces[0].Bytes : 0;
        private double? starts;

        public NightWork Work => work;

        /// <summary>Its place among all the work.</summary>
        public int Place => place;

        public double Start => work.Start - zero;

        public double Rate { get; set; }

        public double? Ends { get; private set; }

        public double Most => piece < work.Pieces.Count ? work.Pieces[piece].Most : double.PositiveInfinity;

        public (int Line, int Times)[] Uses => piece < uses.Count ? uses[piece] : [];

        /// <summary>Seconds until the piece is through, at the rate it has; 0 when there is nothing to do.</summary>
        public double Needs => remaining <= 0 || double.IsInfinity(Rate) ? 0 : remaining / Rate;

        public void Number(Dictionary<NightLine, int> numbers)
        {
            foreach (var one in work.Pieces)
            {
                uses.Add([
                    .. one.Over.Select(u =>
                    {
                        if (!numbers.TryGetValue(u.Line, out var number))
                        {
                            numbers.Add(u.Line, number = numbers.Count);
                        }

                        return (number, u.Times);
                    }),
                ]);
            }
        }

        public void Begin(double now) => starts ??= now;

        public void Go(double from, double to)
        {
            if (to > from && piece < work.Pieces.Count)
            {
                spans.Add(new NightSpan(piece, from, to, Rate));
                remaining -= Rate * (to - from);
            }

            while (Needs <= Moment && ++piece < work.Pieces.Count)
            {
                remaining = work.Pieces[piece].Bytes;
            }

            if (piece >= work.Pieces.Count)
            {
                Ends = to;
            }
        }

        public NightRun Run() =>
            new(work, zero + (starts ?? double.PositiveInfinity), zero + (Ends ?? double.PositiveInfinity), zero, [.. spans]);
    }
}
