using System.Collections.Immutable;

namespace Yuntak.Core.Base;

/// <summary>Makes <see cref="ValueList{T}"/>s from collection expressions.</summary>
public static class ValueList
{
    /// <summary>A list of the given items.</summary>
    public static ValueList<T> Create<T>(ReadOnlySpan<T> items) => new([.. items]);
}
