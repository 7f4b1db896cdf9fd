using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>A key is found.</summary>
internal sealed class KeyUnknown : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.key-unknown",
            Severity.Mind,
            Station.Keeping,
            Says: "Where the key of an encrypted store lies is written down.",
            Because: "A key that nobody finds opens nothing.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from store in keeping.Stores
            where store.Store is { Encrypted: true, Keys.Count: 0 }
            select Info.On(
                Subject.Of(lab.Lab),
                $"Nobody said where the key of {store.Store.Name} lies",
                "Where its copies lie is written down here; the key itself never is.",
                () => [KeepingFixes.Paper(store)]
            );
    }
}
