using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Enters a store at a host that copies into it: address, account, name, and the fingerprint of the other side.</summary>
/// <param name="Name">The store's name.</param>
/// <param name="Host">The host that copies.</param>
internal sealed record ConnectStore(string Name, HostId Host) : KeepingAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "connect-store";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [Value("store", Name), Value("host", Host.Value)];

    internal override Duration Takes(Plan plan) => new(10);

    internal override ActText Text(Plan plan)
    {
        var sums = House(plan).Store(Name);
        var address = Address(plan);
        return new(
            $"Enter the backup store {Name} at {plan.NameOf(Host)}",
            [
                address is null ? StepValue.Ask("address", $"of {sums?.Where ?? Name}") : new StepValue("address", address, Literal: true),
                new("store", Names.Slug(Name), Literal: true),
                StepValue.Ask("account", "the one that may add and not delete; its password or key from the password store"),
                .. sums?.Store.Guest is not null
                    ? [StepValue.Ask("fingerprint", "as the store shows it at its own console, compared sign for sign")]
                    : Array.Empty<StepValue>(),
            ],
            $"{plan.NameOf(Host)} lists the store with its free space{(sums?.Room is { } room ? $", {room.ToDecimalString()} at most" : "")}.",
            "No answer? Look whether the address is reached from here, then at the account. Another fingerprint? Do not connect.",
            "Take the store out at the host; what is in it stays."
        );
    }

    private string? Address(Plan plan)
    {
        var store = plan.Draft.Stores.First(s => s.Name == Name);
        return store.Guest is { } id && plan.Draft.Guest(id) is { } guest ? plan.Sums.Wires.AddressOf(guest)?.ToString()
            : store.Host is { } host && plan.Draft.Host(host) is { } there ? plan.Sums.Wires.AddressOf(Holder.Of(there))?.ToString()
            : store.Box is { } box
                ? plan.Draft.Boxes.FirstOrDefault(b => b.Name == box)?.Addresses is [var first, ..] ? first
                    : null
            : null;
    }

    internal override void Do(SimHouse house, Plan plan) => house.Tried = house.Tried.Add($"connected {Name} {Host}");

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => h.Tried.Contains($"connected {Name} {Host}"))];
}
