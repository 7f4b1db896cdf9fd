using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Bench;

/// <summary>A pool's room and what is claimed of it.</summary>
public sealed class PoolBudget
{
    /// <summary>The room of a thin pool that may be promised before it hurts, in times; common practice.</summary>
    public static readonly Share PromisedShare = new(1.5);

    private readonly ValueList<SharedFolder> folders;
    private readonly Once<PoolRisk?> risk;

    internal PoolBudget(
        Host host,
        Pool pool,
        IEnumerable<Sizing> guests,
        LabSettings? settings = null,
        ValueList<SharedFolder> folders = default
    )
    {
        Host = host;
        Pool = pool;
        this.folders = folders;
        Disks = [.. host.DisksOf(pool)];
        List<Disk> parts = [.. host.PartsOf(pool)];
        Members = PoolMembers.Of(pool, parts);
        Groups = DiskGroup.Split(pool.Layout, Members, pool.Groups);
        Room = PoolRoom.Of(pool, parts);
        risk = new(() =>
            Groups.All(g => g.HasEnough) && Missing <= Groups.Min(g => g.Survives)
                ? PoolRisk.Of(Groups, AgeYears, pool.SpareReady, batchTimes: (settings ?? LabSettings.Default).BatchTimes, missing: Missing)
                : null
        );
        List<(string Label, ByteSize Size)> claims = [];
        var claimed = pool.AlreadyUsed;
        Promised = pool.AlreadyUsed;
        foreach (var sizing in guests)
        {
            foreach (var (what, size, expected) in VolumesOf(sizing))
            {
                Promised += size;
                var taken = Taken(size, expected);
                claimed += taken;
                claims.Add(($"{sizing.Guest.Name}, {what}", taken));
            }
        }

        foreach (var folder in Folders)
        {
            // Counted once, however many see it.
            Promised += folder.Size;
            claimed += folder.Size;
            claims.Add(($"{folder.Name}, shared by {Numbers.Count(folder.Uses.Count, "guest")}", folder.Size));
        }

        Claimed = Figure.Of(
            $"claimed of {pool.Name} on {host.Name}",
            claimed,
            pool.Thin
                ? "what lies in it already + Σ what guests are expected to fill of their thin volumes + their scratch space"
                : "what lies in it already + Σ volumes and scratch space of the guests put there",
            () =>
                claims
                    .Where(c => c.Size > ByteSize.Zero)
                    .Select(c => new FigureInput(c.Label, c.Size.ToDecimalString()))
                    .Prepend(new("in it already", pool.AlreadyUsed.ToDecimalString(), Origin.Entered)),
            words: size => size.ToDecimalString()
        );
    }

    /// <summary>The host it is in.</summary>
    public Host Host { get; }

    /// <summary>The pool.</summary>
    public Pool Pool { get; }

    /// <summary>Its disks that are still in the host.</summary>
    public IReadOnlyList<Disk> Disks { get; }

    /// <summary>All disks it was made of, in its order; of those that are missing the size is assumed.</summary>
    internal IReadOnlyList<DiskSpec> Members { get; }

    /// <summary>Whether the host starts from one of its disks.</summary>
    public bool OnBootDisk => Disks.Any(Host.StartsFrom);

    /// <summary>How many of its disks are not in the host.</summary>
    public int Missing => Pool.DiskIds.Count - Disks.Count;

    /// <summary>Whether more disks are missing than any of its groups can do without.</summary>
    public bool IsLost => PoolMembers.IsLost(Groups, Missing);

    /// <summary>Its room; it stays as it is while disks are missing that the pool can do without.</summary>
    public PoolRoom Room { get; }

    /// <summary>What lies in it and what guests claim.</summary>
    public Figure<ByteSize> Claimed { get; }

    /// <summary>What lies in it and all that was promised to guests; more than <see cref="Claimed"/> only where volumes are thin.</summary>
    public ByteSize Promised { get; }

    /// <summary>A thin volume takes what is expected to be in it, a thick one all of its size.</summary>
    private ByteSize Taken(ByteSize size, ByteSize expected) => Pool.Thin ? ByteSize.Min(size, expected) : size;

    /// <summary>What a guest keeps in this pool where it is placed. Scratch space lies beside the system disk.</summary>
    private IEnumerable<(string What, ByteSize Size, ByteSize Expected)> VolumesOf(Sizing guest)
    {
        if (guest.Guest.Placement?.SystemPool == Pool.Name)
        {
            foreach (var volume in SystemVolumes(guest))
            {
                yield return volume;
            }
        }

        if (guest.Guest.Placement?.BulkPool == Pool.Name)
        {
            yield return BulkVolume(guest);
        }
    }

