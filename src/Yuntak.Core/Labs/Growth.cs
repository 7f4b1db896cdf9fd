using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>How a guest's bulk data grows, as a person expects it.</summary>
/// <param name="PerMonth">What comes each month.</param>
/// <param name="ShareAYear">The share it grows by each year: 0.2 is a fifth.</param>
/// <param name="GiveOrTake">How unsure that is: 0.5 is half as much to half as much again.</param>
public sealed record Growth(ByteSize PerMonth = default, double ShareAYear = 0, double GiveOrTake = 0)
{
    /// <summary>The growth in words: «50 GB a month, 20 % a year, give or take 50 %».</summary>
    public string Words()
    {
        List<string> words = [];
        if (PerMonth > ByteSize.Zero)
        {
            words.Add($"{PerMonth.ToDecimalString()} a month");
        }

        if (ShareAYear > 0)
        {
            words.Add($"{Numbers.Percent(ShareAYear)} a year");
        }

        return words.Count == 0
            ? "does not grow"
            : string.Join(" and ", words) + (GiveOrTake > 0 ? $", give or take {Numbers.Percent(GiveOrTake)}" : "");
    }
}
