using Yuntak.Core.Units;

namespace Yuntak.Core.Base;

/// <summary>Writes «4 → 6 GiB»: a change with the unit said once where it stays the same.</summary>
internal static class Arrow
{
    /// <summary>The change from one text to another.</summary>
    public static string Between(string before, string after)
    {
        var unit = after.LastIndexOfAny([Numbers.ThinSpace[0], ' ']);
        if (
            unit > 0
            && char.IsAsciiDigit(after[0])
            && char.IsAsciiDigit(before.FirstOrDefault())
            && before.EndsWith(after[unit..], StringComparison.Ordinal)
        )
        {
            before = before[..^after[unit..].Length];
        }

        return $"{before} → {after}";
    }
}
