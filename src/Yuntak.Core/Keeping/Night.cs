namespace Yuntak.Core.Keeping;

/// <summary>A night from noon to noon: what runs, over which disks and lines, and when it is done.</summary>
/// <param name="Day">The day it begins on.</param>
/// <param name="From">Its noon, in seconds.</param>
/// <param name="To">The next noon, in seconds; 23 or 25 hours later where the clock is put forward or back.</param>
/// <param name="Wakes">When the house wakes, in seconds.</param>
/// <param name="Runs">What runs, in the order of its beginnings.</param>
public sealed record Night(DateOnly Day, double From, double To, double Wakes, IReadOnlyList<NightRun> Runs)
{
    /// <summary>The lines that something goes over, disks first, in the order of their names.</summary>
    public IEnumerable<NightLine> Lines =>
        Runs.SelectMany(r => r.Work.Pieces)
            .SelectMany(p => p.Over)
            .Select(u => u.Line)
            .Distinct()
            .OrderBy(l => l.Kind)
            .ThenBy(l => l.Name, StringComparer.Ordinal);

    /// <summary>What runs over a line.</summary>
    public IEnumerable<NightRun> Over(NightLine line) => Runs.Where(r => r.Work.Pieces.Any(p => p.Over.Any(u => u.Line == line)));

    /// <summary>What is not done when the house wakes, though it began before.</summary>
    public IEnumerable<NightRun> Late => Runs.Where(IsLate);

    /// <summary>Whether something goes on when the house wakes: on the morning of this night, or, begun before it, on one that is past.</summary>
    public bool IsLate(NightRun run) => run.Starts < From || (run.Starts < Wakes && run.Ends > Wakes);

    /// <summary>Pairs that share a disk or a line at some moment.</summary>
    public IEnumerable<(NightRun A, NightRun B, NightLine Line)> Overlaps =>
        from line in Lines
        let over = Over(line).ToList()
        from n in Enumerable.Range(0, over.Count)
        from m in Enumerable.Range(n + 1, over.Count - n - 1)
        where At(over[n], line, over[m])
        select (over[n], over[m], line);

    private static bool At(NightRun a, NightLine line, NightRun b)
    {
        List<NightSpan> On(NightRun r) => [.. r.Spans.Where(s => r.Work.Pieces[s.Piece].Over.Any(u => u.Line == line))];
        var others = On(b);
        return On(a).Exists(x => others.Exists(y => Math.Min(x.To, y.To) - Math.Max(x.From, y.From) > Touching));
    }

    /// <summary>Seconds that two may run beside each other before they are said to.</summary>
    private const double Touching = 60;
}
