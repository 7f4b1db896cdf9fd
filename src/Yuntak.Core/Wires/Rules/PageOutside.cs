using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Wires.Rules;

/// <summary>Pages for looking after things are not reached from outside.</summary>
internal sealed class PageOutside : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.page-outside",
            Severity.Stop,
            Station.Wires,
            Says: "A page for looking after something is not reached from outside, but through a tunnel.",
            Because: "Whoever finds a hole in it owns the thing behind it; such pages are looked for all day long.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from way in lab.Wires.WaysIn
        where way is { Page: true, IsTunnel: false }
        select Info.On(
            Subject.Of(way.Who),
            $"The page of {way.Who.Name} is reached from outside",
            $"{string.Join(" → ", way.Path)}. Reach it through a tunnel instead.",
            () => WireFixes.Close(way)
        );
}
