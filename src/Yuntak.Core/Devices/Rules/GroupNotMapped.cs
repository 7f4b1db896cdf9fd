using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Devices.Rules;

/// <summary>An unprivileged container may use a node only with its group.</summary>
internal sealed class GroupNotMapped : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "devices.group-not-mapped",
            Severity.Stop,
            Station.Devices,
            Says: "For a node in an unprivileged container the group that may use it on the host is mapped inside.",
            Because: "Root inside is nobody on the host: the node is there, and opening it is refused.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Devices
        from verdict in ClaimFixes.Chosen(host)
        where
            verdict.Asked!.Claim is { Way: ClaimWay.Node, Mapped: false }
            && verdict.Guest is { Kind: GuestKind.SystemContainer, Privileged: false }
        select Info.On(
            Subject.Of(verdict.Guest),
            $"{verdict.Guest.Name} may not use what it is handed",
            $"The group of {host.Map.NameOf(verdict.Device!)} is not mapped into it. Map the number the group has on the host to the number it has inside.",
            () => [new Fix("It is mapped now", DeviceEdits.Mapped(verdict.Guest.Id, verdict.Asked!.Number, verdict.Need, mapped: true))]
        );
}
