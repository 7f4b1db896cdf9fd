using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Reads the first copies back and compares.</summary>
/// <param name="What">What was copied: a job or an onward copy.</param>
/// <param name="Amount">How much there is to read.</param>
/// <param name="Store">The store it lies in.</param>
/// <param name="Place">The host it is done at; null for none of the lab.</param>
internal sealed record ReadBack(string What, ByteSize Amount, string Store, HostId? Place) : KeepingAct(Place)
{
    /// <inheritdoc/>
    public override string Type => "read-back";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [Value("what", What), Value("store", Store)];

    internal override Duration Takes(Plan plan) => new Duration(5) + (House(plan).Store(Store)?.ReadTime(Amount) ?? new Duration(0));

    internal override (double Least, double Most) Spread => OfAmounts;

    internal override ActText Text(Plan plan) =>
        new(
            $"Read the copies of {What} back",
            [new("in", Store), new("amount", Amount.ToDecimalString())],
            "Every one of them is said to be whole.",
            "One is not? Look at the disks of the store first, then copy once more.",
            "None needed."
        );

    internal override void Do(SimHouse house, Plan plan) => house.Tried = house.Tried.Add($"read {What}");

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => h.Tried.Contains($"read {What}"))];
}
