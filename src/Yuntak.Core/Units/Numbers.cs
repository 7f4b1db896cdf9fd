using System.Globalization;

namespace Yuntak.Core.Units;

/// <summary>Reading and writing plain numbers the same way everywhere.</summary>
public static class Numbers
{
    /// <summary>The space between a number and its unit: narrow, and never a line break.</summary>
    public const string ThinSpace = "\u202F";

    /// <summary>The longest text that is looked at as a number, in characters.</summary>
    public const int LongestNumber = 100;

    /// <summary>The smallest number that <see cref="Short"/> shows as it is and that is no less: what is said to be enough is enough.</summary>
    public static double Up(double value)
    {
        var factor =
            value >= 99.95 ? 1
            : value >= 9.995 ? 10
            : 100;
        return Math.Ceiling(value * factor * (1 - 1e-13)) / factor;
    }

    /// <summary>A number with at most three telling digits: 1,234 · 123 · 12.3 · 1.25; trailing zeros go.</summary>
    public static string Short(double value)
    {
        if (!double.IsFinite(value))
        {
            return value > 0 ? "∞" : "–";
        }

        var size = Math.Abs(value);
        var format =
            size >= 99.95 ? "#,##0"
            : size >= 9.995 ? "0.#"
            : "0.##";
        return value.ToString(format, CultureInfo.InvariantCulture);
    }

    /// <summary>Every digit somebody gave: 0.005 stays 0.005.</summary>
    public static string Exact(double value) => value.ToString("#,##0.##########", CultureInfo.InvariantCulture);

    /// <summary>A number of cores or similar, always with one decimal: 9.1.</summary>
    public static string OneDecimal(double value) => value.ToString("0.0", CultureInfo.InvariantCulture);

    /// <summary>A share as a whole percentage: 84 %.</summary>
    public static string Percent(double share) =>
        double.IsFinite(share) ? Math.Round(share * 100).ToString("0", CultureInfo.InvariantCulture) + ThinSpace + "%" : "all and more";

    /// <summary>An hour of the day: 20:00.</summary>
    public static string Hour(int hour) => hour.ToString("00", CultureInfo.InvariantCulture) + ":00";

    /// <summary>«1 disk», «3 disks»: a count with its noun.</summary>
    public static string Count(int count, string one, string? many = null) =>
        string.Create(CultureInfo.InvariantCulture, $"{count:#,##0} {(count == 1 ? one : many ?? one + "s")}");

    /// <summary>Reads a non-negative number. A comma before exactly three digits parts thousands, any other single comma is a decimal comma.</summary>
    public static bool TryParse(string? text, out double number)
    {
        number = 0;
        if (text?.Length > LongestNumber)
        {
            return false;
        }

        var plain = (text ?? "").Trim().Replace("_", "", StringComparison.Ordinal);
        var comma = plain.IndexOf(',', StringComparison.Ordinal);
        if (
            comma >= 0
            && plain.IndexOf(',', comma + 1) < 0
            && !plain.Contains('.', StringComparison.Ordinal)
            && plain.Length - comma - 1 != 3
        )
        {
            plain = plain.Replace(',', '.');
        }

        return double.TryParse(
                plain,
                NumberStyles.AllowDecimalPoint | NumberStyles.AllowThousands,
                CultureInfo.InvariantCulture,
                out number
            )
            && double.IsFinite(number)
            && number >= 0;
    }
}
