using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Arranging;

/// <summary>The seats of a guest: what it would take on each host, in each packaging it may have, and what keeps it out there.</summary>
internal sealed class SeatMaker
{
    private readonly Sums sums;
    private readonly IReadOnlyList<HostRoom> rooms;
    private readonly NeedMaker needs;
    private readonly PortsHeld ports;

    /// <param name="sums">The lab.</param>
    /// <param name="rooms">Its hosts.</param>
    public SeatMaker(Sums sums, IReadOnlyList<HostRoom> rooms)
    {
        (this.sums, this.rooms) = (sums, rooms);
        needs = new NeedMaker(sums, rooms);
        ports = new PortsHeld(sums);
    }

    /// <summary>All seats of a guest, host by host.</summary>
    /// <param name="mover">Which guest it is.</param>
    /// <param name="now">The guest as it is.</param>
    /// <param name="onlyHome">Whether only the seat it has now is asked after.</param>
    public IReadOnlyList<Seat> Of(int mover, Sizing now, bool onlyHome = false)
    {
        // Hosts of one sort size a guest alike.
        Dictionary<(GuestKind, double, int), Sizing> sized = [];
        var inner = now.Inner.Select(s => s.Guest).ToList();
        List<Seat> seats = [];
        foreach (var kind in Kinds(now))
        {
            foreach (var room in rooms)
            {
                var stays = now.Guest.Placement?.Host == room.Host.Id && kind == now.Guest.Kind;
                if (onlyHome && !stays)
                {
                    continue;
                }

                if (!stays && !sized.ContainsKey((kind, room.Host.Speed, room.Host.Processor.Threads)))
                {
                    sized[(kind, room.Host.Speed, room.Host.Processor.Threads)] = Sizing.Of(
                        Packaged(now.Guest, kind),
                        sums.Lab.Book,
                        inner,
                        room.Host
                    );
                }

                seats.Add(Of(mover, now, room, stays ? now : sized[(kind, room.Host.Speed, room.Host.Processor.Threads)], stays));
            }
        }

        return seats;
    }

    /// <summary>The packagings it may have; its own first.</summary>
    private static IEnumerable<GuestKind> Kinds(Sizing now) =>
        now
            .Guest.MayBe.Where(k =>
                k != now.Guest.Kind
                && !now.Profiles.Any(p => p.MachineOnly)
                && (k != GuestKind.AppStack || (now.Inner.Count == 0 && !now.Follows(ProfileBook.AppEngine)))
            )
            .Distinct()
            .Prepend(now.Guest.Kind);

    /// <summary>The guest somewhere else, or packaged otherwise: devices stay behind and are claimed anew.</summary>
    internal static Guest Packaged(Guest guest, GuestKind kind)
    {
        var moved = guest.WithoutDevices() with { Placement = null };
        return kind == guest.Kind
            ? moved
            : moved with
            {
                Kind = kind,
                Claims = moved.Claims.Change(_ => true, c => c with { Way = null }),
                MayShrinkTo = kind == GuestKind.Machine ? moved.MayShrinkTo : null,
                Privileged = kind == GuestKind.SystemContainer && moved.Privileged,
                Folders = kind == GuestKind.AppStack && moved.Folders.Count == 0 ? [AppStacks.DefaultFolder(guest.Name)] : moved.Folders,
            };
    }

    private Seat Of(int mover, Sizing now, HostRoom room, Sizing sizing, bool stays)
    {
        var (asked, missing) = needs.On(room, now, sizing, stays);
        return new Seat(mover, room, sizing, stays)
        {
            System = Kept(now, [.. System(now, room, sizing, stays)]),
            Bulk = Kept(now, [.. Bulk(now, room, sizing, stays)]),
            Needs = asked,
            Limits =
            [
                .. GuestLimits.Of(sums, sizing, room.Host),
                .. stays ? [] : ports.Limits(sizing, room.Host),
                .. room.Pools.Count == 0 ? [GuestLimits.NoPool(room.Host)] : Array.Empty<FitLimit>(),
                .. missing,
            ],
        };
    }

    /// <summary>What is pinned stays in the pools it is in.</summary>
    private static List<SeatPool> Kept(Sizing now, List<SeatPool> pools) =>
        now.Guest.Pinned && pools.Exists(p => p.Now) ? pools.FindAll(p => p.Now) : pools;

    private static IEnumerable<SeatPool> System(Sizing now, HostRoom room, Sizing sizing, bool stays)
    {
        var flash = room.Pools.Any(p => p.IsFlash && !p.OnBootDisk);
        foreach (var (n, pool) in Candidates(room, stays ? now.Guest.Placement?.SystemPool : null))
        {
            var (claimed, promised) = pool.SystemClaim(sizing);
            var badly =
                (pool.OnBootDisk && room.Host.HasOtherDisks ? 4 : 0)
                + (flash && !pool.IsFlash ? 2 : 0)
                + (Meant(pool, ContentKind.GuestDisks) ? 0 : 1);
            yield return new(n, claimed.Bytes, promised.Bytes, badly, stays && now.Guest.Placement?.SystemPool == pool.Pool.Name);
        }
    }

    private static IEnumerable<SeatPool> Bulk(Sizing now, HostRoom room, Sizing sizing, bool stays)
    {
        var needed = room.Pools.Any(p => p.BulkClaim(sizing).Promised > ByteSize.Zero);
        var none = stays && now.Guest.Placement?.BulkPool is null;
        // An amount that is only advised is asked after; it stops nobody from staying.
        if (!needed || room.Pools.Count == 0 || (none && sizing.Guest.Overrides.Bulk is null))
        {
            yield return new(-1, 0, 0, 0, none || !needed);
        }

        if (!needed)
        {
            yield break;
        }

        var roomy = room.Pools.Any(p => p.Disks.Count > 0 && !p.IsFlash && !p.OnBootDisk);
        foreach (var (n, pool) in Candidates(room, stays ? now.Guest.Placement?.BulkPool : null))
        {
            var (claimed, promised) = pool.BulkClaim(sizing);
            var badly =
                (pool.OnBootDisk && room.Host.HasOtherDisks ? 4 : 0)
                + (roomy && pool.IsFlash ? 2 : 0)
                + (Meant(pool, ContentKind.Bulk) ? 0 : 1);
            yield return new(n, claimed.Bytes, promised.Bytes, badly, stays && now.Guest.Placement?.BulkPool == pool.Pool.Name);
        }
    }

    /// <summary>The pools something new may lie in, and the one it lies in now.</summary>
    private static IEnumerable<(int Number, PoolBudget Pool)> Candidates(HostRoom room, string? now) =>
        room.Pools.Select((p, n) => (n, p)).Where(p => p.p.Pool.Name == now || (p.p.Pool.Tier is null or TierKind.Guests && !p.p.IsLost));

    private static bool Meant(PoolBudget pool, ContentKind kind) => pool.Pool.Takes.Count == 0 || pool.Pool.Takes.Contains(kind);
}
