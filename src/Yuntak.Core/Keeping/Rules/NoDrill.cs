using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>A restore was tried.</summary>
internal sealed class NoDrill : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.no-drill",
            Severity.Mind,
            Station.Keeping,
            Says: "Something was brought back within 90 days, or is to be within two weeks.",
            Because: "A copy that was never brought back is no copy.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        var last = DrillPlan.LastWorked(keeping);
        return
            lab.Lab.Jobs.Count == 0
            || (last is { } on && !Limit.Notices(keeping.On.DayNumber - on.DayNumber))
            || lab.Lab.Drills.Any(d => d.Worked is null && d.On >= keeping.On && d.On.DayNumber - keeping.On.DayNumber <= Soon)
            ? []
            :
            [
                Info.On(
                    Subject.Of(lab.Lab),
                    last is null
                        ? "Nothing was ever brought back"
                        : $"Nothing was brought back for {Numbers.Count(keeping.On.DayNumber - last.Value.DayNumber, "day")}",
                    "A drill brings a guest back under another name, with no network, looks whether it does its work, and takes it away again.",
                    () => KeepingFixes.Drill(keeping)
                ),
            ];
    }

    private static readonly RuleLimit Limit = new(KeepingRules.DrillDays, "days", "since something was brought back");

    private const int Soon = 14;
}