    private static IEnumerable<(string What, ByteSize Size, ByteSize Expected)> SystemVolumes(Sizing guest) =>
        [("system disk", guest.SystemDisk, guest.AdvisedSystemDisk.Value), ("scratch space", guest.Scratch.Value, guest.Scratch.Value)];

    private (string What, ByteSize Size, ByteSize Expected) BulkVolume(Sizing guest) =>
        GuestVolumes.Bulk(folders, guest) is { } bulk ? (bulk.Name, bulk.Size, bulk.Expected) : ("bulk data", ByteSize.Zero, ByteSize.Zero);

    /// <summary>What a guest would claim, and be promised, of this pool with its system disk in it, wherever it is now.</summary>
    internal (ByteSize Claimed, ByteSize Promised) SystemClaim(Sizing guest) => Claim(SystemVolumes(guest));

    /// <summary>What a guest would claim, and be promised, of this pool with its bulk data in it, wherever it is now.</summary>
    internal (ByteSize Claimed, ByteSize Promised) BulkClaim(Sizing guest) => Claim([BulkVolume(guest)]);

    private (ByteSize Claimed, ByteSize Promised) Claim(IEnumerable<(string What, ByteSize Size, ByteSize Expected)> volumes) =>
        volumes.Aggregate(
            (Claimed: ByteSize.Zero, Promised: ByteSize.Zero),
            (sum, v) => (sum.Claimed + Taken(v.Size, v.Expected), sum.Promised + v.Size)
        );

    /// <summary>The folders in it that several guests use.</summary>
    public IEnumerable<SharedFolder> Folders => folders.Where(f => f.Host == Host.Id && f.Pool == Pool.Name);

    /// <summary>The groups its disks make.</summary>
    public IReadOnlyList<DiskGroup> Groups { get; }

    /// <summary>Whether it is all of flash; no disks are none.</summary>
    public bool IsFlash => Disks.Count > 0 && Disks.All(d => d.IsFlash);

    /// <summary>Its risk as it is now, by the age of the oldest disk; null while it has too few disks or misses more than it surely survives.</summary>
    public PoolRisk? Risk => risk.Value;

    /// <summary>The age of its disks as somebody said or, when nobody did, that of the oldest by the hours it has run; 0 while none are known.</summary>
    public double AgeYears => Pool.AgeYears ?? (Disks.Select(d => d.HoursRun ?? 0).DefaultIfEmpty(0).Max() / Duration.HoursPerYear);

    /// <summary>Whether its disks are past five years: as somebody said, or by the hours one of them has run.</summary>
    public bool IsOld => Pool.AgeYears is { } said ? said > ParityAdvice.OldYears : Disks.Any(d => d.HoursRun > Disk.OldHours);

    /// <summary>Whether its disks are of one batch: one model, within 1,000 hours of age.</summary>
    public bool IsOneBatch =>
        Disks.Count > 1
        && Disks.All(d => d.Model is not null && d.HoursRun is not null)
        && Disks.Select(d => d.Model).Distinct().Count() == 1
        && Disks.Max(d => d.HoursRun!.Value) - Disks.Min(d => d.HoursRun!.Value) <= FailureRates.BatchHours;

    /// <summary>How what guests keep in it grows.</summary>
    public PoolGrowth Growth(IEnumerable<Sizing> guests) =>
        new([
            new VolumeGrowth("in it already", Pool.AlreadyUsed),
            .. guests
                .Where(g => ClaimOf(g) > ByteSize.Zero)
                .Select(g =>
                {
                    var grows = g.Guest.Placement?.BulkPool == Pool.Name ? g.Guest.Growth : null;
                    return new VolumeGrowth(g.Guest.Name, ClaimOf(g), grows?.PerMonth ?? default, grows?.ShareAYear ?? 0);
                }),
        ]);

    /// <summary>What a guest claims of this pool where it is placed: its system disk with scratch space, its bulk data, both or neither.</summary>
    public ByteSize ClaimOf(Sizing guest) => VolumesOf(guest).Aggregate(ByteSize.Zero, (sum, v) => sum + Taken(v.Size, v.Expected));

    /// <summary>What lies in it beside what guests keep as their own: what was there already, and shared folders.</summary>
    internal ByteSize BesideGuests => Folders.Aggregate(Pool.AlreadyUsed, (sum, f) => sum + f.Size);

    /// <summary>What is left; negative when too much is claimed.</summary>
    public ByteSize Spare => Room.Usable - Claimed.Value;

    /// <summary>The share claimed.</summary>
    public Share Share => Claimed.Value.ShareOf(Room.Usable);

    /// <summary>The verdict.</summary>
    public Fit Fit =>
        Claimed.Value > Room.Usable ? Fit.Over
        : Share > PoolRoom.ComfortShare ? Fit.Tight
        : Fit.Fits;
}
