using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>How full a store gets: what one whole copy is, and what is kept beside it.</summary>
public sealed class StoreRoom
{
    /// <summary>How far it is looked ahead, in days.</summary>
    public const int Days = 366;

    private readonly List<ArrivalRoom> arrivals;
    private readonly DateOnly on;
    private readonly StoreSums store;
    private readonly ByteSize full;
    private readonly Once<ByteSize> settled;
    private readonly Once<ByteSize> most;
    private IReadOnlyList<(DateOnly, ByteSize)>? curve;

    internal StoreRoom(HouseKeeping keeping, StoreSums store)
    {
        this.store = store;
        on = keeping.On;
        arrivals = ArrivalRoom.Of(keeping.Into[store.Store.Name]);
        full = keeping.Into[store.Store.Name].Aggregate(ByteSize.Zero, (sum, a) => sum + a.Job.First);
        var cycles = new Once<List<IReadOnlyList<IReadOnlyList<TimeSpan>>>>(() =>
            [.. arrivals.Select(a => KeptDays.Cycle(a.Times, a.Keep, a.School))]
        );
        settled = new(() => Most(cycles.Value, 0));
        most = new(() => Most(cycles.Value, Days - 1));
        var known = keeping.Lab.Copies.Where(c => c.Store == store.Store.Name && c.Size is not null).ToList();
        Read = known.Count > 0 ? known.Aggregate(ByteSize.Zero, (sum, c) => sum + c.Size!.Value) : null;
    }

    /// <summary>What one whole copy of everything is, before anything is saved.</summary>
    public ByteSize Full => full;

    /// <summary>What the copies in it add up to, as its list said; null while none was read.</summary>
    public ByteSize? Read { get; }

    /// <summary>
    /// The most that lies in it on any day of a year once the retention is full: every whole copy, or one and the changes between those that are kept, without growth. A change counts once for each copy it lies
    /// between, and together they are no more than all of it: the least room that is surely enough, as long as nothing was measured to be saved.
    /// </summary>
    public ByteSize Settled => settled.Value;

    /// <summary>What it is by a list that was read, else <see cref="Settled"/>.</summary>
    public ByteSize Used => Read ?? Settled;

    /// <summary>What is left of its room; null while that is not known.</summary>
    public ByteSize? Spare => store.Room - Used;

    /// <summary>How full it is day by day from the first copy on, with growth, for a year.</summary>
    public IReadOnlyList<(DateOnly Day, ByteSize Used)> Curve => curve ??= [.. DayByDay()];

    /// <summary>
    /// The day it is full, where it gets full at all: once the retention is full, with a year's growth. Null when it does not, or nobody knows how much it holds. A retention that
    /// takes long to fill may put that day past a year from the first copy.
    /// </summary>
    public DateOnly? FullOn =>
        store.Room is not { } room ? null
        : Used > room && Read is not null ? on
        : most.Value <= room ? null
        : Curve.Where(c => c.Used > room).Select(c => (DateOnly?)c.Day).FirstOrDefault()
            ?? Later().Where(c => c.Used > room).Select(c => (DateOnly?)c.Day).FirstOrDefault()
            ?? on.AddDays(Days);

    /// <summary>How much a store would have to hold so that it does not get full within a year, whatever the day.</summary>
    public ByteSize Needed => ByteSize.Max(most.Value, Used);

    /// <summary>The most on any day of the cycle, all plans together.</summary>
    private ByteSize Most(List<IReadOnlyList<IReadOnlyList<TimeSpan>>> cycles, int grown)
    {
        var largest = ByteSize.Zero;
        var days = cycles.Select(c => c.Count).DefaultIfEmpty(0).Max();
        for (var day = 0; day < days; day++)
        {
            Patience.Check();
            var sum = ByteSize.Zero;
            for (var n = 0; n < arrivals.Count; n++)
            {
                sum += arrivals[n].Of(cycles[n][Math.Min(day, cycles[n].Count - 1)], grown);
            }

            largest = ByteSize.Max(largest, sum);
        }

        return largest * (1 / store.Reduction);
    }

    private ByteSize Sum(List<IReadOnlyList<DateTime>> left, int days) =>
        arrivals.Select((a, n) => a.Of(left[n], days)).Aggregate(ByteSize.Zero, (sum, b) => sum + b) * (1 / store.Reduction);

    /// <summary>From a year after the first copy on, until every rule has long had all it keeps.</summary>
    private IEnumerable<(DateOnly Day, ByteSize Used)> Later()
    {
        var until = on.AddDays(
            Math.Min(
                LatestDays,
                Days * 2 + (int)arrivals.Max(a => a.Keep is { } keep ? on.DayNumber - KeptDays.Settled(a.Times, keep, on).DayNumber : 0)
            )
        );
        var each = arrivals.Select(a => KeptDays.Of(a.Times, a.Keep, a.School, on, until, on.AddDays(Days)).GetEnumerator()).ToList();
        try
        {
            while (each.TrueForAll(e => e.MoveNext()))
            {
                yield return (each[0].Current.Day, Sum([.. each.Select(e => e.Current.Left)], Days));
            }
        }
        finally
        {
            each.ForEach(e => e.Dispose());
        }
    }

    private const int LatestDays = 5 * Days;

    private IEnumerable<(DateOnly Day, ByteSize Used)> DayByDay()
    {
        var each = arrivals.Select(a => KeptDays.Year(a.Times, a.Keep, a.School, on)).ToList();
        for (var day = 0; day < Days; day++)
        {
            yield return (on.AddDays(day), Sum([.. each.Select(left => left[day])], day));
        }
    }
}
