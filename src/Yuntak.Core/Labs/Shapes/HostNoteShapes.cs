using Yuntak.Core.Figures;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Labs;

/// <summary>The shapes of what is noted about a host: lines ticked, where its facts came from.</summary>
internal static class HostNoteShapes
{
    private static readonly Codec<string> Text = Codecs.Text(200);

    internal static readonly Shape<ReadinessCheck> Check = new(
        "ticked line",
        new ReadinessCheck("", default),
        Of<ReadinessCheck>.Always("item", nameof(ReadinessCheck.Item), "line", Text, "", c => c.Item, (c, v) => c with { Item = v }),
        Of<ReadinessCheck>.Always("on", nameof(ReadinessCheck.On), "day", Codecs.Day, default, c => c.On, (c, v) => c with { On = v })
    );

    internal static readonly Shape<DeviceTry> Try = new(
        "try",
        new DeviceTry("", "", false, default),
        Of<DeviceTry>.Always(
            "looked-for",
            nameof(DeviceTry.Looked),
            "looked for",
            Text,
            "",
            t => t.Looked,
            (t, v) => t with { Looked = v }
        ),
        Of<DeviceTry>.Always(
            "controller",
            nameof(DeviceTry.Controller),
            "controller",
            Text,
            "",
            t => t.Controller,
            (t, v) => t with { Controller = v }
        ),
        Of<DeviceTry>.Value("seen", nameof(DeviceTry.Seen), "seen", Codecs.Flag(), false, t => t.Seen, (t, v) => t with { Seen = v }),
        Of<DeviceTry>.Always("on", nameof(DeviceTry.On), "day", Codecs.Day, default, t => t.On, (t, v) => t with { On = v })
    );

    internal static readonly Shape<FactNote> Note = new(
        "note",
        new FactNote("", Origin.Entered, ""),
        Of<FactNote>.Always("fact", nameof(FactNote.Fact), "fact", Text, "", n => n.Fact, (n, v) => n with { Fact = v }),
        Of<FactNote>.Always(
            "origin",
            nameof(FactNote.Origin),
            "origin",
            Codecs.Word(LabWords.Origins),
            Origin.Entered,
            n => n.Origin,
            (n, v) => n with { Origin = v }
        ),
        Of<FactNote>
            .Value("text", nameof(FactNote.Text), "text", Codecs.Text(), "", n => n.Text, (n, v) => n with { Text = v })
            .LeftOutWhen((_, _) => false),
        Of<FactNote>.Maybe("on", nameof(FactNote.On), "day", Codecs.Day, n => n.On, (n, v) => n with { On = v })
    );

    /// <summary>The lines somebody ticked.</summary>
    internal static readonly Field<Host> Checks = new Parts<Host, ReadinessCheck>(
        "checks",
        "Facts.Checks",
        "ticked line",
        () => Check,
        c => c.Item,
        h => h.Checks,
        (h, v) => h with { Checks = v }
    )
        .IsSilent()
        .IsKnown();

    /// <summary>What was tried.</summary>
    internal static readonly Field<Host> Tries = new Parts<Host, DeviceTry>(
        "tries",
        "Facts.Tries",
        "try",
        () => Try,
        t => $"{t.Looked} {t.Controller} {t.On:O}",
        h => h.Tries,
        (h, v) => h with { Tries = v }
    )
    {
        Most = 200,
    }
        .IsSilent()
        .IsKnown();
}
