using System.Text.Json.Nodes;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>An act about copies.</summary>
/// <param name="At">The host it is done at; null for none of the lab.</param>
internal abstract record KeepingAct(HostId? At) : Act
{
    internal sealed override HostId? On => At;

    internal override bool Serves => true;

    internal override string Where(Plan plan) =>
        At is not null ? plan.NameOf(At)
        : KeptIn(plan) is { } store && (store.Box ?? store.Place) is { } outside ? outside
        : "the machine that keeps the copies";

    /// <summary>The store it is done at, which names the box or the other place where no host of the lab has it; null for none of its own.</summary>
    private protected virtual Store? KeptIn(Plan plan) => null;

    /// <summary>The copies of the house as planned.</summary>
    private protected static HouseKeeping House(Plan plan) => HouseKeeping.Of(plan.Sums);

    /// <summary>The members of what is set up, each by its name.</summary>
    private protected static IEnumerable<KeyValuePair<string, JsonNode?>> Fields(JsonObject record) =>
        record.Where(m => m.Key is not ("name" or "from" or "to")).Select(m => Value(m.Key, m.Value?.ToJsonString()));
}
