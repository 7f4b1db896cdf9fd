using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>A store is somewhere.</summary>
internal sealed class Nowhere : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.store-nowhere",
            Severity.Mind,
            Station.Keeping,
            Says: "What a store is said to lie in is there.",
            Because: "What lies nowhere holds no copies.",
            Source: Source.Arithmetic
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from store in keeping.Stores
            where !store.IsThere
            select Info.On(
                Subject.Of(lab.Lab),
                $"The store {store.Store.Name} lies in nothing that is there",
                $"{store.Where}: put its guest on a host, or say in which pool or box it lies."
            );
    }
}
