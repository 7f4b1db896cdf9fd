using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Devices.Rules;

/// <summary>What cannot be reset may take the host along.</summary>
internal sealed class NoReset : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "devices.no-reset",
            Severity.Mind,
            Station.Devices,
            Says: "A device handed over whole can be reset.",
            Because: "Without, it stays as the guest left it: after the guest stops, the host may have to be started anew, with all that runs on it.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Devices
        from verdict in ClaimFixes.Chosen(host)
        where verdict.CanBe && verdict.Troubles.Contains(ClaimTrouble.NoReset)
        select Info.On(
            Subject.Of(verdict.Guest),
            $"{host.Host.Name} may need a restart when {verdict.Guest.Name} stops",
            $"{string.Join("; ", verdict.Reasons.Where(r => r.Contains("reset", StringComparison.Ordinal)))}. Plan it for an hour when nobody minds.",
            () => ClaimFixes.Of(host, verdict, "Leave it with the host")
        );
}
