using Yuntak.Core.Base;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Wants;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Bench;

/// <summary>The sums of a lab, worked out once: the size of every guest, the budgets of every host. What stands out in them is an assessment.</summary>
public class Sums
{
    private readonly Dictionary<GuestId, Sizing> sizings;
    private readonly Dictionary<HostId, HostAssessment> hosts;
    private readonly Once<IReadOnlyList<HostDevices>> devices;
    private readonly Once<HouseWires> wires;

    private readonly Sums? root;

    /// <summary>Works a lab out.</summary>
    protected Sums(Lab lab, DateOnly? today)
    {
        (Lab, Today) = (lab, today);
        var book = lab.Book;
        var inner = lab.Guests.Where(g => g.RunsIn is not null).ToLookup(g => g.RunsIn!.Value);
        Guests = [.. lab.Guests.Select(g => Sizing.Of(g, book, inner[g.Id], lab.HostOf(g)))];
        sizings = Guests.ToDictionary(s => s.Guest.Id);
        var placed = Guests.Where(s => s.Guest.Placement is not null).ToLookup(s => s.Guest.Placement!.Host);
        Hosts = [.. lab.Hosts.Select(h => new HostAssessment(h, lab.Settings, [.. placed[h.Id]], lab.AllFolders))];
        hosts = Hosts.ToDictionary(h => h.Host.Id);
        wires = new(() => new HouseWires(lab, Guests));
        devices = new(() => [.. lab.Hosts.Select(h => new HostDevices(lab, h))]);
    }

    /// <summary>The same sums once more, for who adds something to them; nothing is worked out again.</summary>
    protected Sums(Sums other)
    {
        (Lab, Today, Guests, Hosts) = (other.Lab, other.Today, other.Guests, other.Hosts);
        (sizings, hosts, devices, wires) = (other.sizings, other.hosts, other.devices, other.wires);
        root = other.Root;
    }

    /// <summary>The sums these are the same as, for who remembers what follows from them.</summary>
    internal Sums Root => root ?? this;

    /// <summary>The lab.</summary>
    public Lab Lab { get; }

    /// <summary>The day it is; null for who has no clock, and then the newest day the lab knows of counts.</summary>
    public DateOnly? Today { get; }

    /// <summary>Every host, in the lab's order.</summary>
    public IReadOnlyList<HostAssessment> Hosts { get; }

    /// <summary>Every guest, sized, in the lab's order.</summary>
    public IReadOnlyList<Sizing> Guests { get; }

    /// <summary>The devices of every host and what is claimed of them, in the lab's order; worked out when somebody asks.</summary>
    public IReadOnlyList<HostDevices> Devices => devices.Value;

    /// <summary>Networks, addresses, ports and ways in; worked out when somebody asks.</summary>
    public HouseWires Wires => wires.Value;

    /// <summary>The devices of one host.</summary>
    public HostDevices? DevicesOf(HostId id) => Devices.FirstOrDefault(d => d.Host.Id == id);

    /// <summary>The guests that are asked for but on no host.</summary>
    public IEnumerable<Sizing> NotPlaced => Guests.Where(s => HostOf(s.Guest) is null);

    /// <summary>The sums of a lab.</summary>
    public static Sums Of(Lab lab, DateOnly? today = null) => new(lab, today);

    /// <summary>The size of a guest.</summary>
    public Sizing Guest(GuestId id) => sizings[id];

    /// <summary>The host of that id, if there is one.</summary>
    public HostAssessment? Host(HostId? id) => id is { } known ? hosts.GetValueOrDefault(known) : null;

    /// <summary>The host a guest is put on, itself or inside another guest, if any.</summary>
    public HostAssessment? HostOf(Guest guest) =>
        guest.RunsIn is { } outer ? Host(sizings.GetValueOrDefault(outer)?.Guest.Placement?.Host) : Host(guest.Placement?.Host);
}
