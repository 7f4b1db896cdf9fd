using System.Collections;
using System.Collections.Immutable;
using System.Runtime.CompilerServices;

namespace Yuntak.Core.Base;

/// <summary>An immutable list that equals another with the same items in the same order, so that records holding lists compare by value.</summary>
[CollectionBuilder(typeof(ValueList), nameof(ValueList.Create))]
public readonly struct ValueList<T> : IReadOnlyList<T>, IEquatable<ValueList<T>>
{
    private readonly ImmutableArray<T> items;

    internal ValueList(ImmutableArray<T> items) => this.items = items;

    /// <inheritdoc/>
    public int Count => items.IsDefault ? 0 : items.Length;

    private ImmutableArray<T> Items => items.IsDefault ? [] : items;

    /// <inheritdoc/>
    public T this[int index] => Items[index];

    /// <summary>The same list with one item more at the end.</summary>
    public ValueList<T> With(T item) => new(Items.Add(item));

    /// <summary>The same list with every item that fits <paramref name="which"/> put through <paramref name="change"/>.</summary>
    public ValueList<T> Change(Func<T, bool> which, Func<T, T> change) => [.. Items.Select(i => which(i) ? change(i) : i)];

    /// <summary>The same list with an item in the place of those that fit, or at the end where none does.</summary>
    public ValueList<T> Put(T item, Func<T, bool> which) => Items.Any(which) ? Change(which, _ => item) : With(item);

    /// <summary>The same list without the items that fit.</summary>
    public ValueList<T> Without(Func<T, bool> which) => [.. Items.Where(i => !which(i))];

    /// <inheritdoc/>
    public bool Equals(ValueList<T> other) => Items.SequenceEqual(other.Items);

    /// <inheritdoc/>
    public override bool Equals(object? obj) => obj is ValueList<T> other && Equals(other);

    /// <inheritdoc/>
    public override int GetHashCode()
    {
        var hash = default(HashCode);
        foreach (var item in Items)
        {
            hash.Add(item);
        }

        return hash.ToHashCode();
    }

    /// <summary>Whether two lists hold the same items in the same order.</summary>
    public static bool operator ==(ValueList<T> a, ValueList<T> b) => a.Equals(b);

    /// <summary>Whether two lists differ.</summary>
    public static bool operator !=(ValueList<T> a, ValueList<T> b) => !a.Equals(b);

    /// <inheritdoc/>
    public IEnumerator<T> GetEnumerator() => ((IEnumerable<T>)Items).GetEnumerator();

    IEnumerator IEnumerable.GetEnumerator() => GetEnumerator();
}
