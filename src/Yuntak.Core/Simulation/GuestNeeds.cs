using System.Collections.Immutable;
using Yuntak.Core.Bench;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Simulation;

/// <summary>What a guest is in a lab, as far as a host has to know it: figures, memory while it runs, volumes, bridges, addresses, devices.</summary>
internal sealed record GuestNeeds(
    GuestId Id,
    GuestFigures Figures,
    HostId Host,
    ByteSize Memory,
    SimVolume? System,
    SimVolume? Bulk,
    ImmutableHashSet<string> Bridges,
    ImmutableHashSet<string> Addresses,
    ImmutableHashSet<string> Devices,
    ImmutableHashSet<string> Shares,
    string? Family
)
{
    /// <summary>What a guest needs that is on a host of a lab.</summary>
    /// <param name="sums">The sums of the lab.</param>
    /// <param name="id">The guest; it is on a host, itself or inside another.</param>
    public static GuestNeeds Of(Sums sums, GuestId id)
    {
        var sizing = sums.Guest(id);
        var guest = sizing.Guest;
        var host = sums.Lab.HostOf(guest)!;
        var own = guest.RunsIn is null;
        var there = sums.Host(host.Id)!;
        SimVolume? Volume(string? pool, Func<PoolBudget, ByteSize> size) =>
            own && there.Pool(pool) is { } budget ? new(host.Id, budget.Pool.Name, size(budget)) : null;
        return new(
            id,
            GuestFigures.Of(sizing),
            host.Id,
            own ? new MemoryShare(guest, sizing).Committed : ByteSize.Zero,
            Volume(guest.Placement?.SystemPool, b => b.SystemClaim(sizing).Claimed),
            Volume(guest.Placement?.BulkPool, b => b.BulkClaim(sizing).Claimed),
            guest.Interfaces.Count == 0 || host.Wires.Bridges.Count == 0
                ? []
                :
                [
                    .. guest
                        .Interfaces.Select(l => sums.Wires.BridgeOf(host, l)?.Name)
                        .OfType<string>()
                        .Where(b => host.Wires.Bridges.Any(p => p.Name == b)),
                ],
            [.. guest.Interfaces.Select(l => l.Address).OfType<string>()],
            guest.Devices.Count == 0 && guest.Claims.Count == 0
                ? []
                :
                [
                    .. GuestClaims
                        .Of(sums.Lab, guest)
                        .Where(a => a.Claim.Chosen)
                        .Select(a => DeviceKey(a.Claim.Way!.Value, a.Claim.Device!)),
                ],
            [.. guest.Mounts.Select(m => m.Share)],
            guest.MadeFor
        );
    }

    /// <summary>Way and device, as a host keeps them apart.</summary>
    public static string DeviceKey(ClaimWay way, string device) => $"{LabWords.Ways.Word(way)} {device}";

    /// <summary>Whether a device handed over that way is nobody else's meanwhile.</summary>
    public static bool IsAlone(string key) => !key.StartsWith(LabWords.Ways.Word(ClaimWay.Node), StringComparison.Ordinal);
}
