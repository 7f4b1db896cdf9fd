using System.Globalization;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>Chances as people can hold on to them.</summary>
public static class Odds
{
    private const double Rare = 0.01;
    private const double Never = 1e-9;

    /// <summary>The chance a year below which other things take a pool first: 1 in 10,000; common practice.</summary>
    public const double RarerThanFire = 1e-4;

    /// <summary>«3.2 %», «1 in 2,400»; below 1 in 10,000 a year «rarer than fire, theft or a slip», since then it is not the disks that matter.</summary>
    public static string Words(double share) => share < RarerThanFire ? "rarer than fire, theft or a slip" : Exactly(share);

    /// <summary>A range from the odds of independent disks to those of one batch, in words.</summary>
    public static string Words(double independent, double inBatch) =>
        Words(independent) == Words(inBatch) ? Words(inBatch) : $"{Words(independent)}; {Words(inBatch)} in one batch";

    /// <summary>«3.2 %», «1 in 240,000».</summary>
    public static string Exactly(double share) =>
        share >= Rare ? Numbers.Short(Math.Round(share * 100, 1)) + Numbers.ThinSpace + "%"
        : share < Never ? "less than 1 in 1,000,000,000"
        : "1 in " + Rounded(1 / share).ToString("#,##0", CultureInfo.InvariantCulture);

    /// <summary>
    /// 1 − e^(−x), exact also where x is tiny (Kahan's way; see Higham, Accuracy and Stability of Numerical Algorithms, 1.14.1). The numeric library's own is
    /// off in the tenth digit.
    /// </summary>
    public static double OneMinusExp(double x)
    {
        var power = Math.Exp(-x);
        return power switch
        {
            1 => x,
            0 => 1,
            _ => (power - 1) * x / Math.Log(power),
        };
    }

    /// <summary>Two significant digits are all such a figure is worth.</summary>
    private static double Rounded(double value)
    {
        var step = Math.Pow(10, Math.Floor(Math.Log10(value)) - 1);
        return Math.Round(value / step) * step;
    }
}
