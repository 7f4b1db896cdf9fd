using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>Copies have room.</summary>
internal sealed class StoreOver : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.store-over",
            Severity.Stop,
            Station.Keeping,
            Says: "A store holds what is kept in it.",
            Because: "A store that is full takes no copy, and often cannot thin either.",
            Source: Source.Arithmetic
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from store in keeping.Stores
            let room = keeping.Room(store)
            where room.Used > store.Room
            select Info.On(
                KeepingFixes.SubjectOf(lab, store),
                $"{store.Store.Name} is too small for what is kept in it",
                $"{room.Used.ToDecimalString()} of {store.Room!.Value.ToDecimalString()}{(room.FullOn is { } on ? $": full on {on:yyyy-MM-dd}" : "")}. Keep less, copy less, or give it larger disks."
            );
    }
}
