using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Devices.Rules;

/// <summary>A hub moves what hangs on it.</summary>
internal sealed class OnHub : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "devices.on-hub",
            Severity.Mind,
            Station.Devices,
            Says: "A stick that is handed over by its port is plugged into the host, not into a hub.",
            Because: "Who plugs the hub elsewhere, for whatever hangs on it, gives the port another name, and the guest loses its stick.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Devices
        from verdict in ClaimFixes.Chosen(host)
        where verdict.CanBe && verdict.Troubles.Contains(ClaimTrouble.OnHub)
        select Info.On(
            Subject.Of(verdict.Guest),
            $"{verdict.Guest.Name} has a stick on a hub",
            $"{host.Map.NameOf(verdict.Device!)} moves when the hub does. Plug it into the host and read it again, or label the hub.",
            () => ClaimFixes.Others(host, verdict)
        );
}
