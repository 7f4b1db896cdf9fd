using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Devices.Rules;

/// <summary>A host without a picture is looked after over the network only.</summary>
internal sealed class Headless : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "devices.headless",
            Severity.Mind,
            Station.Devices,
            Says: "A graphics card that the host shows its console on stays with the host.",
            Because: "The host is without a picture from the next start on; when the network is down too, nobody gets in.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Devices
        from verdict in ClaimFixes.Chosen(host)
        where verdict.CanBe && verdict.Troubles.Contains(ClaimTrouble.Headless)
        select Info.On(
            Subject.Of(verdict.Guest),
            $"{host.Host.Name} will be without a picture",
            $"It shows its console on what {verdict.Guest.Name} is handed. See first that you get in over the network after a restart, or over a serial line.",
            () => ClaimFixes.Of(host, verdict, "Leave it with the host")
        );
}
