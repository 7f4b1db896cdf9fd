using System.Diagnostics.CodeAnalysis;

namespace Yuntak.Data;

/// <summary>Keeps what was used last: when it is full, what nobody has asked for the longest goes first. Safe to use from several threads.</summary>
/// <typeparam name="TKey">What it is known by.</typeparam>
/// <typeparam name="TValue">What is kept.</typeparam>
/// <param name="most">How many are kept.</param>
public sealed class Recent<TKey, TValue>(int most)
    where TKey : notnull
{
    private readonly Lock gate = new();
    private readonly Dictionary<TKey, LinkedListNode<(TKey Key, TValue Value)>> known = [];
    private readonly LinkedList<(TKey Key, TValue Value)> order = new();

    /// <summary>Finds one, which makes it the one used last.</summary>
    public bool TryFind(TKey key, [MaybeNullWhen(false)] out TValue value)
    {
        lock (gate)
        {
            if (!known.TryGetValue(key, out var node))
            {
                value = default;
                return false;
            }

            order.Remove(node);
            order.AddFirst(node);
            value = node.Value.Value;
            return true;
        }
    }

    /// <summary>Keeps one; where one of that key is kept already, that one stays.</summary>
    public TValue Keep(TKey key, TValue value)
    {
        lock (gate)
        {
            if (TryFind(key, out var there))
            {
                return there;
            }

            known[key] = order.AddFirst((key, value));
            if (known.Count > most)
            {
                known.Remove(order.Last!.Value.Key);
                order.RemoveLast();
            }

            return value;
        }
    }
}
