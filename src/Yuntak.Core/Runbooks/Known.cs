using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Keeping;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Runbooks;

/// <summary>
/// What stands takes over what is only known better by now: what was read from a host's own tools, corrected figures that ask for no work, how much a guest
/// matters. It never takes a plan over as a fact: memory that is to be bought, disks that are to come, pools.
/// </summary>
internal static class Known
{
    /// <summary>What stands, with what is known of it by now.</summary>
    public static Lab Adopt(Lab stands, Lab draft)
    {
        var pinned = WithFigures(stands, draft);
        var known = pinned with
        {
            Networks = Union(draft.Networks, stands.Networks, n => n.Name),
            Boxes = Union(draft.Boxes, stands.Boxes, b => b.Name),
            Sites = draft.Sites,
            Offers = draft.Offers,
            // A drill that is only planned is work.
            Drills = [.. draft.Drills.Where(d => d.Worked is not null || pinned.Drills.Any(p => p.Key == d.Key))],
            Stores = pinned.Stores.Change(
                _ => true,
                s => draft.Stores.FirstOrDefault(d => d.Name == s.Name && KeptThings.Essence(d) == KeptThings.Essence(s)) ?? s
            ),
            Jobs = pinned.Jobs.Change(_ => true, j => draft.Jobs.FirstOrDefault(d => d.Name == j.Name) is { } d ? Measured(j, d) : j),
            Onward = pinned.Onward.Change(
                _ => true,
                o => draft.Onward.FirstOrDefault(d => d.Key == o.Key && KeptThings.Essence(d) == KeptThings.Essence(o)) ?? o
            ),
            Copies = draft.Copies,
            Shares = pinned.Shares.Change(_ => true, s => draft.Shares.FirstOrDefault(d => ShareWork.Same(s, d)) ?? s),
            Name = draft.Name,
            Settings = draft.Settings,
            Profiles = Profiles(stands, draft),
            Hosts = pinned.Hosts.Change(h => draft.Host(h.Id) is not null, h => Adopt(h, draft.Host(h.Id)!)),
            Guests = pinned.Guests.Change(g => draft.Guest(g.Id) is not null, g => Adopt(stands, g, draft, draft.Guest(g.Id)!)),
        };
        return WireEdits.Without(
            known with
            {
                // What stands may still be on a network, or use a box, that the draft has dropped.
                Networks = [.. known.Networks.Where(n => draft.Network(n.Name) is not null || OnNetwork(known, n.Name))],
                Boxes = [.. known.Boxes.Where(b => draft.Boxes.Any(d => d.Name == b.Name) || known.Shares.Any(s => s.From.Box == b.Name))],
                Sites = draft.Sites.Change(s => s.Tunnel is { } t && known.Guest(t) is null, s => s with { Tunnel = null }),
            }
        );
    }

    /// <summary>A job that stands, with what was measured of it and what is only wished of it.</summary>
    private static CopyJob Measured(CopyJob stands, CopyJob draft) =>
        stands with
        {
            Rate = draft.Rate,
            BackDays = draft.BackDays,
            DailyDays = draft.DailyDays,
            Takes = stands.Takes.Change(
                _ => true,
                p =>
                    draft.Takes.FirstOrDefault(d => d.Key == p.Key) is { } d
                        ? p with
                        {
                            Size = d.Size,
                            Changes = d.Changes,
                            Why = d.Why,
                        }
                        : p
            ),
        };

    private static bool OnNetwork(Lab lab, string name) =>
        lab.Guests.Any(g => g.Interfaces.Any(l => l.Network == name))
        || lab.Hosts.Any(h => h.Wires.Interfaces.Any(l => l.Network == name) || h.Wires.Bridges.Any(b => b.Networks.Contains(name)));

    private static ValueList<T> Union<T>(ValueList<T> first, ValueList<T> more, Func<T, string> key) =>
        [.. first, .. more.Where(m => first.All(f => key(f) != key(m)))];

    /// <summary>Whether a part of a host was read from its own tools after what stands was noted down.</summary>
    public static bool ReadSince(Host stands, Host draft, string part) =>
        NoteOf(draft, part) is { } now && now != NoteOf(stands, part) && draft.Notes.All(n => n.Origin == Origin.Read || !IsOf(n, part));

    private static FactNote? NoteOf(Host host, string part) => host.Notes.FirstOrDefault(n => n.Fact == part && n.Origin == Origin.Read);

