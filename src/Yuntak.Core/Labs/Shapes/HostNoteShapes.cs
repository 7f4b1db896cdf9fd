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
}
