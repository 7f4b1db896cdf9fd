using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shapes of a job and of what it takes.</summary>
public static class JobShapes
{
    // What a measured rate can be, in MB/s; outside of it nobody measured anything.
    internal const double LeastRate = 0.01;
    internal const double MostRate = 100_000;

    /// <summary>One thing a job copies.</summary>
    public static readonly Shape<JobPart> Part = new(
        "part of a job",
        new JobPart(),
        Of<JobPart>.MaybeText(
            "guest",
            nameof(Labs.JobPart.Guest),
            "guest",
            Codecs.Text(100),
            r => r.Guest?.Value,
            (r, v) => r with { Guest = v is null ? null : new GuestId(v) }
        ),
        Of<JobPart>
            .MaybeText(
                "host",
                nameof(Labs.JobPart.Host),
                "host",
                Codecs.Text(100),
                r => r.Host?.Value,
                (r, v) => r with { Host = v is null ? null : new HostId(v) }
            )
            .Explained("the host whose settings it is"),
        Of<JobPart>
            .MaybeText("folder", nameof(Labs.JobPart.Folder), "folder", Codecs.Text(100), r => r.Folder, (r, v) => r with { Folder = v })
            .Explained("a shared folder"),
        Of<JobPart>.Value(
            "by",
            nameof(Labs.JobPart.Kind),
            "sort of copy",
            Codecs.Word(CopyWords.Parts),
            PartKind.Whole,
            r => r.Kind,
            (r, v) => r with { Kind = v }
        ),
        new ListOf<JobPart, VolumePart>(
            "without",
            nameof(Labs.JobPart.Without),
            "not ticked",
            Codecs.Word(CopyWords.Volumes),
            r => r.Without,
            (r, v) => r with { Without = v }
        )
        {
            Most = 2,
            None = "nothing",
        }.Explained("volumes that are not ticked"),
        Of<JobPart>
            .Value("why", nameof(Labs.JobPart.Why), "why not", Codecs.Text(200), "", r => r.Why, (r, v) => r with { Why = v })
            .Explained("why they are not"),
        Of<JobPart>.MaybeText(
            "path",
            nameof(Labs.JobPart.Path),
            "folder that is copied",
            WireCodecs.Folder,
            r => r.Path,
            (r, v) => r with { Path = v }
        ),
        Of<JobPart>
            .Maybe("size", nameof(Labs.JobPart.Size), "size", Codecs.Size(Prefixes.Decimal), r => r.Size, (r, v) => r with { Size = v })
            .IsKnown()
            .Explained("where it is not the size of its volumes"),
        Of<JobPart>
            .Maybe(
                "changes",
                nameof(Labs.JobPart.Changes),
                "changes a day",
                Codecs.Size(Prefixes.Decimal),
                r => r.Changes,
                (r, v) => r with { Changes = v }
            )
            .IsKnown()
            .Explained("as measured")
    );

    /// <summary>A job.</summary>
    public static readonly Shape<CopyJob> Job = new(
        "job",
        new CopyJob("", "", "22:30"),
        Of<CopyJob>.Always("name", nameof(Labs.CopyJob.Name), "name", Codecs.Name("job"), "", r => r.Name, (r, v) => r with { Name = v }),
        Of<CopyJob>.Always(
            "store",
            nameof(Labs.CopyJob.Store),
            "store",
            Codecs.Text(100),
            "",
            r => r.Store,
            (r, v) => r with { Store = v }
        ),
        Of<CopyJob>.Always(
            "times",
            nameof(Labs.CopyJob.Times),
            "begins",
            CopyCodecs.Times,
            "22:30",
            r => r.Times,
            (r, v) => r with { Times = v }
        ),
        new Parts<CopyJob, JobPart>(
            "takes",
            nameof(Labs.CopyJob.Takes),
            "part",
            () => Part,
            p => p.Key,
            r => r.Takes,
            (r, v) => r with { Takes = v }
        )
        {
            Most = 2_000,
        },
        Of<CopyJob>.Value(
            "mode",
            nameof(Labs.CopyJob.Mode),
            "guests meanwhile",
            Codecs.Word(CopyWords.Modes),
            CopyMode.Snapshot,
            r => r.Mode,
            (r, v) => r with { Mode = v }
        ),
        Of<CopyJob>
            .Maybe(
                "limit",
                nameof(Labs.CopyJob.Limit),
                "limit, Mbit/s",
                Codecs.Number(0.01, 1_000_000),
                r => r.Limit,
                (r, v) => r with { Limit = v }
            )
            .Explained("the most it takes of the network, in Mbit/s"),
        Of<CopyJob>
            .MaybeText("keep", nameof(Labs.CopyJob.Keep), "keeps", CopyCodecs.Keep, r => r.Keep, (r, v) => r with { Keep = v })
            .Explained("left out: everything"),
        Of<CopyJob>.Value(
            "school",
            nameof(Labs.CopyJob.School),
            "school",
            Codecs.Word(Schedules.ScheduleWords.Schools),
            Schedules.RetentionSchool.Overlapping,
            r => r.School,
            (r, v) => r with { School = v }
        ),
        Of<CopyJob>
            .Maybe(
                "back-days",
                nameof(Labs.CopyJob.BackDays),
                "days back wanted",
                Codecs.Whole(1, 36_500),
                r => r.BackDays,
                (r, v) => r with { BackDays = v }
            )
            .IsKnown()
            .Explained("how many days one wants to be able to go back"),
        Of<CopyJob>
            .Maybe(
                "daily-days",
                nameof(Labs.CopyJob.DailyDays),
                "every day wanted for days",
                Codecs.Whole(1, 36_500),
                r => r.DailyDays,
                (r, v) => r with { DailyDays = v }
            )
            .IsKnown()
            .Explained("for how many days back a copy of every day is wanted"),
        Of<CopyJob>.Value(
            "told",
            nameof(Labs.CopyJob.Told),
            "told",
            Codecs.Word(CopyWords.Told),
            ToldWhen.Failure,
            r => r.Told,
            (r, v) => r with { Told = v }
        ),
        Of<CopyJob>.Maybe(
            "silent-days",
            nameof(Labs.CopyJob.SilentDays),
            "told when silent for days",
            Codecs.Whole(1, 365),
            r => r.SilentDays,
            (r, v) => r with { SilentDays = v }
        ),
        Of<CopyJob>
            .Maybe(
                "rate",
                nameof(Labs.CopyJob.Rate),
                "copies, MB/s",
                Codecs.Number(LeastRate, MostRate),
                r => r.Rate,
                (r, v) => r with { Rate = v }
            )
            .IsKnown()
            .Explained("as measured"),
        Of<CopyJob>
            .Value(
                "stands",
                nameof(Labs.CopyJob.Stands),
                "is set up already",
                Codecs.Flag(),
                false,
                r => r.Stands,
                (r, v) => r with { Stands = v }
            )
            .IsSilent()
            .IsKnown()
            .Explained("in a file: it is set up already")
    );
}
