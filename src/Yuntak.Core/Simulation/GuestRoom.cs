using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Simulation;

/// <summary>What a guest takes of its host: memory while it runs, and its volumes. One inside another takes it of that one.</summary>
/// <param name="Host">The host.</param>
/// <param name="Memory">Memory.</param>
/// <param name="System">Its system disk; null where none is planned.</param>
/// <param name="Bulk">Its bulk data.</param>
internal sealed record GuestRoom(HostId Host, ByteSize Memory, SimVolume? System, SimVolume? Bulk)
{
    /// <summary>What a guest takes that is on a host of a lab.</summary>
    /// <param name="sums">The sums of the lab.</param>
    /// <param name="id">The guest; it is on a host, itself or inside another.</param>
    public static GuestRoom Of(Sums sums, GuestId id)
    {
        var sizing = sums.Guest(id);
        var guest = sizing.Guest;
        var host = sums.HostOf(guest)!;
        SimVolume? Volume(string? pool, Func<PoolBudget, ByteSize> size) =>
            guest.RunsIn is null && host.Pool(pool) is { } budget ? new(host.Host.Id, budget.Pool.Name, size(budget)) : null;
        return new(
            host.Host.Id,
            MemoryOf(sums, guest),
            Volume(guest.Placement?.SystemPool, b => b.SystemClaim(sizing).Claimed),
            Volume(guest.Placement?.BulkPool, b => b.BulkClaim(sizing).Claimed)
        );
    }

    /// <summary>What a guest takes of its host's memory.</summary>
    public static ByteSize MemoryOf(Sums sums, Guest guest) =>
        guest.RunsIn is null ? new MemoryShare(guest, sums.Guest(guest.Id)).Committed : ByteSize.Zero;
}
