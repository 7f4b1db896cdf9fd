using Google.OrTools.Sat;

namespace Yuntak.Core.Arranging;

/// <summary>A seat in the model: whether it is taken, and with which pools and devices.</summary>
/// <param name="Seat">The seat.</param>
/// <param name="Taken">Whether it is taken.</param>
/// <param name="System">For each pool its system disk could lie in whether it does.</param>
/// <param name="Bulk">The same for its bulk data.</param>
internal sealed record SeatVar(Seat Seat, BoolVar Taken, IReadOnlyList<BoolVar> System, IReadOnlyList<BoolVar> Bulk)
{
    /// <summary>What it takes of a line, each part with whether it is taken.</summary>
    public IEnumerable<(BoolVar Taken, long Load)> LoadsOn(Limit limit)
    {
        if (limit.Line is not (RoomLine.Pool or RoomLine.PoolPromised))
        {
            yield return (Taken, Seat.LoadOn(limit));
            yield break;
        }

        foreach (var part in Of(Seat.System, System, limit).Concat(Of(Seat.Bulk, Bulk, limit)))
        {
            yield return part;
        }
    }

    private static IEnumerable<(BoolVar Taken, long Load)> Of(IReadOnlyList<SeatPool> pools, IReadOnlyList<BoolVar> vars, Limit limit)
    {
        for (var n = 0; n < pools.Count; n++)
        {
            if (pools[n].Pool == limit.At)
            {
                yield return (vars[n], limit.Line == RoomLine.Pool ? pools[n].Claimed : pools[n].Promised);
            }
        }
    }
}
