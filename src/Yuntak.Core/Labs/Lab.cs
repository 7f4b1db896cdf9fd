using System.Runtime.CompilerServices;
using Yuntak.Core.Base;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Labs;

/// <summary>Everything one person looks after, as one immutable tree.</summary>
/// <param name="Name">What the lab is called.</param>
/// <param name="Settings">The assumptions behind the sums.</param>
/// <param name="Hosts">In the order people see them.</param>
/// <param name="Guests">In the order people see them.</param>
/// <param name="Ticks">As built only: ids of runbook steps done whose change is not finished yet.</param>
/// <param name="Profiles">Its own profiles: new ones, and those that stand in the place of one with the same id.</param>
/// <param name="Folders">Folders that several guests use.</param>
/// <param name="Networks">The networks that are planned.</param>
/// <param name="Boxes">Things outside the lab that have a place on its networks.</param>
/// <param name="Sites">Other places, joined by a tunnel.</param>
/// <param name="Forwards">Ways in from outside.</param>
/// <param name="Shares">Folders exported over the network.</param>
/// <param name="Offers">Hosts that could be bought.</param>
/// <param name="Notes">As built only: what was written down at steps of the runbook.</param>
/// <param name="Took">As built only: how long kinds of steps took here.</param>
/// <param name="Stores">Places where copies lie.</param>
/// <param name="Jobs">What is copied where, and when.</param>
/// <param name="Onward">Copies from store to store.</param>
/// <param name="Drills">Restores that are planned, and that were tried.</param>
/// <param name="Copies">Copies that are there, as a store's list said.</param>
/// <param name="Reserved">As built only: the addresses kept for hardware addresses where addresses are handed out.</param>
public sealed record Lab(
    string Name,
    LabSettings Settings,
    ValueList<Host> Hosts,
    ValueList<Guest> Guests,
    ValueList<string> Ticks = default,
    ValueList<Profile> Profiles = default,
    ValueList<SharedFolder> Folders = default,
    ValueList<Network> Networks = default,
    ValueList<Box> Boxes = default,
    ValueList<RemoteSite> Sites = default,
    ValueList<Forward> Forwards = default,
    ValueList<NetworkShare> Shares = default,
    ValueList<Reservation> Reserved = default,
    ValueList<HostOffer> Offers = default,
    ValueList<StepEntry> Notes = default,
    ValueList<TookTime> Took = default,
    ValueList<Store> Stores = default,
    ValueList<CopyJob> Jobs = default,
    ValueList<OnwardCopy> Onward = default,
    ValueList<Drill> Drills = default,
    ValueList<KnownCopy> Copies = default
)
{
    // Beside the record, not in it: what is looked up is no part of what a lab is, and «with» would take it along.
    private static readonly ConditionalWeakTable<Lab, LabIndex> Indexes = [];

    /// <summary>A lab with nothing in it.</summary>
    public static Lab Empty(string name) => new(name, LabSettings.Default, [], []);

    /// <summary>The host of that id, if there is one.</summary>
    public Host? Host(HostId? id) => id is { } known ? Index.Host(known) : null;

    /// <summary>The guest of that id, if there is one.</summary>
    public Guest? Guest(GuestId id) => Index.Guest(id);

    /// <summary>Every profile it knows.</summary>
    public ProfileBook Book => ProfileBook.With(Profiles);

    /// <summary>The guests put on a host themselves; app stacks inside another guest are with that one.</summary>
    public IEnumerable<Guest> GuestsOn(HostId id) => Index.On(id);

    /// <summary>The app stacks whose engine runs inside a guest.</summary>
    public IEnumerable<Guest> GuestsIn(GuestId id) => Index.In(id);

    /// <summary>The guest whose engine runs an app stack; null when its engine runs on the host itself.</summary>
    public Guest? Outer(Guest guest) => guest.RunsIn is { } outer ? Guest(outer) : null;

    /// <summary>The host a guest is on, itself or inside another guest; null while it is on none.</summary>
    public Host? HostOf(Guest guest) => Host((Outer(guest) ?? guest).Placement?.Host);

    /// <summary>The network of that name, if there is one.</summary>
    public Network? Network(string? name) => Networks.FirstOrDefault(n => n.Name == name);

    /// <summary>Folders that hold bulk data for others: those several guests use, and those mounted over the network as a library.</summary>
    public ValueList<SharedFolder> AllFolders => Index.AllFolders;

    private LabIndex Index => Indexes.GetValue(this, lab => new LabIndex(lab));

    /// <summary>The same lab with one host changed.</summary>
    public Lab WithHost(HostId id, Func<Host, Host> change) => this with { Hosts = Hosts.Change(h => h.Id == id, change) };

    /// <summary>The same lab with one guest changed.</summary>
    public Lab WithGuest(GuestId id, Func<Guest, Guest> change) => this with { Guests = Guests.Change(g => g.Id == id, change) };
}
