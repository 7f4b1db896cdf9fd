using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Takes a store, a job or an onward copy out of use. Copies stay where they are.</summary>
/// <param name="Key">What it is called: «job nightly».</param>
/// <param name="Place">The host it is done at; null for none of the lab.</param>
internal sealed record StopCopying(string Key, HostId? Place) : KeepingAct(Place)
{
    /// <inheritdoc/>
    public override string Type => "stop-copying";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [Value("what", Key)];

    internal override Duration Takes(Plan plan) => new(5);

    internal override ActText Text(Plan plan) =>
        new(
            $"Take out of use: {Key}",
            [new("copies that are there", "stay; delete them only when something else has been copied and brought back for a month")],
            "It is gone from what is planned, and the copies are still there.",
            "Something still copies into it? Take that out first.",
            "Set it up again."
        );

    internal override void Do(SimHouse house, Plan plan) => house.Kept = house.Kept.Remove(Key);

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => !h.Kept.ContainsKey(Key))];
}
