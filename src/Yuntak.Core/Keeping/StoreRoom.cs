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
    private readonly Lazy<ByteSize> settled;
    private readonly Lazy<ByteSize> most;
    private IReadOnlyList<(DateOnly, ByteSize)>? curve;

    internal StoreRoom(HouseKeeping keeping, StoreSums store)
    {
        this.store = store;
        on = keeping.On;
        arrivals = [.. keeping.Into[store.Store.Name].Select(a => new ArrivalRoom(a))];
        var left = new Lazy<List<IReadOnlyList<DateTime>>>(() =>
            [.. arrivals.Select(a => KeptDays.OnceSettled(a.Arrival.Times, a.Arrival.Keep, a.Arrival.School, on))]
        );
        settled = new(() => Sum(left.Value, 0));
        most = new(() => Sum(left.Value, Days));
        var known = keeping.Lab.Copies.Where(c => c.Store == store.Store.Name && c.Size is not null).ToList();
        Read = known.Count > 0 ? known.Aggregate(ByteSize.Zero, (sum, c) => sum + c.Size!.Value) : null;
    }

    /// <summary>What one whole copy of everything is, before anything is saved.</summary>
    public ByteSize Full => arrivals.Aggregate(ByteSize.Zero, (sum, a) => sum + a.Arrival.Job.First);

    /// <summary>What the copies in it add up to, as its list said; null while none was read.</summary>
    public ByteSize? Read { get; }

    /// <summary>
    /// What lies in it once the retention is full: every whole copy, or one and the changes between those that are kept, without growth. A change counts once for each copy it lies
    /// between, and together they are no more than all of it: the least room that is surely enough, as long as nothing was measured to be saved.
    /// </summary>
    public ByteSize Settled => settled.Value;

    /// <summary>What it is by a list that was read, else <see cref="Settled"/>.</summary>
    public ByteSize Used => Read ?? Settled;

    /// <summary>What is left of its room; null while that is not known.</summary>
    public ByteSize? Spare => store.Room - Used;

    /// <summary>How full it is day by day from the first copy on, with growth, for a year.</summary>
    public IReadOnlyList<(DateOnly Day, ByteSize Used)> Curve => curve ??= [.. DayByDay()];

    /// <summary>The day it is full, within a year from the first copy; null when it does not get full, or nobody knows how much it holds.</summary>
    public DateOnly? FullOn =>
        store.Room is not { } room ? null
        : Used > room && Read is not null ? on
        : Most <= room ? null
        : Curve.Where(c => c.Used > room).Select(c => (DateOnly?)c.Day).FirstOrDefault();

    /// <summary>How much a store would have to hold so that it does not get full within a year.</summary>
    public ByteSize Needed => Curve.Select(c => c.Used).Append(Used).Max();

    /// <summary>More than it can ever be within a year, quickly: where that fits nothing need be counted day by day.</summary>
    private ByteSize Most => most.Value;

    private ByteSize Sum(List<IReadOnlyList<DateTime>> left, int days) =>
        arrivals.Select((a, n) => a.Of(left[n], days)).Aggregate(ByteSize.Zero, (sum, b) => sum + b) * (1 / store.Reduction);

    private IEnumerable<(DateOnly Day, ByteSize Used)> DayByDay()
    {
        var each = arrivals.Select(a => KeptDays.Year(a.Arrival.Times, a.Arrival.Keep, a.Arrival.School, on)).ToList();
        for (var day = 0; day < Days; day++)
        {
            yield return (on.AddDays(day), Sum([.. each.Select(left => left[day])], day));
        }
    }
}
