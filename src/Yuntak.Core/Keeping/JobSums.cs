using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>A job: what it copies, how much at first and each time, and how long that takes when nothing else runs.</summary>
public sealed class JobSums
{
    private const double DaysAMonth = Duration.DaysPerYear / 12;

    private readonly Once<double> gap;
    private readonly Once<ByteSize> first;
    private readonly Once<ByteSize> each;
    private readonly Once<Duration> firstTime;
    private readonly Once<Duration> eachTime;
    private readonly Once<ValueList<NightPiece>> pieces;

    private JobSums(JobSums other, CopyTimes times)
    {
        (Job, Store, Keep, Segments, Most, copyOnWrite) = (
            other.Job,
            other.Store,
            other.Keep,
            other.Segments,
            other.Most,
            other.copyOnWrite
        );
        Times = times;
        (first, each, firstTime, eachTime, pieces) = Sums();
        gap = new(() => Times.LongestGapHours);
    }

    internal JobSums(Sums sums, CopyJob job, StoreSums? store, IReadOnlyList<KeepVolume> volumes, ILookup<GuestId, KeepVolume> volumesOf)
    {
        Job = job;
        Store = store;
        Times = CopyTimes.Parse(job.Times);
        Keep = job.Keep is { } rule ? RetentionRule.Parse(rule) : null;
        Segments = [.. job.Takes.SelectMany(p => Of(sums, p, volumes, volumesOf))];
        Most = Math.Min(
            Math.Min(
                store?.MostIn ?? double.PositiveInfinity,
                job.Limit is { } limit ? DataRate.FromMbps(limit).BytesPerSecond : double.PositiveInfinity
            ),
            job.Rate is { } measured ? measured * 1e6 : double.PositiveInfinity
        );
        (first, each, firstTime, eachTime, pieces) = Sums();
        gap = new(() => Times.LongestGapHours);
    }

    /// <summary>The job.</summary>
    public CopyJob Job { get; }

    /// <summary>Its store; null when there is none of that name.</summary>
    public StoreSums? Store { get; }

    /// <summary>When it begins.</summary>
    public CopyTimes Times { get; }

    /// <summary>What is kept; null for everything.</summary>
    public RetentionRule? Keep { get; }

    /// <summary>What it copies, in this order.</summary>
    public IReadOnlyList<CopySegment> Segments { get; }

    /// <summary>The most it takes, in bytes a second.</summary>
    internal double Most { get; }

    /// <summary>Days from one copy to the next, on average.</summary>
    public double EveryDays => Times.EveryDays;

    /// <summary>What the first copy is.</summary>
    public ByteSize First => first.Value;

    /// <summary>What each further copy is.</summary>
    public ByteSize Each => each.Value;

    /// <summary>What of it is new each time, whether or not all of it is copied.</summary>
    internal ByteSize Changed => Segments.Aggregate(ByteSize.Zero, (sum, s) => sum + s.Changed(EveryDays));

    /// <summary>What the first copy of some of its parts is.</summary>
    /// <param name="parts">The parts, or volumes of them, by what they are known by.</param>
    internal ByteSize BytesOf(ValueList<string> parts) => Of(parts).Aggregate(ByteSize.Zero, (sum, s) => sum + s.Size);

    /// <summary>How long the first copy of some of its parts takes when nothing else runs.</summary>
    /// <param name="parts">The parts, or volumes of them, by what they are known by.</param>
    internal Duration FirstOf(ValueList<string> parts) => Of(parts).Aggregate(new Duration(0), (sum, s) => sum + Time(s, s.Size));

    private IEnumerable<CopySegment> Of(ValueList<string> parts) =>
        Segments.Where(s => parts.Contains(s.Part.Key) || parts.Contains(s.Key));

    /// <summary>What is lost at worst of what it copies: from one copy to the next, and while that is taken.</summary>
    public Duration Loses => Duration.FromHours(gap.Value) + EachTime;

    /// <summary>How long the first copy takes when nothing else runs.</summary>
    public Duration FirstTime => firstTime.Value;

