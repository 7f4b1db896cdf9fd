using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Wires.Rules;

/// <summary>A way in leads to something.</summary>
internal sealed class WayNowhere : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.way-nowhere",
            Severity.Mind,
            Station.Wires,
            Says: "A way in from outside leads to a port that something answers on.",
            Because: "It is open for whoever takes that port next.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from way in lab.Wires.WaysIn
        where !way.Answers && !way.IsTunnel && way.Forward is not null
        select Info.On(
            Subject.Of(way.Who),
            $"Nothing is known to answer on port {way.Port} of {way.Who.Name}",
            $"{string.Join(" → ", way.Path)}. Say what {way.Who.Name} answers on, or close it.",
            () =>
                [
                    .. WireFixes.Close(way),
                    new Fix(
                        $"It answers on {way.Port}",
                        ReachEdits.Listens(way.Who.Id, all => all.With(new Listen(way.Port, way.Forward!.Protocol)))
                    ),
                ]
        );
}
