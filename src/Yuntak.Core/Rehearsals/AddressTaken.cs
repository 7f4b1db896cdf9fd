using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Rehearsals;

/// <summary>Something nobody planned answers at an address already.</summary>
internal sealed class AddressTaken : Fault
{
    /// <inheritdoc/>
    public override FaultInfo Info => new("address-taken", "an address is taken");

    public override bool Strikes(Act act, SimHouse house, Plan plan) => Addresses(act, house, plan).Any();

    public override void Before(SimHouse house, Act act, Plan plan) =>
        house.TakenAddresses = house.TakenAddresses.Union(Addresses(act, house, plan));

    private static IEnumerable<string> Addresses(Act act, SimHouse house, Plan plan) =>
        act.AtAddress is { } own ? [own]
        : act.Starts && act is GuestAct { Guest: var id } && house.GuestIf(id) is not null && plan.Guest(id) is { } guest
            ? guest.Interfaces.Select(l => l.Address).OfType<string>()
        : [];

    public override (string Words, double Weight) Cost(SimHouse house, Act act, Plan plan) =>
        (
            $"Two answer at {string.Join(", ", Addresses(act, house, plan))}: links and apps reach {Name(act, plan)} now and then, and nobody knows why.",
            40
        );
}
