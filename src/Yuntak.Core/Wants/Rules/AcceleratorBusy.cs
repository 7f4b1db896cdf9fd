using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants.Rules;

/// <summary>An AI accelerator keeps up only while it has some rest.</summary>
internal sealed class AcceleratorBusy : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(new Share(0.7), "of the time of an AI accelerator");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.accelerator-busy",
            Severity.Mind,
            Station.Wants,
            Says: "No guest keeps an AI accelerator busy for more than 70 % of the time.",
            Because: "When everybody moves at once, looks queue up and are dropped.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from guest in lab.Guests
        let share = guest.AcceleratorShare
        where Limit.Notices(share.Value)
        select Info.On(
            Subject.Of(guest.Guest),
            $"{guest.Guest.Name} asks too much of an accelerator",
            $"Its looks take {share.Value} of the time of one accelerator. Look at fewer frames a second, or give it a quicker one.",
            figure: share
        );
}
