using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;

namespace Yuntak.Core.Stations;

/// <summary>A runbook that stops before it is through is told where everything else is told.</summary>
internal sealed class RunbookHalts : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "runbook.halt",
            Severity.Stop,
            Station.Runbook,
            Says: "The runbook goes from what is in place to the plan without a stop.",
            Because: "Where a step would lose what is in place or still needed, the runbook stops instead. Until the way is clear the plan cannot be reached.",
            Source.CommonPractice
        );

    /// <summary>What stops the way from what stands; nothing where it is not known what stands.</summary>
    public static IReadOnlyList<Halt> Of(Sums lab) =>
        lab is Assessment { Stands: { } stands } known ? RunbookBuilder.Halts(stands, lab.Lab, () => known.Runbook!) : [];

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from halt in Of(lab)
        where halt.Unsaid.Count == 0 && !IsTold((Assessment)lab, halt)
        let host = lab.Lab.Host(halt.Host)
        let guest = halt.Guest is { } id ? lab.Lab.Guest(id) : null
        select Info.On(
            guest is not null ? Subject.Of(guest)
                : host is null ? Subject.Of(lab.Lab)
                : Subject.Of(host),
            $"The runbook stops: {halt.What}",
            $"{halt.Why} {halt.Instead}"
        );

    /// <summary>Whether the plan by itself has a stop about the devices of that guest already: that is the cause, and it has the fixes.</summary>
    private static bool IsTold(Assessment lab, Halt halt) =>
        halt.Guest is { } guest
        && lab.OfPlan.Any(f =>
            f is { Severity: Severity.Stop, Rule.Station: Station.Devices, Subject.Kind: SubjectKind.Guest } && f.Subject.Id == guest.Value
        );
}
