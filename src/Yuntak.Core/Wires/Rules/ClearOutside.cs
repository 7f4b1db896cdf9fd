using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Wires.Rules;

/// <summary>What is reached from outside is encrypted.</summary>
internal sealed class ClearOutside : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.clear-outside",
            Severity.Stop,
            Station.Wires,
            Says: "What is reached from outside is encrypted.",
            Because: "Anybody on the way reads the passwords.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from way in lab.Wires.WaysIn
        where way is { Clear: true, IsTunnel: false }
        select Info.On(
            Subject.Of(way.Who),
            $"{way.Who.Name} is reached in the clear",
            $"{string.Join(" → ", way.Path)}: passwords are readable on the way. A tunnel first; else a reverse proxy with a certificate; a plain forward never.",
            () => [.. WireFixes.ThroughProxy(lab, way), .. WireFixes.Close(way)]
        );
}
