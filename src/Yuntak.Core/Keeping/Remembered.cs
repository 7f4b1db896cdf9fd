using System.Collections.Concurrent;

namespace Yuntak.Core.Keeping;

/// <summary>Remembers what was worked out from the same values before, so that an edit elsewhere does not ask for it once more; all is forgotten when it becomes too much.</summary>
/// <typeparam name="TKey">The values it follows from.</typeparam>
/// <typeparam name="T">What was worked out.</typeparam>
/// <param name="most">The most that is remembered.</param>
internal sealed class Remembered<TKey, T>(int most)
    where TKey : notnull
{
    private readonly ConcurrentDictionary<TKey, T> known = [];

    /// <summary>What follows from the values.</summary>
    public T Of(TKey key, Func<T> workOut)
    {
        if (known.Count > most)
        {
            known.Clear();
        }

        return known.GetOrAdd(key, _ => workOut());
    }
}
