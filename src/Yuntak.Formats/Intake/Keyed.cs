namespace Yuntak.Formats.Intake;

/// <summary>Things in the order in which they first came, of which the same one said again replaces what was said before.</summary>
/// <param name="key">What makes two of them the same.</param>
internal sealed class Keyed<T>(Func<T, string> key)
{
    private readonly Dictionary<string, int> places = new(StringComparer.Ordinal);
    private readonly List<T> items = [];

    public IReadOnlyList<T> Items => items;

    /// <summary>Adds or replaces; false when there are too many.</summary>
    public bool Add(T item)
    {
        if (places.TryGetValue(key(item), out var place))
        {
            items[place] = item;
            return true;
        }

        if (items.Count >= IntakeLimits.MostThings)
        {
            return false;
        }

        places[key(item)] = items.Count;
        items.Add(item);
        return true;
    }
}
