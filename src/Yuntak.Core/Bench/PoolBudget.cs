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
    private readonly Lazy<PoolRisk?> risk;

    internal PoolBudget(Host host, Pool pool, IEnumerable<Sizing> guests)
    {
        Host = host;
        Pool = pool;
        Disks = [.. host.DisksOf(pool)];
        Groups = DiskGroup.Split(pool.Layout, [.. Disks.Select(d => d.Size)], pool.Groups);
        Room = PoolRoom.Of(pool, Disks);
        risk = new(() =>
            Groups.All(g => g.HasEnough) && Disks.Count > 0
                ? PoolRisk.Of(Groups, Disks.Select(DiskSpec.Of).MinBy(d => d.RebuildRate)!.Kind, AgeYears, pool.SpareReady)
                : null
        );
        List<FigureInput> claims = [];
        var claimed = pool.AlreadyUsed;
        Promised = pool.AlreadyUsed;
        foreach (var sizing in guests)
        {
            var placement = sizing.Guest.Placement;
            if (placement?.SystemPool == pool.Name)
            {
                Promised += sizing.SystemDisk;
                var taken = Taken(pool, sizing.SystemDisk, sizing.AdvisedSystemDisk.Value);
                claimed += taken;
                claims.Add(new FigureInput($"{sizing.Guest.Name}, system disk", taken));
            }

            if (placement?.BulkPool == pool.Name)
            {
                Promised += sizing.Bulk;
                var taken = Taken(pool, sizing.Bulk, sizing.AdvisedBulk.Value);
                claimed += taken;
                claims.Add(new FigureInput($"{sizing.Guest.Name}, bulk data", taken));
            }
        }

        Claimed = Figure.Of(
            $"claimed of {pool.Name} on {host.Name}",
            claimed,
            pool.Thin
                ? "what lies in it already + Σ what guests are expected to fill of their thin volumes"
                : "what lies in it already + Σ volumes of the guests put there",
            () => claims.Prepend(new("in it already", pool.AlreadyUsed, Origin.Entered)).Append(new("room", Room.Usable))
        );
    }

    /// <summary>The host it is in.</summary>
    public Host Host { get; }

    /// <summary>The pool.</summary>
    public Pool Pool { get; }

    /// <summary>Its disks that are still in the host.</summary>
    public IReadOnlyList<Disk> Disks { get; }

    /// <summary>Its room.</summary>
    public PoolRoom Room { get; }

    /// <summary>What lies in it and what guests claim.</summary>
    public Figure<ByteSize> Claimed { get; }

    /// <summary>What lies in it and all that was promised to guests; more than <see cref="Claimed"/> only where volumes are thin.</summary>
    public ByteSize Promised { get; }

    /// <summary>A thin volume takes what is expected to be in it, a thick one all of its size.</summary>
    private static ByteSize Taken(Pool pool, ByteSize size, ByteSize expected) => pool.Thin ? ByteSize.Min(size, expected) : size;

    /// <summary>The groups its disks make.</summary>
    public IReadOnlyList<DiskGroup> Groups { get; }

    /// <summary>Whether it is all of flash; no disks are none.</summary>
    public bool IsFlash => Disks.Count > 0 && Disks.All(d => d.IsFlash);

    /// <summary>Its risk with the disks that are in the host, by the age of the oldest; null while too few are there.</summary>
    public PoolRisk? Risk => risk.Value;

    /// <summary>The age of its disks as somebody said or, when nobody did, that of the oldest by the hours it has run; 0 while none are known.</summary>
    public double AgeYears => Pool.AgeYears ?? (Disks.Select(d => d.HoursRun ?? 0).DefaultIfEmpty(0).Max() / Duration.HoursPerYear);

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

    /// <summary>What a guest claims of this pool where it is placed: its system disk, its bulk data, both or neither.</summary>
    public ByteSize ClaimOf(Sizing guest) =>
        (guest.Guest.Placement?.SystemPool == Pool.Name ? Taken(Pool, guest.SystemDisk, guest.AdvisedSystemDisk.Value) : ByteSize.Zero)
        + (guest.Guest.Placement?.BulkPool == Pool.Name ? Taken(Pool, guest.Bulk, guest.AdvisedBulk.Value) : ByteSize.Zero);

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
