using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>A store is not in the host of all it protects, in whichever pool.</summary>
internal sealed class StoreSameHost : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.store-same-host",
            Severity.Stop,
            Station.Keeping,
            Says: "What a store protects has a copy outside the host that both are in.",
            Because: "Theft, fire, a power supply that fails or a slip at its console take the host with all its pools.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from store in keeping.Stores
            where store is { Host: not null, Store.Carried: false, Store.Place: null }
            let volumes = keeping
                .Jobs.Where(j => j.Store == store)
                .SelectMany(j => j.Segments)
                .SelectMany(s => s.Volume is { } whole ? [whole] : s.Covers)
                .Distinct()
                .ToList()
            where volumes.Count > 0 && volumes.TrueForAll(v => v.At.Host == store.Host!.Id)
            // What lies in the pool of the store itself is told of by another rule.
            let only = volumes.Where(v => v.At.Pool != store.Pool && !HasCopyOutside(keeping, v, store)).ToList()
            where only.Count > 0
            select Info.On(
                KeepingFixes.SubjectOf(lab, store),
                $"{store.Store.Name} is in the same host as all it protects",
                $"{string.Join(", ", only.Take(4).Select(v => v.Words))}{(only.Count > 4 ? $" and {only.Count - 4} more" : "")} {(only.Count == 1 ? "has" : "have")} no copy outside {store.Host!.Name}. Use a store in another host, replicate it, or copy onto a disk that is unplugged.",
                () => KeepingFixes.ToAnother(keeping, store, otherHost: true)
            );
    }

    private static bool HasCopyOutside(HouseKeeping keeping, KeepVolume volume, StoreSums store) =>
        keeping.Stores.Any(s =>
            (s.Host != store.Host || s.Store.Carried || s.Store.Place is not null)
            && keeping.Into[s.Store.Name].Any(a => keeping.JobsOf(volume).Contains(a.Job))
        );
}
