using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Reserves all addresses of an evening at once, where addresses are handed out, and lets those go that nobody needs any more.</summary>
/// <param name="Keep">What is to be reserved.</param>
/// <param name="LetGo">What is reserved and no longer needed.</param>
internal sealed record ReserveAddresses(ValueList<Reservation> Keep, ValueList<Reservation> LetGo) : Act
{
    /// <inheritdoc/>
    public override string Type => "reserve-addresses";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [Value("keep", Keep.Select(Line)), Value("letGo", LetGo.Select(Line))];

    internal override HostId? On => null;

    internal override string Where(Plan plan) => plan.Sums.Wires.RouterName ?? "the router";

    internal override Duration Takes(Plan plan) => new(3 + Keep.Count + LetGo.Count);

    internal override ActText Text(Plan plan) =>
        new(
            $"Where addresses are handed out: {(Keep.Count == 0 ? $"let {Numbers.Count(LetGo.Count, "reservation")} go" : $"reserve {Numbers.Count(Keep.Count, "address", "addresses")} by hardware address")}",
            [
                .. Keep.Select(r => new StepValue(r.Name, $"{r.Mac} {r.Address}", Literal: true)),
                .. LetGo.Select(r => new StepValue($"let go: {r.Name}", $"{r.Mac} {r.Address}", Literal: true)),
            ],
            "Each is on the list there. A guest that runs gets its address at its next start, or when its lease ends.",
            "Refused? The address may lie in the range handed out, which some routers do not allow, or somebody else has it: look at the list of leases.",
            "Take the lines out again."
        );

    private static string Line(Reservation reservation) => $"{reservation.Mac} {reservation.Address} {reservation.Name}";

    internal override string? AtAddress => Keep.Count > 0 ? Keep[0].Address : null;

    internal override void Do(SimHouse house, Plan plan) => house.Reserved = house.Reserved.Except(LetGo).Union(Keep);

    internal override IEnumerable<Proof> Proofs(Plan plan) =>
        [
            new Proof("", h => Keep.All(h.Reserved.Contains) && !LetGo.Any(h.Reserved.Contains)),
            .. Keep.Count == 0
                ? Array.Empty<Proof>()
                :
                [
                    new Proof(
                        "Before it is reserved nobody answers at any of them: arping -c 3 shows no other hardware address.",
                        h => !Keep.Any(r => h.TakenAddresses.Contains(r.Address))
                    ),
                ],
        ];
}
