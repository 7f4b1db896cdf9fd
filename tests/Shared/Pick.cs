using CsCheck;

namespace Yuntak.Tests;

/// <summary>Picks one of a few.</summary>
internal static class Pick
{
    public static Gen<T> From<T>(params T[] items) => Gen.Int[0, items.Length - 1].Select(n => items[n]);
}
