using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>A copy outlives the pool it is of.</summary>
internal sealed class StoreBesideSource : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.store-beside-source",
            Severity.Stop,
            Station.Keeping,
            Says: "A store is not the only copy of what lies in the same pool.",
            Because: "The pool that dies takes the copies along.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from store in keeping.Stores
            where store.Budget is not null
            let beside = keeping
                .Jobs.Where(j => j.Store == store)
                .SelectMany(j => j.Segments)
                .Select(s => s.Volume)
                .OfType<KeepVolume>()
                .Where(v => v.At.Host == store.Host!.Id && v.At.Pool == store.Pool && !KeepingFixes.IsElsewhereToo(keeping, v, store))
                .Distinct()
                .ToList()
            where beside.Count > 0
            select Info.On(
                Subject.Of(store.Host!, store.Budget!.Pool),
                $"The store {store.Store.Name} lies beside what it protects",
                $"{string.Join(", ", beside.Take(4).Select(v => v.Words))}{(beside.Count > 4 ? $" and {beside.Count - 4} more" : "")} in {store.Pool} on {store.Host!.Name} {(beside.Count == 1 ? "has" : "have")} no other copy. A store in another host, or an onward copy, outlives the pool.",
                () => KeepingFixes.ToAnother(keeping, store)
            );
    }
}
