using Yuntak.Core.Base;

namespace Yuntak.Core.Keeping;

/// <summary>How a piece of work went in a night.</summary>
/// <param name="Work">What ran.</param>
/// <param name="Starts">When it began, in seconds.</param>
/// <param name="Ends">When it ended, in seconds.</param>
/// <param name="Spans">At which rates it went, in the order of time.</param>
public sealed record NightRun(NightWork Work, double Starts, double Ends, ValueList<NightSpan> Spans)
{
    /// <summary>The same, so many seconds later.</summary>
    internal NightRun Moved(NightWork work, double by) =>
        new(work, Starts + by, Ends + by, [.. Spans.Select(s => s with { From = s.From + by, To = s.To + by })]);

    /// <summary>How many bytes it moved.</summary>
    public double Bytes => Spans.Sum(s => s.Rate * (s.To - s.From));
}
