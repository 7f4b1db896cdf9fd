namespace Yuntak.Core.Arranging;

/// <summary>What becomes of one guest.</summary>
/// <param name="Seat">The seat it takes; null for none.</param>
/// <param name="System">Which of the seat's pools its system disk lies in, as the seat lists them.</param>
/// <param name="Bulk">The same for its bulk data.</param>
/// <param name="Left">Whether no place was found and it stays on its seat because it runs there.</param>
internal readonly record struct Choice(Seat? Seat, int System, int Bulk, bool Left = false)
{
    /// <summary>On no host.</summary>
    public static Choice None => new(null, 0, 0);

    /// <summary>Where a guest is now: in the pools it is in, or the first there are.</summary>
    public static Choice Now(Seat home, bool left = false) => new(home, Math.Max(0, At(home.System)), Math.Max(0, At(home.Bulk)), left);

    /// <summary>Whether it has a place.</summary>
    public bool Placed => Seat is not null && !Left;

    /// <summary>What it takes of a line of its host.</summary>
    public long LoadOn(Limit limit) =>
        limit.Line is RoomLine.Pool or RoomLine.PoolPromised
            ? Of(Seat!.System, System, limit) + Of(Seat.Bulk, Bulk, limit)
            : Seat!.LoadOn(limit);

    /// <summary>How many of its volumes lie elsewhere than now, on the host it is on now.</summary>
    public int Copied => Seat is { Stays: true } ? Moved(Seat.System, System) + Moved(Seat.Bulk, Bulk) : 0;

    /// <summary>How badly its volumes lie.</summary>
    public int Misplaced => Seat is null ? 0 : Badly(Seat.System, System) + Badly(Seat.Bulk, Bulk);

    private static int At(IReadOnlyList<SeatPool> pools)
    {
        for (var n = 0; n < pools.Count; n++)
        {
            if (pools[n].Now)
            {
                return n;
            }
        }

        return -1;
    }

    private static int Moved(IReadOnlyList<SeatPool> pools, int at) => pools.Count > 0 && !pools[at].Now && At(pools) >= 0 ? 1 : 0;

    private static int Badly(IReadOnlyList<SeatPool> pools, int at) => pools.Count > 0 ? pools[at].Misplaced : 0;

    private static long Of(IReadOnlyList<SeatPool> pools, int at, Limit limit) =>
        pools.Count == 0 || pools[at].Pool != limit.At ? 0
        : limit.Line == RoomLine.Pool ? pools[at].Claimed
        : pools[at].Promised;
}
