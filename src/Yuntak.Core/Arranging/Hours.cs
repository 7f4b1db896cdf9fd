namespace Yuntak.Core.Arranging;

/// <summary>Which hours of a day matter for a host.</summary>
internal static class Hours
{
    /// <summary>The hours of which no other is at least as busy for everybody who could be there. All hours of a host have the same cores.</summary>
    /// <param name="hours">The lines of the hours.</param>
    /// <param name="seats">Who could be there.</param>
    public static IEnumerable<Limit> Peaks(IEnumerable<Limit> hours, IReadOnlyList<Seat> seats)
    {
        List<(Limit Limit, long[] Loads)> kept = [];
        foreach (var hour in hours)
        {
            var loads = seats.Select(s => s.LoadOn(hour)).ToArray();
            if (kept.Exists(k => Covers(k.Loads, loads)))
            {
                continue;
            }

            kept.RemoveAll(k => Covers(loads, k.Loads));
            kept.Add((hour, loads));
        }

        return kept.Select(k => k.Limit);
    }

    private static bool Covers(long[] busier, long[] other)
    {
        for (var n = 0; n < other.Length; n++)
        {
            if (other[n] > busier[n])
            {
                return false;
            }
        }

        return true;
    }
}
