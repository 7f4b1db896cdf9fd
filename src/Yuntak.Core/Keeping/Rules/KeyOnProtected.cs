using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>A key outlives what it protects.</summary>
internal sealed class KeyOnProtected : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.key-on-protected",
            Severity.Stop,
            Station.Keeping,
            Says: "A copy of a store's key lies away from the machines it protects.",
            Because: "The fire that takes the machines takes the key, and the copies stay shut.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from store in keeping.Stores
            where store.Store is { Encrypted: true, Keys.Count: > 0 } && store.Store.Keys.All(k => KeepingFixes.IsMachine(lab.Lab, k))
            select Info.On(
                Subject.Of(lab.Lab),
                $"The key of {store.Store.Name} lies only on {string.Join(" and ", store.Store.Keys)}",
                "With that machine gone nobody opens the copies.",
                () => [KeepingFixes.Paper(store)]
            );
    }
}
