using System.Globalization;
using System.Text.RegularExpressions;

namespace Yuntak.Core.Units;

/// <summary>An amount of storage or memory, in whole bytes. Prefixes follow IEC 80000-13: 1 TB = 10¹² bytes, 1 TiB = 2⁴⁰ bytes.</summary>
/// <param name="Bytes">The amount in bytes; negative only as the result of a subtraction (a shortfall).</param>
public readonly partial record struct ByteSize(long Bytes) : IComparable<ByteSize>
{
    /// <summary>The largest size that can be entered: 2⁵³ bytes, 8 PiB. Up to there a typed number is exact.</summary>
    public static readonly ByteSize LargestEntered = new(1L << 53);

    /// <summary>The largest size there is, just below 8 EiB. A sum that would be more stays here, and says so in words.</summary>
    public static readonly ByteSize MostCounted = new(long.MaxValue);

    private static readonly ByteSize LeastCounted = new(-long.MaxValue);

    /// <summary>Nothing.</summary>
    public static ByteSize Zero => default;

    /// <summary>The size in GiB (2³⁰ bytes).</summary>
    public double GiB => Bytes / (double)(1L << 30);

    /// <summary>The size in MiB (2²⁰ bytes).</summary>
    public double MiB => Bytes / (double)(1L << 20);

    /// <summary>The size in TiB (2⁴⁰ bytes).</summary>
    public double TiB => Bytes / (double)(1L << 40);

    /// <summary>The size in TB (10¹² bytes).</summary>
    public double TB => Bytes / 1e12;

    /// <summary>So many MiB, rounded to whole bytes.</summary>
    public static ByteSize FromMiB(double mib) => Rounded(mib * (1L << 20));

    /// <summary>So many GiB, rounded to whole bytes.</summary>
    public static ByteSize FromGiB(double gib) => Rounded(gib * (1L << 30));

    /// <summary>So many GB (10⁹ bytes), rounded to whole bytes.</summary>
    public static ByteSize FromGB(double gb) => Rounded(gb * 1e9);

    /// <summary>So many TB (10¹² bytes), rounded to whole bytes.</summary>
    public static ByteSize FromTB(double tb) => Rounded(tb * 1e12);

    /// <summary>So many bytes, rounded to whole ones; no more than <see cref="MostCounted"/>.</summary>
    public static ByteSize Rounded(double bytes) =>
        double.IsNaN(bytes) ? Zero
        : bytes >= long.MaxValue ? MostCounted
        : bytes <= -long.MaxValue ? LeastCounted
        : new((long)Math.Round(bytes));

    /// <summary>The larger of two sizes.</summary>
    public static ByteSize Max(ByteSize a, ByteSize b) => a.Bytes >= b.Bytes ? a : b;

    /// <summary>The smaller of two sizes.</summary>
    public static ByteSize Min(ByteSize a, ByteSize b) => a.Bytes <= b.Bytes ? a : b;

    /// <summary>The share that this is of <paramref name="whole"/>; zero of nothing is no share, anything of nothing is all and more.</summary>
    public Share ShareOf(ByteSize whole) =>
        new(
            whole.Bytes > 0 ? Bytes / (double)whole.Bytes
            : Bytes > 0 ? double.PositiveInfinity
            : 0
        );

    /// <summary>Rounds up to the next multiple of <paramref name="step"/>.</summary>
    public ByteSize RoundUpTo(ByteSize step)
    {
        var rest = Bytes % step.Bytes;
        return rest == 0 ? this : this + new ByteSize(step.Bytes - rest);
    }

    /// <inheritdoc/>
    public int CompareTo(ByteSize other) => Bytes.CompareTo(other.Bytes);

    /// <summary>Adds two sizes, up to <see cref="MostCounted"/>.</summary>
    public static ByteSize operator +(ByteSize a, ByteSize b) => Sum(a.Bytes, b.Bytes);

    /// <summary>Subtracts; the result may be negative, a shortfall.</summary>
    public static ByteSize operator -(ByteSize a, ByteSize b) => Sum(a.Bytes, -b.Bytes);

    /// <summary>Multiplies by a plain number, rounded to whole bytes.</summary>
    public static ByteSize operator *(ByteSize a, double factor) => Rounded(a.Bytes * factor);

    /// <summary>Multiplies by a whole number, exactly up to <see cref="MostCounted"/>.</summary>
    public static ByteSize operator *(long factor, ByteSize a) =>
        Math.Abs((double)a.Bytes * factor) < MostCounted.Bytes ? new(a.Bytes * factor) : Rounded((double)a.Bytes * factor);

    /// <summary>Divides by a whole number, rounding down.</summary>
    public static ByteSize operator /(ByteSize a, long divisor) => new(a.Bytes / divisor);

    /// <summary>Whether the left size is smaller.</summary>
    public static bool operator <(ByteSize a, ByteSize b) => a.Bytes < b.Bytes;

    /// <summary>Whether the left size is larger.</summary>
    public static bool operator >(ByteSize a, ByteSize b) => a.Bytes > b.Bytes;

    /// <summary>Whether the left size is smaller or the same.</summary>
    public static bool operator <=(ByteSize a, ByteSize b) => a.Bytes <= b.Bytes;

    /// <summary>Whether the left size is larger or the same.</summary>
    public static bool operator >=(ByteSize a, ByteSize b) => a.Bytes >= b.Bytes;

    /// <summary>The size for people, in binary units with a thin space: «2.5 GiB».</summary>
    public override string ToString() => Bytes >= MostCounted.Bytes ? $"more than 8{Numbers.ThinSpace}EiB" : Spoken(Binary, 1024);

    /// <summary>The same, never less than it is: how much more of something there has to be.</summary>
    public string ToStringUp() => Spoken(Binary, 1024, up: true);

    /// <summary>The same in decimal units, never less than it is.</summary>
    public string ToDecimalStringUp() => Spoken(Sold, 1000, up: true);

    /// <summary>The size for people as disks are sold, in decimal units: «20 TB».</summary>
    public string ToDecimalString() => Bytes >= MostCounted.Bytes ? $"more than 9{Numbers.ThinSpace}EB" : Spoken(Sold, 1000);

    /// <summary>Writes the size so that <see cref="TryParse"/> reads exactly the same bytes again, with the largest unit that divides it.</summary>
    public string ToExactString()
    {
        if (Bytes == 0)
        {
            return "0 B";
        }

        (string Name, long Size)[] units = [("TiB", 1L << 40), ("GiB", 1L << 30), ("MiB", 1L << 20)];
        foreach (var (name, size) in units)
        {
            // Halves and quarters of a unit are exact in binary and read better than thousands of the next one down.
            if (Bytes >= size && Bytes % (size / 4) == 0)
            {
                return string.Create(CultureInfo.InvariantCulture, $"{Bytes / (decimal)size:0.##} {name}");
            }
        }

        (string Name, long Size)[] sold = [("TB", 1_000_000_000_000), ("GB", 1_000_000_000), ("MB", 1_000_000)];
        foreach (var (name, size) in sold)
        {
            if (Bytes >= size && Bytes % (size / 100) == 0)
            {
                return string.Create(CultureInfo.InvariantCulture, $"{Bytes / (decimal)size:0.##} {name}");
            }
        }

        return string.Create(CultureInfo.InvariantCulture, $"{Bytes} B");
    }

    /// <summary>
    /// Reads a size such as <c>4g</c>, <c>4 GiB</c>, <c>500 GB</c> or <c>1.5 TB</c>. <c>GB</c> is always decimal and <c>GiB</c> always binary;
    /// a bare letter follows <paramref name="bareLetter"/>; a number without a letter is refused unless <paramref name="bareNumber"/> gives its unit.
    /// </summary>
    /// <returns>Whether <paramref name="text"/> is a size between 0 and <see cref="LargestEntered"/>.</returns>
    public static bool TryParse(string? text, Prefixes bareLetter, out ByteSize size, string? bareNumber = null)
    {
        size = default;
        if (text?.Length > Numbers.LongestNumber)
        {
            return false;
        }

        var match = Pattern().Match(text ?? "");
        if (!match.Success || !Numbers.TryParse(match.Groups["n"].Value, out var number))
        {
            return false;
        }

        var unit = match.Groups["u"].Value;
        unit = unit.Length == 0 ? bareNumber ?? "" : unit;
        if (unit.Length == 0)
        {
            return false;
        }

        var power = "bkmgtp".IndexOf(char.ToLowerInvariant(unit[0]), StringComparison.Ordinal);
        var binary = unit.Length == 1 ? bareLetter == Prefixes.Binary : unit[1] is 'i' or 'I';
        var bytes = number * Math.Pow(binary ? 1024 : 1000, power);
        if (!(bytes <= LargestEntered.Bytes))
        {
            return false;
        }

        size = new ByteSize((long)Math.Round(bytes));
        return true;
    }

    private static ByteSize Sum(long a, long b)
    {
        var sum = unchecked(a + b);
        // Two of one sign that give the other sign went over the edge.
        return ((a ^ sum) & (b ^ sum)) < 0 || sum == long.MinValue ? (a > 0 ? MostCounted : LeastCounted) : new(sum);
    }

    private static readonly string[] Binary = ["B", "KiB", "MiB", "GiB", "TiB", "PiB", "EiB"];
    private static readonly string[] Sold = ["B", "kB", "MB", "GB", "TB", "PB", "EB"];

    private string Spoken(string[] units, double step, bool up = false)
    {
        var value = (double)Bytes;
        var unit = 0;
        while (Math.Abs(value) >= step * 0.9995 && unit < units.Length - 1)
        {
            value /= step;
            unit++;
        }

        return Numbers.Short(up ? Numbers.Up(value) : value) + Numbers.ThinSpace + units[unit];
    }

    [GeneratedRegex(@"^\s*(?<n>[0-9][0-9.,_]*)\s*(?<u>[kmgtp](i?b)?|b|)\s*$", RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, 200)]
    private static partial Regex Pattern();
}
