using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Devices.Rules;

/// <summary>Both layers map it.</summary>
internal sealed class LayerMissing : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "devices.layer-missing",
            Severity.Stop,
            Station.Devices,
            Says: "A device handed into an app stack inside a container is handed into the container too.",
            Because: "The stack sees what its container sees. One layer without the other is the commonest reason that nothing converts.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Devices
        from verdict in ClaimFixes.Chosen(host)
        where
            verdict is { CanBe: true, Way: ClaimWay.Node }
            && lab.Lab.Outer(verdict.Guest) is { Kind: GuestKind.SystemContainer } outer
            && !outer.Claims.Any(c => c.Way == ClaimWay.Node && c.Device == verdict.Device)
        select Info.On(
            Subject.Of(verdict.Guest),
            $"{verdict.Guest.Name} is handed a device that {lab.Lab.Outer(verdict.Guest)!.Name} does not have",
            $"{host.Map.NameOf(verdict.Device!)} goes host → {lab.Lab.Outer(verdict.Guest)!.Name} → {verdict.Guest.Name}; the first step is missing.",
            () =>
                [
                    new Fix(
                        $"Hand it into {lab.Lab.Outer(verdict.Guest)!.Name} too",
                        DeviceEdits.Take(verdict.Guest.Id, verdict.Asked!.Number, verdict.Need, ClaimWay.Node, verdict.Device!)
                    ),
                ]
        );
}
