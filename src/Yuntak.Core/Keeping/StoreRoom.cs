using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>How full a store gets: what one whole copy is, and what is kept beside it.</summary>
public sealed class StoreRoom
{
    /// <summary>How far it is looked ahead, in days.</summary>
    public const int Days = 366;

    private readonly List<Source> sources;
    private readonly DateOnly on;
    private readonly StoreSums store;
    private readonly Lazy<ByteSize> settled;
    private readonly Lazy<ByteSize> most;
    private IReadOnlyList<(DateOnly, ByteSize)>? curve;

    internal StoreRoom(HouseKeeping keeping, StoreSums store)
    {
        this.store = store;
        on = keeping.On;
        sources =
        [
            .. keeping.Jobs.Where(j => j.Job.Store == store.Store.Name).Select(j => new Source(j, j.Times, j.Keep, j.Job.School)),
            .. keeping
                .Onward.Where(o => o.Onward.To == store.Store.Name)
                .SelectMany(o =>
                    keeping
                        .Jobs.Where(j => j.Job.Store == o.Onward.From)
                        .Select(j => new Source(
                            j,
                            // No more often than it goes on, and no more often than there is something new.
                            o.Times.PerWeek < j.Times.PerWeek
                                ? o.Times
                                : j.Times,
                            o.Onward.Keep is { } own ? RetentionRule.Parse(own) : j.Keep,
                            o.Onward.Keep is null ? j.Job.School : o.Onward.School
                        ))
                ),
        ];
        var left = new Lazy<List<IReadOnlyList<DateTime>>>(() => [.. sources.Select(s => s.Settled(on))]);
        settled = new(() => Sum(left.Value, 0));
        most = new(() => Sum(left.Value, Days));
        var known = keeping.Lab.Copies.Where(c => c.Store == store.Store.Name && c.Size is not null).ToList();
        Read = known.Count > 0 ? known.Aggregate(ByteSize.Zero, (sum, c) => sum + c.Size!.Value) : null;
    }

    /// <summary>What one whole copy of everything is, before anything is saved.</summary>
    public ByteSize Full => sources.Aggregate(ByteSize.Zero, (sum, s) => sum + s.Job.First);

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

    /// <summary>More than it can ever be within a year, quickly: where that fits nothing need be counted day by day.</summary>
    private ByteSize Most => most.Value;

    private ByteSize Sum(List<IReadOnlyList<DateTime>> left, int days) =>
        sources.Select((s, n) => s.Size(left[n], days)).Aggregate(ByteSize.Zero, (sum, b) => sum + b) * (1 / store.Reduction);

    private IEnumerable<(DateOnly Day, ByteSize Used)> DayByDay()
    {
        var each = sources.Select(s => KeptDays.Year(s.Times, s.Keep, s.School, on)).ToList();
        for (var day = 0; day < Days; day++)
        {
            yield return (
                on.AddDays(day),
                sources.Select((s, n) => s.Size(each[n][day], day)).Aggregate(ByteSize.Zero, (sum, b) => sum + b) * (1 / store.Reduction)
            );
        }
    }

    /// <summary>What comes into the store by one job, directly or onward.</summary>
    private sealed record Source(JobSums Job, CopyTimes Times, RetentionRule? Keep, RetentionSchool School)
    {
        /// <summary>What is left after so long that the rule has all it keeps, or of everything kept a year's copies.</summary>
        public IReadOnlyList<DateTime> Settled(DateOnly on) => KeptDays.OnceSettled(Times, Keep, School, on);

        /// <summary>What copies take, after so many days of growth.</summary>
        public ByteSize Size(IReadOnlyList<DateTime> left, int days)
        {
            if (left.Count == 0)
            {
                return ByteSize.Zero;
            }

            var sum = ByteSize.Zero;
            foreach (var segment in Job.Segments)
            {
                var full =
                    segment.Size
                    + (
                        segment.Volume is { Part: VolumePart.Bulk, Guest: { } guest }
                            ? JobSums.Grows(guest, segment.Size) * days
                            : ByteSize.Zero
                    );
                sum += segment.Whole
                    ? left.Count * full
                    : full
                        + Enumerable
                            .Range(1, left.Count - 1)
                            .Aggregate(ByteSize.Zero, (kept, n) => kept + segment.After((left[n - 1] - left[n]).TotalDays));
            }

            return sum;
        }
    }
}
