using System.Text.Json.Nodes;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Looks whether what was brought back does its work.</summary>
/// <param name="Drill">The drill.</param>
/// <param name="Place">The host it is done at; null for none of the lab.</param>
internal sealed record LookAtDrill(Drill Drill, HostId? Place) : KeepingAct(Place)
{
    /// <inheritdoc/>
    public override string Type => "look-at-drill";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [Value("drill", Drill.Key)];

    internal override Duration Takes(Plan plan) => new(KeepingRules.CheckMinutes);

    internal override ActText Text(Plan plan) =>
        new(
            "Drill: look whether it does its work",
            [
                .. Drill.Guest is { } id ? ServiceData.Of(plan, id) : [],
                new("look at", "log in; the newest entry is from the evening of the copy; open a file of each sort"),
            ],
            "What people would miss is there, and as old as the copy.",
            "Something is missing? Find out in which job it should have been, and tick it.",
            "None needed."
        );

    internal override void Do(SimHouse house, Plan plan) => house.Tried = house.Tried.Add($"looked {Drill.Key}");

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => h.Tried.Contains($"looked {Drill.Key}"))];
}
