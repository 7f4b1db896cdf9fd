using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>A store: where it is, what it is made of, and by which way copies come to it.</summary>
public sealed class StoreSums
{
    private readonly Lab[] labs;
    private readonly Once<ValueList<NightUse>> own;

    internal StoreSums(Sums sums, Store store)
    {
        Store = store;
        labs = [sums.Lab];
        own = new(() => [.. End(HostId, into: true)]);
        var guest = store.Guest is { } id ? sums.Lab.Guest(id) : null;
        var outer = guest is null ? null : sums.Lab.Outer(guest) ?? guest;
        Guest = guest;
        Host =
            store.Carried && store.Pool is null ? null
            : outer is null ? sums.Lab.Host(store.Host)
            : sums.Lab.HostOf(outer);
        PluggedInto = store.Carried ? sums.Lab.Host(store.Host) : null;
        Pool = outer is null ? store.Pool : outer.Placement?.BulkPool ?? outer.Placement?.SystemPool;
        Budget = Host is { } host ? sums.Host(host.Id)?.Pools.FirstOrDefault(p => p.Pool.Name == Pool) : null;
        Room =
            store.Room
            ?? (
                guest is not null ? sums.Guest(guest.Id).Bulk
                : Budget is { } budget ? ByteSize.Max(ByteSize.Zero, budget.Spare)
                : null
            );
        IsThere =
            guest is not null ? Host is not null
            : store.Carried || store.Box is not null ? store.Box is not { } box || sums.Lab.Boxes.Any(b => b.Name == box)
            : store.Host is null ? store.Place is not null
            : Budget is not null;
    }

    /// <summary>The store.</summary>
    public Store Store { get; }

    /// <summary>The backup guest that keeps it.</summary>
    public Guest? Guest { get; }

    /// <summary>The host it lies on; null for one outside the lab, and for a disk that is carried.</summary>
    public Host? Host { get; }

    /// <summary>The host a carried disk is plugged into.</summary>
    public Host? PluggedInto { get; }

    /// <summary>The pool it lies in.</summary>
    public string? Pool { get; }

    /// <summary>The budget of that pool.</summary>
    public PoolBudget? Budget { get; }

    /// <summary>How much it holds; null while nobody knows.</summary>
    public ByteSize? Room { get; }

    /// <summary>Whether what it is said to lie in is there.</summary>
    public bool IsThere { get; }

    /// <summary>Where it is, in words.</summary>
    public string Where =>
        Guest is { } guest ? $"{guest.Name} on {Host?.Name ?? "no host"}"
        : Store.Carried ? $"a disk that is carried{(Store.Place is { } kept ? $", kept at {kept}" : "")}"
        : Store.Box is { } box
            ? Store.Place is { } far ? $"{box}, at {far}"
                : box
        : Host is { } host ? $"{Store.Pool} on {host.Name}"
        : Store.Place ?? "nowhere yet";

    /// <summary>The hosts that copy into it by a job, and so have to know it: address, account, fingerprint.</summary>
    public IReadOnlyList<Host> ConnectedTo(HouseKeeping keeping) =>
        [.. keeping.Jobs.Where(j => j.Job.Store == Store.Name).SelectMany(j => j.Sources(keeping.Lab)).DistinctBy(h => h.Id)];

    /// <summary>The place it is in: the host, the box, the other place.</summary>
    public string Place => Store.Place ?? Host?.Name ?? Store.Box ?? (Store.Carried ? "a carried disk" : "nowhere");

    /// <summary>What copies lie on, in words.</summary>
    public string Medium =>
        Store.Medium is { } said ? CopyWords.Mediums.Display(said)
        : Store.Carried ? "disk that is carried"
        : Budget is { Disks.Count: > 0 } budget
            ? budget.IsFlash ? CopyWords.Mediums.Display(StoreMedium.Flash)
                : CopyWords.Mediums.Display(StoreMedium.Spinning)
        : CopyWords.Mediums.Display(StoreMedium.Spinning);

    /// <summary>Whether nobody can change or delete copies in it: it refuses, or it is unplugged.</summary>
    public bool IsUnchangeable => Store.Unchangeable || Store.Carried;

    /// <summary>Whether copies in it are read back, new ones or all.</summary>
    public bool IsChecked => Store.IsChecked;

    /// <summary>How much smaller it keeps what was copied: as measured, else not at all.</summary>
    public double Reduction => Store.Reduction ?? 1;

    /// <summary>What its end of a way is: disks, wire, line.</summary>
    /// <param name="other">The host at the other end; null for none.</param>
    /// <param name="into">Whether something comes in.</param>
    internal IEnumerable<NightUse> End(HostId? other, bool into)
    {
        if (Host is { } host)
        {
            yield return new NightUse(Keeping.Lines.Disk(labs, host, Pool));
            if (other != host.Id)
            {
                yield return new NightUse(Keeping.Lines.Wire(labs, host, into));
            }
        }
        else if (PluggedInto is { } plugged)
        {
            yield return new NightUse(new NightLine(NightLineKind.Disk, $"the disk {Store.Name}", KeepingRules.CarriedRate));
            if (other != plugged.Id)
            {
                yield return new NightUse(Keeping.Lines.Wire(labs, plugged, into));
            }
        }
        else if (Store.Place is null || Store.Carried)
        {
            yield return new NightUse(
                new NightLine(
                    NightLineKind.Disk,
                    Store.Box is { } box ? $"the disks of {box}" : $"the disk {Store.Name}",
                    Store.Carried ? KeepingRules.CarriedRate : CopyRates.Pool([], default)
                )
            );
        }

        if (Store is { Place: { } place, Carried: false })
        {
            yield return new NightUse(Keeping.Lines.To(place, Store.Line));
        }
    }

    /// <summary>What it is by itself, without a way to it: its disks, and the line where it is elsewhere.</summary>
    internal ValueList<NightUse> Own => own.Value;

    /// <summary>How long an amount takes to be read back where it lies.</summary>
    internal Duration ReadTime(ByteSize amount) =>
        Duration.Of(
            amount,
            Math.Min(
                MostOut,
                Own.Where(u => u.Line.Kind == NightLineKind.Disk).Select(u => u.Line.Rate).DefaultIfEmpty(CopyRates.Pool([], default)).Min()
            )
        );

    /// <summary>The most it takes in, in bytes a second.</summary>
    internal double MostIn => Store.Writes is { } measured ? measured * 1e6 : double.PositiveInfinity;

    /// <summary>The most it gives out, in bytes a second.</summary>
    internal double MostOut => Store.Reads is { } measured ? measured * 1e6 : double.PositiveInfinity;

    /// <summary>The host its data comes from.</summary>
    internal HostId? HostId => (Host ?? PluggedInto)?.Id;
}
