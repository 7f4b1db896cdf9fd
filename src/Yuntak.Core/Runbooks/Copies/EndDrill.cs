using System.Text.Json.Nodes;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Takes away what a drill brought back, and writes down how it went.</summary>
/// <param name="Drill">The drill.</param>
/// <param name="Place">The host it is done at; null for none of the lab.</param>
internal sealed record EndDrill(Drill Drill, HostId? Place) : KeepingAct(Place)
{
    /// <inheritdoc/>
    public override string Type => "end-drill";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [Value("drill", Drill.Key)];

    internal override Duration Takes(Plan plan) => new(5);

    internal override ActText Text(Plan plan) =>
        new(
            "Drill: take it away again",
            [
                new("delete", "what was brought back, by its name with «-drill»"),
                new("write down", "ticked, it came back; if it did not, say so at Keeping, Drills, and tick nothing"),
            ],
            "Only the one that stands is there, and it runs.",
            "Not sure which is which? The one with no network is the drill.",
            "None needed.",
            "Read the name aloud before you delete."
        );

    /// <summary>Ticked to its end, it brought back what it was to: the steps before it looked whether it does its work.</summary>
    internal override Edit? Learns(Plan plan, Duration? took, DateOnly? today) => KeepingEdits.CameBack(Drill.Key, today);

    internal override void Do(SimHouse house, Plan plan) => house.Tried = house.Tried.Add($"away {Drill.Key}");

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => h.Tried.Contains($"away {Drill.Key}"))];
}
