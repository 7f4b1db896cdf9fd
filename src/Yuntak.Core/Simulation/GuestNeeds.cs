using System.Collections.Immutable;
using Yuntak.Core.Bench;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Simulation;

/// <summary>What a guest is in a lab, as far as a host has to know it: figures, memory while it runs, volumes, bridges, devices.</summary>
internal sealed record GuestNeeds(
    GuestId Id,
    GuestFigures Figures,
    GuestRoom Room,
    ImmutableHashSet<string> Bridges,
    ImmutableHashSet<string> Devices,
    ImmutableHashSet<string> Shares,
    string? Family,
    ImmutableArray<SimPort> Ports
)
{
    /// <inheritdoc cref="GuestRoom.Host"/>
    public HostId Host => Room.Host;

    /// <inheritdoc cref="GuestRoom.Memory"/>
    public ByteSize Memory => Room.Memory;

    /// <inheritdoc cref="GuestRoom.System"/>
    public SimVolume? System => Room.System;

    /// <inheritdoc cref="GuestRoom.Bulk"/>
    public SimVolume? Bulk => Room.Bulk;

    /// <summary>The same with other memory: given, and taken while it runs.</summary>
    public GuestNeeds With(ByteSize memory) =>
        this with
        {
            Figures = Figures with { Memory = memory },
            Room = Room with { Memory = memory },
        };

    /// <summary>What a guest needs that is on a host of a lab.</summary>
    /// <param name="sums">The sums of the lab.</param>
    /// <param name="id">The guest; it is on a host, itself or inside another.</param>
    public static GuestNeeds Of(Sums sums, GuestId id)
    {
        var sizing = sums.Guest(id);
        var guest = sizing.Guest;
        var host = sums.Lab.HostOf(guest)!;
        return new(
            id,
            GuestFigures.Of(sizing),
            GuestRoom.Of(sums, id),
            guest.Interfaces.Count == 0 || host.Wires.Bridges.Count == 0
                ? []
                :
                [
                    .. guest
                        .Interfaces.Select(l => sums.Wires.BridgeOf(host, l)?.Name)
                        .OfType<string>()
                        .Where(b => host.Wires.Bridges.Any(p => p.Name == b)),
                ],
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
            guest.MadeFor,
            [.. SimPort.Of(sums.Wires, id)]
        );
    }

    /// <summary>Way and device, as a host keeps them apart.</summary>
    public static string DeviceKey(ClaimWay way, string device) => $"{LabWords.Ways.Word(way)} {device}";

    /// <summary>Whether a device handed over that way is nobody else's meanwhile.</summary>
    public static bool IsAlone(string key) => !key.StartsWith(LabWords.Ways.Word(ClaimWay.Node), StringComparison.Ordinal);
}
