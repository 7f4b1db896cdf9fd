using Yuntak.Core.Disks;
using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Bench;

/// <summary>A pool's room and what is claimed of it.</summary>
public sealed class PoolBudget
{
    internal PoolBudget(Host host, Pool pool, IEnumerable<Sizing> guests)
    {
        Host = host;
        Pool = pool;
        Disks = [.. host.DisksOf(pool)];
        Room = PoolRoom.Of(pool.Layout, pool.Family, [.. Disks.Select(d => d.Size)], pool.Groups);
        List<FigureInput> claims = [];
        var claimed = pool.AlreadyUsed;
        foreach (var sizing in guests)
        {
            var placement = sizing.Guest.Placement;
            if (placement?.SystemPool == pool.Name)
            {
                claimed += sizing.SystemDisk;
                claims.Add(new FigureInput($"{sizing.Guest.Name}, system disk", sizing.SystemDisk));
            }

            if (placement?.BulkPool == pool.Name)
            {
                claimed += sizing.Bulk;
                claims.Add(new FigureInput($"{sizing.Guest.Name}, bulk data", sizing.Bulk));
            }
        }

        Claimed = Figure.Of(
            $"claimed of {pool.Name} on {host.Name}",
            claimed,
            "what lies in it already + Σ volumes of the guests put there",
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

    /// <summary>What a guest claims of this pool where it is placed: its system disk, its bulk data, both or neither.</summary>
    public ByteSize ClaimOf(Sizing guest) =>
        (guest.Guest.Placement?.SystemPool == Pool.Name ? guest.SystemDisk : ByteSize.Zero)
        + (guest.Guest.Placement?.BulkPool == Pool.Name ? guest.Bulk : ByteSize.Zero);

    /// <summary>What is left; negative when too much is claimed.</summary>
    public ByteSize Spare => Room.Usable - Claimed.Value;

    /// <summary>The share claimed.</summary>
    public double Share => Claimed.Value.ShareOf(Room.Usable);

    /// <summary>The verdict.</summary>
    public Fit Fit =>
        Claimed.Value > Room.Usable ? Fit.Over
        : Share > PoolRoom.ComfortShare ? Fit.Tight
        : Fit.Fits;
}
