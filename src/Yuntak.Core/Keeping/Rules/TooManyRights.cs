using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>An account has the least rights.</summary>
internal sealed class TooManyRights : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.too-many-rights",
            Severity.Mind,
            Station.Keeping,
            Says: "The account of an onward copy may add at the far store, and neither delete nor thin.",
            Because: "Whoever takes the near store over takes the far copies along.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from onward in keeping.Onward
            where onward.Onward.Rights != OnwardRights.Add
            select Info.On(
                Subject.Of(lab.Lab),
                $"The onward copy {onward.Onward.Key} may do more than it needs",
                $"Its account may {(onward.Onward.Rights == OnwardRights.Thin ? "add and thin" : "do everything, deleting too")}{(onward.Onward.Way == OnwardWay.Push ? ", and lies on the near store" : "")}. Let the far store thin by itself.",
                () => [new Fix("Let it add only", KeepingEdits.Onward(onward.Onward with { Rights = OnwardRights.Add }, onward.Onward.Key))]
            );
    }
}
