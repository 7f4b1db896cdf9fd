using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>How well a guest is kept: the counts of three copies, two kinds of medium, one elsewhere, one that cannot be changed, none unchecked; what is lost at worst, and how long it takes to have it back.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Volumes">What it would lose, without what is left out for a reason.</param>
/// <param name="Stores">The stores that have all of it.</param>
/// <param name="Partly">The stores that have some of it, which does not bring it back.</param>
/// <param name="Mediums">The kinds of medium it lies on, itself and its copies: those of the volume that lies on fewest.</param>
/// <param name="WorstLoss">What is lost at worst: from one copy to the end of the next; null while nothing copies all of it.</param>
/// <param name="Restore">How long it takes to have it back; null while nothing copies all of it.</param>
/// <param name="From">The store it comes back from soonest.</param>
/// <param name="Measured">Whether the time was measured in a drill.</param>
/// <param name="ByStore">For each store that has all of it: what is lost at worst, and how long fetching it takes.</param>
/// <param name="SetUpAnew">Whether it keeps the copies of others and is set up anew from its settings, since nothing copies it.</param>
public sealed record GuestKeeping(
    Guest Guest,
    IReadOnlyList<KeepVolume> Volumes,
    IReadOnlyList<StoreSums> Stores,
    IReadOnlyList<StoreSums> Partly,
    IReadOnlyList<string> Mediums,
    Duration? WorstLoss,
    Duration? Restore,
    StoreSums? From,
    bool Measured,
    IReadOnlyList<(StoreSums Store, Duration Loses, Duration Fetch)> ByStore,
    bool SetUpAnew = false
)
{
    /// <summary>How often it is there: itself, and once in each store that has all of it.</summary>
    public int Copies => 1 + Stores.Count;

    /// <summary>How many copies are away from the house.</summary>
    public int Elsewhere => Stores.Count(s => s.Store.IsElsewhere);

    /// <summary>How many copies nobody can change.</summary>
    public int Unchangeable => Stores.Count(s => s.IsUnchangeable);

    /// <summary>How many copies nobody reads back.</summary>
    public int Unchecked => Stores.Count(s => !s.IsChecked);

    /// <summary>Whether all five counts are met.</summary>
    public bool IsWhole => Copies >= 3 && Mediums.Count >= 2 && Elsewhere >= 1 && Unchangeable >= 1 && Unchecked == 0;
}