    /// <summary>How long each further copy takes when nothing else runs.</summary>
    public Duration EachTime => eachTime.Value;

    /// <summary>The hosts whose guests, folders and settings it copies.</summary>
    public IReadOnlyList<Host> Sources(Lab lab) =>
        [
            .. Job
                .Takes.Select(p =>
                    p.Host is { } host ? lab.Host(host)
                    : p.Guest is { } id && (p.Kind != PartKind.Whole || p.Without.Count < 2) && lab.Guest(id) is { } guest
                        ? lab.HostOf(guest)
                    : p.Folder is { } folder ? lab.Host(lab.AllFolders.FirstOrDefault(f => f.Name == folder)?.Host)
                    : null
                )
                .OfType<Host>()
                .DistinctBy(h => h.Id),
        ];

    /// <summary>The same job at other times.</summary>
    internal JobSums At(CopyTimes times) => new(this, times);

    /// <summary>What it moves each time.</summary>
    internal ValueList<NightPiece> Pieces => pieces.Value;

    /// <summary>How long a guest is away while it is copied: not at all, or stopping, copying or switching, and starting.</summary>
    /// <param name="guest">The guest.</param>
    /// <param name="first">Whether it is the first copy.</param>
    public Duration Away(GuestId guest, bool first)
    {
        var own = Segments.Where(s => s.Part.Guest == guest).ToList();
        if (Job.Mode != CopyMode.Stop || own.Count == 0)
        {
            return new(0);
        }

        // A pool that copies on write lays down how it was, and the guest starts at once.
        var switches = own.TrueForAll(s => s.Volume is { } v && IsCopyOnWrite(v));
        var copying = switches
            ? new Duration(0)
            : own.Aggregate(new Duration(0), (sum, s) => sum + Time(s, first ? s.Size : s.After(EveryDays)));
        return new Duration(KeepingRules.StopMinutes + KeepingRules.StartMinutes) + copying;
    }

    private readonly HashSet<KeepVolume> copyOnWrite = [];

    private bool IsCopyOnWrite(KeepVolume volume) => copyOnWrite.Contains(volume);

    /// <summary>What is asked for again and again, each worked out once.</summary>
    private (Once<ByteSize>, Once<ByteSize>, Once<Duration>, Once<Duration>, Once<ValueList<NightPiece>>) Sums() =>
        (
            new(() => Segments.Aggregate(ByteSize.Zero, (sum, s) => sum + s.Size)),
            new(() => Segments.Aggregate(ByteSize.Zero, (sum, s) => sum + s.After(EveryDays))),
            new(() => Alone(s => s.Size)),
            new(() => Alone(s => s.After(EveryDays))),
            new(() => [.. Segments.Select(s => new NightPiece(s.After(EveryDays).Bytes, s.Over, Most, s.Part.Guest))])
        );

    private Duration Alone(Func<CopySegment, ByteSize> amount) => Segments.Aggregate(new Duration(0), (sum, s) => sum + Time(s, amount(s)));

    private Duration Time(CopySegment segment, ByteSize amount) =>
        amount <= ByteSize.Zero ? new(0) : Duration.Of(amount, new NightPiece(1, segment.Over, Most).Alone);

