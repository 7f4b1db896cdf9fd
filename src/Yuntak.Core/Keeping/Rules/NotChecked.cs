using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>Copies are read back.</summary>
internal sealed class NotChecked : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.not-checked",
            Severity.Mind,
            Station.Keeping,
            Says: "Copies are read back: new ones at once, and all of them again every month.",
            Because: "Disks forget quietly; a copy nobody reads is a hope.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from store in keeping.Stores
            where !store.IsChecked && (keeping.Jobs.Any(j => j.Store == store) || keeping.Onward.Any(o => o.To == store))
            select Info.On(
                Subject.Of(lab.Lab),
                $"Nobody reads the copies in {store.Store.Name} back",
                "New ones at once, and all of them again every month.",
                () =>
                    [
                        new Fix(
                            "Read them back",
                            KeepingEdits.ChangeStore(
                                store.Store.Name,
                                s => s with { ChecksNew = true, ChecksDays = KeepingRules.CheckDays, ChecksAt = s.ChecksAt ?? "sun 03:00" }
                            )
                        ),
                    ]
            );
    }
}
