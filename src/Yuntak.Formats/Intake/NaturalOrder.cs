using System.Globalization;

namespace Yuntak.Formats.Intake;

/// <summary>Orders names as people do, with the numbers in them by size: 3-2 before 3-10.</summary>
internal static class NaturalOrder
{
    public static readonly StringComparer Comparer = StringComparer.Create(CultureInfo.InvariantCulture, CompareOptions.NumericOrdering);
}
