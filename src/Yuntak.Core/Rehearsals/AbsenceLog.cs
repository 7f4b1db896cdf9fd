using Yuntak.Core.Labs;

namespace Yuntak.Core.Rehearsals;

/// <summary>Who is away when, told step by step and put together where one step follows the other.</summary>
internal sealed class AbsenceLog
{
    private readonly Dictionary<GuestId, int> last = [];
    private readonly List<Absence> all = [];

    /// <summary>In the order they began.</summary>
    public IReadOnlyList<Absence> All => all;

    /// <summary>These guests are away in a time that comes after all told before.</summary>
    public void Add(IEnumerable<GuestId> guests, int from, int to)
    {
        if (from == to)
        {
            return;
        }

        foreach (var guest in guests.Distinct())
        {
            if (last.TryGetValue(guest, out var at) && all[at].To == from)
            {
                all[at] = all[at] with { To = to };
            }
            else
            {
                last[guest] = all.Count;
                all.Add(new(guest, from, to));
            }
        }
    }
}
