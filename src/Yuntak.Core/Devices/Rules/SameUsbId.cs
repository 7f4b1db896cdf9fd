using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Devices.Rules;

/// <summary>Two identical sticks are told apart by their ports.</summary>
internal sealed class SameUsbId : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "devices.same-id",
            Severity.Stop,
            Station.Devices,
            Says: "No USB device is handed over by an id that another one on the host has too.",
            Because: "Which of the two comes is chance, and may be another one after the next restart.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Devices
        from verdict in ClaimFixes.Chosen(host)
        where verdict.Troubles.Contains(ClaimTrouble.SameId)
        select Info.On(
            Subject.Of(verdict.Guest),
            $"{verdict.Guest.Name} asks for one of several devices with the same id",
            $"{string.Join("; ", verdict.Reasons)}.",
            () => ClaimFixes.Of(host, verdict, $"{verdict.Guest.Name} gives it up")
        );
}