    private static bool IsOf(FactNote note, string part) => note.Fact.Split('/')[0] == part;

    private static Host Adopt(Host stands, Host draft)
    {
        var known = HostShapes.Host.WithKnown(stands, draft);
        var processor = ReadSince(stands, draft, KitParts.Processor)
            ? draft.Processor
            : HostShapes.Processor.WithKnown(stands.Processor, draft.Processor);
        var readAnew = ReadSince(stands, draft, KitParts.Disks);
        var named = stands.Pools.SelectMany(p => p.DiskIds).ToHashSet(StringComparer.Ordinal);
        return known with
        {
            // What was read to be wired as planned is so; what a host answers on is said.
            Wires =
                BridgeWork.Acts(stands, draft).Count == 0
                    ? draft.Wires
                    : stands.Wires with
                    {
                        Listens = draft.Wires.Listens,
                        Bridges = BridgeWork.Known(stands, draft),
                    },
            Processor = processor,
            Memory = ReadSince(stands, draft, KitParts.Memory) ? draft.Memory : stands.Memory,
            Disks = readAnew
                ? draft.Disks
                :
                [
                    .. stands
                        .Disks.Select(d => draft.Disks.FirstOrDefault(k => k.Id == d.Id) ?? (IsMissing(d.Id, draft) ? null : d))
                        .OfType<Disk>(),
                    // A disk that a pool already names and that was missing is back.
                    .. draft.Disks.Where(d => named.Contains(d.Id) && stands.Disks.All(k => k.Id != d.Id)),
                ],
            Pools = stands.Pools.Change(p => draft.PoolNamed(p.Name) is not null, p => Adopt(p, draft.PoolNamed(p.Name)!)),
        };
    }

    /// <summary>A disk that a planned pool names and the host no longer has: it has failed or was pulled out.</summary>
    private static bool IsMissing(string disk, Host draft) => draft.Pools.Any(p => p.DiskIds.Contains(disk));

    /// <summary>Claims that are only asked for, or only said otherwise, are no work: where the same devices are handed over the same ways, the draft's are taken over.</summary>
    private static Guest Adopt(Lab stands, Guest guest, Lab draft, Guest planned)
    {
        var known = GuestShapes.Guest.WithKnown(guest, planned);
        return HandedDevice.Same(stands, guest, draft, planned) ? known with { Claims = planned.Claims, Devices = planned.Devices } : known;
    }

    private static Pool Adopt(Pool stands, Pool draft)
    {
        var known = PoolShapes.Pool.WithKnown(stands, draft);
        var change = new PoolChange(stands, draft);
        return known with
        {
            // The order of disks says nothing where they are the same ones in the same roles.
            DiskIds = change.SameDisks ? draft.DiskIds : known.DiskIds,
            Encrypted = draft.Encrypted is null ? null : known.Encrypted,
        };
    }

    /// <summary>The draft's profiles, and those the draft has dropped while something that stands still follows them.</summary>
    private static ValueList<Profile> Profiles(Lab stands, Lab draft) =>
        [
            .. draft.Profiles,
            .. stands.Profiles.Where(p => draft.Book.Find(p.Id) is null && stands.Guests.Any(g => g.Wants.Any(w => w.ProfileId == p.Id))),
        ];

    /// <summary>What stands keeps its figures, whatever is said of its load or its profile: they are written down before that is taken over.</summary>
    private static Lab WithFigures(Lab stands, Lab draft)
    {
        var changed = stands
            .Book.All.Where(p => draft.Book.Find(p.Id) is { } planned && planned != p)
            .Select(p => p.Id)
            .ToHashSet(StringComparer.Ordinal);
        bool Moves(Guest guest) =>
            guest.Wants.Any(w => changed.Contains(w.ProfileId)) || draft.Guest(guest.Id) is { } d && d.Wants != guest.Wants;
        return stands with { Guests = stands.Guests.Change(g => Moves(g) || stands.GuestsIn(g.Id).Any(Moves), g => AsFacts(stands, g)) };
    }

    /// <summary>A guest with its figures written down, since what stands has figures, not advice.</summary>
    public static Guest AsFacts(Lab lab, Guest guest)
    {
        var sizing = Sizing.Of(lab, guest);
        return guest with { Overrides = new SizeOverrides(sizing.Vcpu, sizing.Memory, sizing.SystemDisk, sizing.Bulk) };
    }
}
