namespace Yuntak.Core.Units;

/// <summary>How long something takes.</summary>
/// <param name="Minutes">In minutes; fractions are kept.</param>
public readonly record struct Duration(double Minutes) : IComparable<Duration>
{
    /// <summary>Days in a year, leap years spread over all of them. The one length of a year in the product.</summary>
    public const double DaysPerYear = 365.25;

    /// <summary>Hours in a year.</summary>
    public const double HoursPerYear = DaysPerYear * 24;

    /// <summary>In hours.</summary>
    public double Hours => Minutes / 60;

    /// <summary>Whole minutes, rounded up: what a person plans with.</summary>
    public int WholeMinutes => (int)Math.Min(int.MaxValue, Math.Ceiling(Math.Round(Minutes, 6)));

    /// <summary>So many hours.</summary>
    public static Duration FromHours(double hours) => new(hours * 60);

    /// <summary>The time an amount takes at a rate.</summary>
    /// <param name="amount">The amount.</param>
    /// <param name="bytesPerSecond">The rate, in bytes a second.</param>
    public static Duration Of(ByteSize amount, double bytesPerSecond) => new(amount.Bytes / bytesPerSecond / 60);

    /// <inheritdoc/>
    public int CompareTo(Duration other) => Minutes.CompareTo(other.Minutes);

    /// <summary>Adds two times.</summary>
    public static Duration operator +(Duration a, Duration b) => new(a.Minutes + b.Minutes);

    /// <summary>Whether the left is shorter.</summary>
    public static bool operator <(Duration a, Duration b) => a.Minutes < b.Minutes;

    /// <summary>Whether the left is longer.</summary>
    public static bool operator >(Duration a, Duration b) => a.Minutes > b.Minutes;

    /// <summary>Whether the left is shorter or the same.</summary>
    public static bool operator <=(Duration a, Duration b) => a.Minutes <= b.Minutes;

    /// <summary>Whether the left is longer or the same.</summary>
    public static bool operator >=(Duration a, Duration b) => a.Minutes >= b.Minutes;

    /// <summary>For people who plan an evening: «20 min», «3 h 4 min», «2 d 5 h».</summary>
    public string Exactly()
    {
        var whole = WholeMinutes;
        return whole < 60 ? $"{whole}{Numbers.ThinSpace}min"
            : whole < 2_880 ? $"{whole / 60}{Numbers.ThinSpace}h{(whole % 60 == 0 ? "" : $" {whole % 60}{Numbers.ThinSpace}min")}"
            : $"{whole / 1_440}{Numbers.ThinSpace}d{(whole % 1_440 < 60 ? "" : $" {whole % 1_440 / 60}{Numbers.ThinSpace}h")}";
    }

    /// <summary>For people: «20 min», «about 7 h».</summary>
    public override string ToString() =>
        Minutes < 120
            ? $"{WholeMinutes}{Numbers.ThinSpace}min"
            : $"{Numbers.Short(Math.Ceiling(Math.Round(Hours, 6)))}{Numbers.ThinSpace}h";
}
