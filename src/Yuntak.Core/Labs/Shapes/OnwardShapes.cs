using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shapes of onward copies, drills, and copies that are there.</summary>
public static class OnwardShapes
{
    /// <summary>An onward copy.</summary>
    public static readonly Shape<OnwardCopy> Onward = new(
        "onward copy",
        new OnwardCopy("", "", "02:00"),
        Of<OnwardCopy>.Always(
            "from",
            nameof(Labs.OnwardCopy.From),
            "from store",
            Codecs.Text(100),
            "",
            r => r.From,
            (r, v) => r with { From = v }
        ),
        Of<OnwardCopy>.Always("to", nameof(Labs.OnwardCopy.To), "to store", Codecs.Text(100), "", r => r.To, (r, v) => r with { To = v }),
        Of<OnwardCopy>.Always(
            "times",
            nameof(Labs.OnwardCopy.Times),
            "begins",
            CopyCodecs.Times,
            "02:00",
            r => r.Times,
            (r, v) => r with { Times = v }
        ),
        Of<OnwardCopy>.Value(
            "way",
            nameof(Labs.OnwardCopy.Way),
            "who begins",
            Codecs.Word(CopyWords.Ways),
            OnwardWay.Pull,
            r => r.Way,
            (r, v) => r with { Way = v }
        ),
        Of<OnwardCopy>.Value(
            "rights",
            nameof(Labs.OnwardCopy.Rights),
            "its account may",
            Codecs.Word(CopyWords.Rights),
            OnwardRights.Add,
            r => r.Rights,
            (r, v) => r with { Rights = v }
        ),
        Of<OnwardCopy>.Maybe(
            "limit",
            nameof(Labs.OnwardCopy.Limit),
            "limit, Mbit/s",
            Codecs.Number(0.01, 1_000_000),
            r => r.Limit,
            (r, v) => r with { Limit = v }
        ),
        Of<OnwardCopy>
            .Value(
                "first",
                nameof(Labs.OnwardCopy.First),
                "first copy",
                Codecs.Word(CopyWords.Firsts),
                FirstCopyWay.Line,
                r => r.First,
                (r, v) => r with { First = v }
            )
            .IsKnown(),
        Of<OnwardCopy>
            .MaybeText("keep", nameof(Labs.OnwardCopy.Keep), "keeps there", CopyCodecs.Keep, r => r.Keep, (r, v) => r with { Keep = v })
            .Explained("left out: what is kept here"),
        Of<OnwardCopy>.Value(
            "school",
            nameof(Labs.OnwardCopy.School),
            "school",
            Codecs.Word(Schedules.ScheduleWords.Schools),
            Schedules.RetentionSchool.Overlapping,
            r => r.School,
            (r, v) => r with { School = v }
        ),
        Of<OnwardCopy>
            .Maybe(
                "fingerprint-compared",
                nameof(Labs.OnwardCopy.FingerprintCompared),
                "fingerprint compared",
                Codecs.Day,
                r => r.FingerprintCompared,
                (r, v) => r with { FingerprintCompared = v }
            )
            .IsKnown(),
        Of<OnwardCopy>
            .Value(
                "stands",
                nameof(Labs.OnwardCopy.Stands),
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

    /// <summary>A drill.</summary>
    public static readonly Shape<Drill> Drill = new(
        "drill",
        new Drill(DrillKind.Guest, new DateOnly(2026, 1, 1)),
        Of<Drill>.Always(
            "of",
            nameof(Labs.Drill.Kind),
            "brings back",
            Codecs.Word(CopyWords.Drills),
            DrillKind.Guest,
            r => r.Kind,
            (r, v) => r with { Kind = v }
        ),
        Of<Drill>.Always("on", nameof(Labs.Drill.On), "on", Codecs.Day, new DateOnly(2026, 1, 1), r => r.On, (r, v) => r with { On = v }),
        Of<Drill>.MaybeText(
            "guest",
            nameof(Labs.Drill.Guest),
            "guest",
            Codecs.Text(100),
            r => r.Guest?.Value,
            (r, v) => r with { Guest = v is null ? null : new GuestId(v) }
        ),
        Of<Drill>.MaybeText(
            "host",
            nameof(Labs.Drill.Host),
            "host",
            Codecs.Text(100),
            r => r.Host?.Value,
            (r, v) => r with { Host = v is null ? null : new HostId(v) }
        ),
        Of<Drill>
            .Maybe("worked", nameof(Labs.Drill.Worked), "worked", Codecs.Flag(), r => r.Worked, (r, v) => r with { Worked = v })
            .Explained("left out: only planned"),
        Of<Drill>.Maybe(
            "minutes",
            nameof(Labs.Drill.Minutes),
            "minutes",
            Codecs.Whole(1, 100_000),
            r => r.Minutes,
            (r, v) => r with { Minutes = v }
        ),
        Of<Drill>.Value("note", nameof(Labs.Drill.Note), "note", Codecs.Text(400), "", r => r.Note, (r, v) => r with { Note = v })
    );

    /// <summary>A copy that is there.</summary>
    internal static readonly Shape<KnownCopy> Copy = new(
        "copy",
        new KnownCopy(new GuestId(""), "", "2026-01-01T00:00"),
        Of<KnownCopy>.Always(
            "guest",
            nameof(Labs.KnownCopy.Guest),
            "guest",
            Codecs.Text(100),
            "",
            r => r.Guest.Value,
            (r, v) => r with { Guest = new GuestId(v) }
        ),
        Of<KnownCopy>.Always(
            "store",
            nameof(Labs.KnownCopy.Store),
            "store",
            Codecs.Text(100),
            "",
            r => r.Store,
            (r, v) => r with { Store = v }
        ),
        Of<KnownCopy>.Always(
            "at",
            nameof(Labs.KnownCopy.At),
            "taken",
            CopyCodecs.At,
            "2026-01-01T00:00",
            r => r.At,
            (r, v) => r with { At = v }
        ),
        Of<KnownCopy>.Maybe(
            "bytes",
            nameof(Labs.KnownCopy.Size),
            "size",
            Codecs.Size(Prefixes.Decimal),
            r => r.Size,
            (r, v) => r with { Size = v }
        ),
        Of<KnownCopy>
            .Maybe("checked", nameof(Labs.KnownCopy.Checked), "read back", Codecs.Day, r => r.Checked, (r, v) => r with { Checked = v })
            .Explained("the day it was last read back and found whole"),
        Of<KnownCopy>.Value(
            "for-good",
            nameof(Labs.KnownCopy.ForGood),
            "kept for good",
            Codecs.Flag(),
            false,
            r => r.ForGood,
            (r, v) => r with { ForGood = v }
        )
    );
}
