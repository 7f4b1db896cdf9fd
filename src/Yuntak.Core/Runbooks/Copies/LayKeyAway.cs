using System.Text.Json.Nodes;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Lays copies of a store's key away, and opens the store with one of them.</summary>
/// <param name="Store">The store.</param>
/// <param name="Keys">Where copies of the key lie.</param>
/// <param name="Place">The host it is done at; null for none of the lab.</param>
internal sealed record LayKeyAway(string Store, Base.ValueList<string> Keys, HostId? Place) : KeepingAct(Place)
{
    /// <inheritdoc/>
    public override string Type => "lay-key-away";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [Value("store", Store), Value("keys", Keys)];

    private protected override Store? KeptIn(Plan plan) => plan.Draft.Stores.FirstOrDefault(s => s.Name == Store);

    internal override Duration Takes(Plan plan) => new(20);

    internal override ActText Text(Plan plan) =>
        new(
            $"Lay the key of {Store} away",
            [
                .. Keys.Select(k => new StepValue("a copy", k)),
                .. Keys.Count == 0 ? [new StepValue("a copy", "on paper, away from every machine it protects")] : Array.Empty<StepValue>(),
                new("key sheet", "print it at Keeping: it says where copies lie, never the key"),
            ],
            "On a machine that does not know it, the key from one of its copies opens the store.",
            "It does not open? Copy nothing into the store before one does.",
            "None needed.",
            "Whoever has the key reads every copy: keep it where only you and one you trust can get at it."
        );

    internal override void Do(SimHouse house, Plan plan)
    {
        var kept = KeptThings.Of(plan.Draft.Stores.First(s => s.Name == Store));
        (house.Tried, house.Kept) = (house.Tried.Add($"key {Store}"), house.Kept.SetItem(kept.Key, kept.Value));
    }

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => h.Tried.Contains($"key {Store}"))];
}
