using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Devices;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>What a runbook is worked out from.</summary>
internal sealed class Plan
{
    private readonly Once<Sums> standing;
    private readonly Lab[] labs;
    private readonly Dictionary<GuestId, Guest> stands;
    private readonly Dictionary<GuestId, Guest> planned;
    private readonly Dictionary<HostId, DeviceMap> maps = [];

    /// <summary>A plan from what stands to what is drafted.</summary>
    public Plan(Lab asBuilt, Lab draft)
    {
        (AsBuilt, Draft) = (asBuilt, draft);
        labs = [draft, asBuilt];
        Sums = Sums.Of(draft);
        standing = new(() => Sums.Of(asBuilt));
        stands = asBuilt.Guests.Where(g => asBuilt.HostOf(g) is not null).ToDictionary(g => g.Id);
        planned = draft.Guests.Where(g => draft.HostOf(g) is not null).ToDictionary(g => g.Id);
    }

    /// <summary>What stands.</summary>
    public Lab AsBuilt { get; }

    /// <summary>What is planned.</summary>
    public Lab Draft { get; }

    /// <summary>The sums of the draft.</summary>
    public Sums Sums { get; }

    /// <summary>The sums of what stands.</summary>
    public Sums Standing => standing.Value;

    /// <summary>A guest as it stands on a host; null when it does not.</summary>
    public Guest? Stands(GuestId id) => stands.GetValueOrDefault(id);

    /// <summary>A guest as it is planned on a host; null when it is not.</summary>
    public Guest? Planned(GuestId id) => planned.GetValueOrDefault(id);

    /// <summary>A host as it is planned or, when it goes, as it stands.</summary>
    public Host? Host(HostId? id) => Draft.Host(id) ?? AsBuilt.Host(id);

    /// <summary>What people call a host; empty when nobody knows it.</summary>
    public string NameOf(HostId? id) => Host(id)?.Name ?? "";

    /// <summary>A guest as it is planned or, when it goes, as it stands.</summary>
    public Guest? Guest(GuestId id) => Draft.Guest(id) ?? AsBuilt.Guest(id);

    /// <summary>What people call a guest.</summary>
    public string NameOf(GuestId id) => Guest(id)?.Name ?? id.Value;

    /// <summary>How the hardware of a host hangs together; worked out once.</summary>
    public DeviceMap MapOf(Host host)
    {
        if (!maps.TryGetValue(host.Id, out var map))
        {
            maps[host.Id] = map = DeviceMap.Of(host);
        }

        return map;
    }

    /// <summary>The time an amount takes from one pool to another; see <see cref="CopyRates.Time"/>.</summary>
    public Duration CopyTime(ByteSize amount, (HostId? Host, string? Pool) from, (HostId? Host, string? Pool) to) =>
        CopyRates.Time(labs, amount, from, to);

    /// <summary>Host and pool of the store that a guest is copied into as planned; of none, or one outside the lab, nothing is known.</summary>
    public (HostId? Host, string? Pool) CopiedTo(GuestId guest) =>
        JobOf(guest)?.Store is { Host: { } host } store ? (host.Id, store.Pool) : default;

    /// <summary>The job that copies a guest, as planned.</summary>
    public JobSums? JobOf(GuestId guest) =>
        Draft.Jobs.Count == 0 ? null : HouseKeeping.Of(Sums).Jobs.FirstOrDefault(j => j.Job.Takes.Any(p => p.Guest == guest));

    /// <summary>What a host's link carries, in bytes a second.</summary>
    public double LinkRate(HostId? host) => CopyRates.Link(labs, host);

    /// <summary>How long a kind of step took here; null while nobody measured.</summary>
    public TookTime? Took(string act) => AsBuilt.Took.Count == 0 ? null : AsBuilt.Took.FirstOrDefault(t => t.Act == act);

    /// <summary>What a device of a host is called.</summary>
    public string DeviceName(HostId? host, string device) => Host(host) is { } there ? MapOf(there).CalledAt(device) : "";

    /// <summary>A disk as it is planned or, when it goes, as it stands.</summary>
    public Disk? Disk(HostId host, string id) =>
        Draft.Host(host)?.Disks.FirstOrDefault(d => d.Id == id) ?? AsBuilt.Host(host)?.Disks.FirstOrDefault(d => d.Id == id);

    /// <summary>A disk by stable id, size and what is on it, as every destructive step names it; its id alone when no more is known.</summary>
    public string Named(HostId host, string id) =>
        (AsBuilt.Host(host)?.Disks.FirstOrDefault(d => d.Id == id) ?? Disk(host, id)) is { } disk
            ? $"{disk.Id}, {disk.Size.ToDecimalString()}, {disk.Contents}"
            : id;

    /// <summary>
    /// Whether a disk must not be wiped: the boot disk of a host that stands, or one that holds something nobody has said may go, on hosts that stand and on those
    /// to be built alike. What a pool that stands holds is that pool's matter.
    /// </summary>
    public bool MustNotBeWiped(HostId host, string id)
    {
        var built = AsBuilt.Host(host);
        return built?.Pools.Any(p => p.DiskIds.Contains(id)) != true
            && Disk(host, id) is { } disk
            && ((built is not null && built.StartsFrom(disk)) || IsUnsaid(host, disk));
    }

    /// <summary>Whether a disk holds something that nobody has said may go.</summary>
    public bool IsUnsaid(HostId host, Disk disk) =>
        AsBuilt.Host(host) is null ? Host(host)?.HoldsUnsaid(disk) == true : disk is { HoldsSomething: true, MayBeWiped: null };

    /// <summary>Disks with how they are seen, as values to type.</summary>
    public IEnumerable<StepValue> Seen(HostId host, IEnumerable<string> ids, string label = "disk") =>
        ids.Select(id => Disk(host, id)).OfType<Disk>().Select(d => Seen(d, label));

    /// <summary>A disk with how it is seen.</summary>
    public static StepValue Seen(Disk disk, string label) =>
        new(label, $"{disk.Id} ({disk.Size.ToDecimalString()}, seen as {disk.Name})", Literal: true);

    /// <summary>Memory as people say it and as forms want it: «2.5 GiB (2,560 MiB)».</summary>
    public static string MemoryText(ByteSize memory) =>
        memory.GiB < 1 ? memory.ToString() : $"{memory} ({memory.MiB:#,##0}{Numbers.ThinSpace}MiB)";

    /// <summary>What is wiped, in words.</summary>
    public string WipeWords(HostId host, IReadOnlyList<string> disks) =>
        $"This wipes {Numbers.Count(disks.Count, "disk")}: {string.Join("; ", disks.Select(d => Named(host, d)))}.";
}