    private IEnumerable<CopySegment> Of(Sums sums, JobPart part, IReadOnlyList<KeepVolume> volumes, ILookup<GuestId, KeepVolume> volumesOf)
    {
        var lab = sums.Lab;
        if (part.Host is { } id && lab.Host(id) is { } host)
        {
            var boot = (host.Id, host.Pools.FirstOrDefault(p => host.DisksOf(p).Any(host.StartsFrom))?.Name);
            yield return Segment(
                lab,
                part,
                null,
                part.Kind == PartKind.Agent ? $"files of {host.Name}, by an agent" : $"settings of {host.Name}",
                part.Size ?? KeepingRules.Settings,
                1,
                boot
            );
            yield break;
        }

        if (part.Folder is { } name)
        {
            foreach (var folder in volumes.Where(v => v.Folder?.Name == name))
            {
                yield return Segment(lab, part, folder, folder.Words, part.Size ?? folder.Size, KeepingRules.BulkChanges, folder.At);
            }

            yield break;
        }

        if (part.Guest is not { } guestId || lab.Guest(guestId) is not { } guest)
        {
            yield break;
        }

        var own = volumesOf[guestId].Where(v => !part.Without.Contains(v.Part!.Value)).ToList();
        if (part.Kind != PartKind.Whole)
        {
            // Files of a guest are read through its own disks: the archive of its service, or what an agent is told to take.
            var at = own.Select(v => v.At)
                .LastOrDefault(((lab.Outer(guest) ?? guest).Placement?.Host, (lab.Outer(guest) ?? guest).Placement?.SystemPool));
            var size = part.Size ?? own.Aggregate(ByteSize.Zero, (sum, v) => sum + v.Size);
            yield return Segment(
                lab,
                part,
                null,
                $"{CopyWords.Parts.Display(part.Kind)} of {guest.Name}",
                size > ByteSize.Zero ? size : sums.Guest(guestId).SystemDisk,
                KeepingRules.SystemChanges,
                at
            ) with
            {
                Covers = [.. own.Where(v => v.Part == VolumePart.System ? TakesSettings(part) : TakesData(part, guest, v))],
            };
            yield break;
        }

        var all = own.Aggregate(ByteSize.Zero, (sum, v) => sum + v.Size);
        foreach (var volume in own)
        {
            if (lab.Host(volume.At.Host)?.PoolNamed(volume.At.Pool)?.Family == PoolFamily.CopyOnWrite)
            {
                copyOnWrite.Add(volume);
            }

            // What was said of the guest as a whole is split as its volumes are.
            var share = all > ByteSize.Zero ? volume.Size.Bytes / (double)all.Bytes : 0;
            var segment = Segment(
                lab,
                part with
                {
                    Changes = part.Changes is { } a ? a * share : null,
                },
                volume,
                volume.Words,
                part.Size is { } said ? said * share : volume.Size,
                volume.Part == VolumePart.System ? KeepingRules.SystemChanges : KeepingRules.BulkChanges,
                volume.At
            );
            yield return volume.Part == VolumePart.Bulk && part.Changes is null
                ? segment with
                {
                    ADay = segment.ADay + Grows(guest, segment.Size),
                }
                : segment;
        }
    }

    /// <summary>Files by an archive or agent are settings and database where nothing else is named, and where all is.</summary>
    private static bool TakesSettings(JobPart part) => part.Kind == PartKind.Archive || part.Path is null or "/";

    /// <summary>Bulk data are in it where all folders the guest writes to lie in the one that is copied, or it is said to be as much.</summary>
    private static bool TakesData(JobPart part, Guest guest, KeepVolume bulk)
    {
        var written = guest.Folders.Where(f => !f.ReadOnly).ToList();
        return (part.Path is { } path && (path == "/" || (written.Count > 0 && written.TrueForAll(f => IsIn(f.HostPath, path)))))
            || part.Size >= bulk.Size;
    }

    private static bool IsIn(string folder, string path) =>
        folder == path || folder.StartsWith(path.TrimEnd('/') + "/", StringComparison.Ordinal);

    private CopySegment Segment(
        Lab lab,
        JobPart part,
        KeepVolume? volume,
        string name,
        ByteSize size,
        double changes,
        (HostId? Host, string? Pool) at
    ) =>
        new(
            volume,
            part,
            name,
            size,
            part.Changes ?? size * changes,
            part.Changes is not null,
            Store?.Store.Deduplicates == false && CopySegment.IsWhole(part),
            Lines.Join(Lines.End([lab], at, Store?.HostId, into: false), Store?.End(at.Host, into: true) ?? [])
        );

    /// <summary>What a guest's bulk data grows by in a day.</summary>
    internal static ByteSize Grows(Guest guest, ByteSize size) =>
        guest.Growth is { } growth
            ? (growth.PerMonth * (1 / DaysAMonth)) + (size * (growth.ShareAYear / Duration.DaysPerYear))
            : ByteSize.Zero;
}
