using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;

namespace Yuntak.Core.Keeping.Rules;

/// <summary>Copies have room for a year.</summary>
internal sealed class StoreFills : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "keeping.store-fills",
            Severity.Mind,
            Station.Keeping,
            Says: "A store does not get full within a year.",
            Because: "Larger disks want to be ordered before, not after.",
            Source: Source.Arithmetic
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab)
    {
        var keeping = HouseKeeping.Of(lab);
        return from store in keeping.Stores
            let room = keeping.Room(store)
            where store.Room is not null && !(room.Used > store.Room) && room.FullOn is not null
            select Info.On(
                KeepingFixes.SubjectOf(lab, store),
                $"{store.Store.Name} is full on {room.FullOn:yyyy-MM-dd}",
                $"It holds {store.Room!.Value.ToDecimalString()}; with what is kept and what grows it would have to hold {room.Needed.ToDecimalString()} a year from now."
            );
    }
}
