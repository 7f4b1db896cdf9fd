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
        var store = plan.Draft.Stores.First(s => s.Name == Name);
        var address = Address(plan, store);
        if (ShareOf(plan, store) is { } share)
        {
            return Mounted(plan, store, share);
        }

        if (OnlyAgent(plan))
        {
            return Agent(plan, sums, address);
        }

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

    /// <summary>
    /// The share a store in a box lies on: of those that this host may write to and no guest uses, the only one there is. Where several could be meant the step asks.
    /// </summary>
    private NetworkShare? ShareOf(Plan plan, Store store)
    {
        if (store.Box is null)
        {
            return null;
        }

        var shares = plan.Draft.Shares.Where(s => s.From.Box == store.Box && !s.ReadOnly && !ShareSums.Users(plan.Draft, s).Any()).ToList();
        return shares is [var only] ? only : shares.Find(s => Names.Slug(s.Name) == Names.Slug(Name));
    }

    /// <summary>A store that is a share: mounted, and then entered as a folder for backups.</summary>
    private ActText Mounted(Plan plan, Store store, NetworkShare share)
    {
        var place = $"/mnt/{Names.Slug(Name)}";
        var line = MountLine.Of(plan.Sums.Wires, share).At(place);
        return new(
            $"Mount {share.Name} of {store.Box} at {plan.NameOf(Host)}, and enter it as the backup store {Name}",
            [
                new($"on {store.Box}", $"{share.From.Path}, read and write for {plan.NameOf(Host)}"),
                new("on the host's own page", "add storage of this kind, for backups only; it mounts by itself. Or, by hand:"),
                new("make the folder", $"mkdir -p -- {ShellText.Quoted(place)}", Literal: true),
                new("line in /etc/fstab", line, Literal: true),
                .. share.Protocol == ShareProtocol.Accounts
                    ? [StepValue.Ask("account", "of this share; its name and password in a file only root can read")]
                    : Array.Empty<StepValue>(),
                new("try it", ShellText.TryMount(place), Literal: true),
                new("store", Names.Slug(Name), Literal: true),
            ],
            $"findmnt shows {place} from {store.Box}; a file written here is seen there. {plan.NameOf(Host)} lists the store{(House(plan).Store(Name)?.Room is { } room ? $" with {room.ToDecimalString()} at most" : "")}.",
            "Refused? The box has to allow this host's own address. Only the empty folder beneath? Then the backup would fill the host's own disk: mount first.",
            "Take the store out, the line too, and unmount; what is in it stays."
        );
    }

    /// <summary>Whether all that is copied from this host into the store are files by an agent: then there is no hypervisor to enter it at.</summary>
    private bool OnlyAgent(Plan plan)
    {
        var parts = House(plan)
            .Jobs.Where(j => j.Job.Store == Name && j.Sources(plan.Draft).Any(h => h.Id == Host))
            .SelectMany(j => j.Job.Takes)
            .Where(p => p.Host == Host || (p.Guest is { } id && plan.Draft.Guest(id) is { } guest && plan.Draft.HostOf(guest)?.Id == Host))
            .ToList();
        return parts.Count > 0 && parts.TrueForAll(p => p.Kind == PartKind.Agent);
    }

    private ActText Agent(Plan plan, Keeping.StoreSums? sums, string? address) =>
        new(
            $"Install the backup agent on {plan.NameOf(Host)}, and connect it with {Name}",
            [
                new("from", "its maker's own packages for the system of this host, with the key checked"),
                address is null ? StepValue.Ask("address", $"of {sums?.Where ?? Name}") : new StepValue("address", address, Literal: true),
                new("store", Names.Slug(Name), Literal: true),
                StepValue.Ask("account", "the one that may add and not delete; its key or password from the password store"),
                StepValue.Ask("fingerprint", "as the store shows it at its own console, compared sign for sign"),
                .. plan
                    .Draft.Jobs.Where(j => j.Store == Name)
                    .SelectMany(j =>
                        j.Takes.Where(p => p.Host == Host && p.Kind == PartKind.Agent)
                            .Select(p => new StepValue("takes", p.Path ?? "/", Literal: true))
                    ),
            ],
            "A first file is copied by hand, and the store lists it.",
            "No answer? Look whether the address is reached from here, then at the account. Another fingerprint? Do not connect.",
            "Remove the agent; what is in the store stays."
        );

    private static string? Address(Plan plan, Store store) =>
        store.Guest is { } id && plan.Draft.Guest(id) is { } guest ? plan.Sums.Wires.AddressOf(guest)?.ToString()
        : store.Host is { } host && plan.Draft.Host(host) is { } there ? plan.Sums.Wires.AddressOf(Holder.Of(there))?.ToString()
        : store.Box is { } box
            ? plan.Draft.Boxes.FirstOrDefault(b => b.Name == box)?.Addresses is [var first, ..] ? first
                : null
        : null;

    internal override void Do(SimHouse house, Plan plan) => house.Tried = house.Tried.Add($"connected {Name} {Host}");

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => h.Tried.Contains($"connected {Name} {Host}"))];
}
