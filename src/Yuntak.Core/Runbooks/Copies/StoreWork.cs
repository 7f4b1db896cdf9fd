using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>A place where copies lie is made, or kept otherwise than before.</summary>
/// <param name="Name">The store's name.</param>
internal sealed record StoreWork(string Name) : Work
{
    /// <inheritdoc/>
    public override string Key => $"store/{Uri.EscapeDataString(Name)}";

    /// <summary>The stores that are planned in something that will stand, and differ in what asks for work.</summary>
    public static IEnumerable<Work> Find(Plan plan) =>
        plan
            .Draft.Stores.Where(s =>
                KeptThings.IsThere(plan.Draft, s)
                && (
                    plan.AsBuilt.Stores.FirstOrDefault(b => b.Name == s.Name) is not { } built
                    || KeptThings.Essence(built) != KeptThings.Essence(s)
                )
            )
            .Select(s => new StoreWork(s.Name));

    /// <inheritdoc/>
    public override string Title(Plan plan) => $"The store {Name}";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Runbooks.Phase.Copies;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan)
    {
        var store = Of(plan);
        var before = plan.AsBuilt.Stores.FirstOrDefault(s => s.Name == Name);
        var at = KeptPlaces.Of(plan, store);
        return
        [
            // Where only other places for copies of the key were said, nothing is set up anew.
            .. before is null || KeptThings.Essence(before with { Keys = store.Keys }) != KeptThings.Essence(store) || !store.Encrypted
                ? [new SetUpStore(store, at, before is not null)]
                : Array.Empty<Act>(),
            .. store.Encrypted && (before is null || before.Keys != store.Keys || !before.Encrypted)
                ? [new LayKeyAway(Name, store.Keys, at)]
                : Array.Empty<Act>(),
        ];
    }

    /// <inheritdoc/>
    public override IEnumerable<Condition> Needs(Plan plan) => KeptPlaces.Needs(plan, Of(plan));

    /// <inheritdoc/>
    public override IEnumerable<Condition> Gives(Plan plan) => [Condition.StoreThere(Name)];

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) => stands with { Stores = stands.Stores.Put(Of(plan), s => s.Name == Name) };

    private Store Of(Plan plan) => plan.Draft.Stores.First(s => s.Name == Name);
}
