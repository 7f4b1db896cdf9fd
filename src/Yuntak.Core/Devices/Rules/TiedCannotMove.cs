using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Devices.Rules;

/// <summary>Who has a device of a host is tied to it.</summary>
internal sealed class TiedCannotMove : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "devices.tied-cannot-move",
            Severity.Mind,
            Station.Devices,
            Says: "A machine with a device of its host is not meant to move to another host while it runs.",
            Because: "The device stays behind. It is shut down, given another device there, and started.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Devices
        from guest in host
            .Check.Asked.Where(a => a.Claim.Chosen && a.Claim.Way != ClaimWay.Node && a.Guest.MovesRunning)
            .Select(a => a.Guest)
            .Distinct()
        select Info.On(
            Subject.Of(guest),
            $"{guest.Name} cannot move while it runs",
            $"It has a device of {host.Host.Name}.",
            () => [new Fix("It need not move while it runs", GuestEdits.Change(guest.Id, g => g with { MovesRunning = false }))]
        );
}
