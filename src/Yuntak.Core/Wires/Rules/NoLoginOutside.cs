using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Wires.Rules;

/// <summary>What is reached from outside asks who is there.</summary>
internal sealed class NoLoginOutside : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.no-login-outside",
            Severity.Mind,
            Station.Wires,
            Says: "What is reached from outside asks who is there.",
            Because: "Without a log-in it is everybody's.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from way in lab.Wires.WaysIn
        where way is { Login: false, IsTunnel: false }
        select Info.On(
            Subject.Of(way.Who),
            $"{way.Who.Name} lets anybody in from outside",
            $"{string.Join(" → ", way.Path)}, and it asks nobody who they are. Switch its log-in on, or let the reverse proxy ask.",
            () => WireFixes.Close(way)
        );
}
