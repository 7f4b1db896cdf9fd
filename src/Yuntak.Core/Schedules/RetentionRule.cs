using System.Globalization;
using Yuntak.Core.Base;
using Yuntak.Core.Units;

namespace Yuntak.Core.Schedules;

/// <summary>How many copies are kept of each period.</summary>
/// <param name="Last">The newest copies, whenever they were taken.</param>
/// <param name="Hourly">Hours.</param>
/// <param name="Daily">Days.</param>
/// <param name="Weekly">Weeks.</param>
/// <param name="Monthly">Months.</param>
/// <param name="Yearly">Years.</param>
public sealed record RetentionRule(int Last = 0, int Hourly = 0, int Daily = 0, int Weekly = 0, int Monthly = 0, int Yearly = 0)
{
    /// <summary>The most of one period.</summary>
    public const int Most = 10_000;

    /// <summary>How many are kept of a period.</summary>
    public int Of(RetentionPeriod period) =>
        period switch
        {
            RetentionPeriod.Last => Last,
            RetentionPeriod.Hourly => Hourly,
            RetentionPeriod.Daily => Daily,
            RetentionPeriod.Weekly => Weekly,
            RetentionPeriod.Monthly => Monthly,
            RetentionPeriod.Yearly => Yearly,
        };

    /// <summary>How many copies are kept at the most: where no copy is the newest of two periods.</summary>
    internal long AtMost => (long)Last + Hourly + Daily + Weekly + Monthly + Yearly;

    /// <summary>Reads <c>daily 7, weekly 4, monthly 6</c> or <c>last 4</c>; each period once, in any order.</summary>
    /// <param name="text">The text.</param>
    /// <exception cref="Refused">It cannot be read, or would keep nothing.</exception>
    public static RetentionRule Parse(string text)
    {
        Dictionary<RetentionPeriod, int> counts = [];
        foreach (var part in text.Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
        {
            var words = part.Split(' ', StringSplitOptions.RemoveEmptyEntries);
            if (words.Length != 2 || !ScheduleWords.Periods.TryRead(words[0].ToLowerInvariant(), out var period))
            {
                throw new Refused(
                    $"«{Names.Short(part)}» is no count of copies. Say it like daily 7, weekly 4, monthly 6, or last 4; there are {string.Join(", ", ScheduleWords.Periods.Known)}."
                );
            }

            if (!int.TryParse(words[1], NumberStyles.None, CultureInfo.InvariantCulture, out var count) || count > Most)
            {
                throw new Refused($"«{Names.Short(words[1])}» is no count of copies from 0 to {Numbers.Exact(Most)}.");
            }

            if (!counts.TryAdd(period, count))
            {
                throw new Refused($"{ScheduleWords.Periods.Word(period)} is said twice.");
            }
        }

        int Count(RetentionPeriod period) => counts.GetValueOrDefault(period);
        return counts.Values.All(c => c == 0)
            ? throw new Refused("That would keep nothing. Say what is kept, like daily 7, weekly 4, monthly 6.")
            : new RetentionRule(
                Count(RetentionPeriod.Last),
                Count(RetentionPeriod.Hourly),
                Count(RetentionPeriod.Daily),
                Count(RetentionPeriod.Weekly),
                Count(RetentionPeriod.Monthly),
                Count(RetentionPeriod.Yearly)
            );
    }

    /// <summary>The rule as it is read.</summary>
    public override string ToString() =>
        string.Join(
            ", ",
            ScheduleWords
                .Periods.Values.Where(p => Of(p) > 0)
                .Select(p => string.Create(CultureInfo.InvariantCulture, $"{ScheduleWords.Periods.Word(p)} {Of(p)}"))
        );
}
