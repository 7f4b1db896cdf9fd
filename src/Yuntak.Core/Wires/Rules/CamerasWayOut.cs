using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires.Rules;

/// <summary>Cameras see their recorder and nothing else.</summary>
internal sealed class CamerasWayOut : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.cameras-way-out",
            Severity.Mind,
            Station.Wires,
            Says: "A network of cameras has no way out.",
            Because: "A camera that talks to its maker shows your home to whoever gets in there.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from network in lab.Wires.Networks
        where network.Network is { Purpose: NetworkPurpose.Cameras, Gateway: not null }
        select Info.On(
            Subject.Of(lab.Lab),
            $"{network.Network.Name} has a way to the internet",
            $"Its router is {network.Network.Gateway}. Cameras should see only their recorder; let the recorder have a leg here. Tell the people who are filmed, and keep to what your law says about filming.",
            () =>
                [
                    new Fix(
                        $"{network.Network.Name} without a way out",
                        WireEdits.ChangeNetwork(network.Network.Name, n => n with { Gateway = null })
                    ),
                ]
        );
}
