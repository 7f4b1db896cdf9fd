using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>What a store's list says of a guest, beside what its job plans.</summary>
/// <param name="Job">The job that copies it.</param>
/// <param name="Guest">The guest.</param>
/// <param name="Newest">Its newest copy; null when the list has none.</param>
/// <param name="MissedTimes">How often the job should have run since, in times of its longest gap.</param>
/// <param name="Expected">What a whole copy is at least: data that were said, and not the size of a disk, of which a new guest uses little. Nothing where only that is known.</param>
/// <param name="Largest">The largest of its copies; null while no size is known.</param>
/// <param name="Runs">How many of its copies are known.</param>
/// <param name="CheckedDays">Days since one of its copies was read back; null for never.</param>
public sealed record KnownTruth(
    JobSums Job,
    Guest Guest,
    KnownCopy? Newest,
    double MissedTimes,
    ByteSize Expected,
    ByteSize? Largest,
    int Runs,
    int? CheckedDays
)
{
    /// <summary>The largest copy as a share of a whole one; null while no size is known.</summary>
    public double? Share => Largest is { } size && Expected > ByteSize.Zero ? size.Bytes / (double)Expected.Bytes : null;

    /// <summary>Every guest of every job into a store of which a list was read.</summary>
    public static IEnumerable<KnownTruth> Of(HouseKeeping keeping)
    {
        if (keeping.Lab.Copies.Count == 0)
        {
            yield break;
        }

        var copies = keeping.Lab.Copies.ToLookup(c => (c.Store, c.Guest));
        var stores = keeping.Lab.Copies.Select(c => c.Store).ToHashSet(StringComparer.Ordinal);
        foreach (var job in keeping.Jobs.Where(j => stores.Contains(j.Job.Store)))
        {
            foreach (
                var guest in job.Segments.Select(s => s.Part.Guest).OfType<GuestId>().Distinct().Select(keeping.Lab.Guest).OfType<Guest>()
            )
            {
                yield return Of(keeping, job, guest, [.. copies[(job.Job.Store, guest.Id)].Where(c => IsOfNow(keeping, c))]);
            }
        }
    }

    /// <summary>Whether a copy can have been taken by now. One of a day that is yet to come was written down by a clock that is wrong, and says nothing about today.</summary>
    private static bool IsOfNow(HouseKeeping keeping, KnownCopy copy) =>
        Moments.Read(copy.At) is not { } at || DateOnly.FromDateTime(at) <= keeping.On.AddDays(1);

    private static KnownTruth Of(HouseKeeping keeping, JobSums job, Guest guest, List<KnownCopy> own)
    {
        var newest = own.MaxBy(c => c.At, StringComparer.Ordinal);
        var expected = job
            .Segments.Where(s => s.Part.Guest == guest.Id && (s.Part.Size is not null || s.Volume?.Part == VolumePart.Bulk))
            .Aggregate(ByteSize.Zero, (sum, s) => sum + s.Size);
        var read = own.Select(c => c.Checked).Where(c => c <= keeping.On.AddDays(1)).Max();
        return new KnownTruth(
            job,
            guest,
            newest,
            Moments.Read(newest?.At) is { } at
                ? (keeping.On.ToDateTime(new TimeOnly(12, 0)) - at).TotalHours / job.Times.LongestGapHours
                : 0,
            expected,
            own.Select(c => c.Size).Max(),
            own.Count,
            read is { } on ? keeping.On.DayNumber - on.DayNumber : null
        );
    }
}
