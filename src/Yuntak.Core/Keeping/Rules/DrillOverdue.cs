using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>Planned drills are done.</summary>
internal sealed class DrillOverdue : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.drill-overdue",
            Severity.Mind,
            Station.Keeping,
            Says: "A drill that is planned is done on its day, and what came of it is written down.",
            Because: "What is put off once is put off always.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from drill in DrillPlan.Overdue(keeping)
            select Info.On(
                drill.Guest is { } id && lab.Lab.Guest(id) is { } guest ? Subject.Of(guest) : Subject.Of(lab.Lab),
                $"The drill of {drill.On:yyyy-MM-dd} is overdue",
                $"Of {drill.Of(lab.Lab)}: say how it went, or plan it for another day.",
                () => [new Fix("Plan it for next week", KeepingEdits.Drill(drill with { On = keeping.On.AddDays(7) }, drill.Key))]
            );
    }
}
