using Yuntak.Core.Base;

namespace Yuntak.Core.Keeping;

/// <summary>How a piece of work went in a night.</summary>
/// <param name="Work">What ran.</param>
/// <param name="Starts">When it began, in seconds.</param>
/// <param name="Ends">When it ended, in seconds.</param>
/// <param name="Zero">The moment its spans are counted from, in seconds: alike nights share them.</param>
/// <param name="Counted">At which rates it went, in the order of time, counted from there.</param>
public sealed record NightRun(NightWork Work, double Starts, double Ends, double Zero, ValueList<NightSpan> Counted)
{
    /// <summary>At which rates it went, in the order of time.</summary>
    public IEnumerable<NightSpan> Spans => Counted.Select(s => s with { From = Zero + s.From, To = Zero + s.To });

    /// <summary>How many bytes it moved.</summary>
    public double Bytes => Counted.Sum(s => s.Rate * (s.To - s.From));

    /// <summary>The same, so many seconds later.</summary>
    internal NightRun Moved(NightWork work, double by) => new(work, Starts + by, Ends + by, Zero + by, Counted);
}
