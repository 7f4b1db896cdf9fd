using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Simulation;

/// <summary>The figures a guest is made with or changed to.</summary>
/// <param name="Kind">How it is packaged.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Vcpu">Virtual processors.</param>
/// <param name="Memory">Memory, at most.</param>
/// <param name="SystemDisk">System disk.</param>
/// <param name="Bulk">Bulk data; none for zero.</param>
/// <param name="MayShrinkTo">What a machine may be squeezed down to; null for no less.</param>
/// <param name="Privileged">Whether root inside a system container is root on the host.</param>
/// <param name="Nesting">Whether a system container runs an app engine.</param>
/// <param name="Image">The image of an app stack.</param>
/// <param name="Devices">Functions of its host that are handed to it whole.</param>
/// <param name="SystemPool">The pool of its system disk.</param>
/// <param name="BulkPool">The pool of its bulk data.</param>
/// <param name="RunsIn">The guest whose engine runs it.</param>
/// <param name="Wires">Its places on networks, ports and shares, a line each.</param>
internal sealed record GuestFigures(
    GuestKind Kind,
    string Name,
    int Vcpu,
    ByteSize Memory,
    ByteSize SystemDisk,
    ByteSize Bulk,
    ByteSize? MayShrinkTo,
    bool Privileged,
    bool Nesting,
    string? Image,
    ValueList<string> Devices,
    string? SystemPool,
    string? BulkPool,
    GuestId? RunsIn,
    ValueList<string> Wires
)
{
    /// <summary>The figures of a guest that was sized.</summary>
    public static GuestFigures Of(Sizing sizing) =>
        new(
            sizing.Guest.Kind,
            sizing.Guest.Name,
            sizing.Vcpu,
            sizing.Memory,
            sizing.SystemDisk,
            sizing.Bulk,
            sizing.Guest.MayShrinkTo,
            sizing.Guest.Privileged,
            sizing.Inner.Count > 0,
            sizing.Guest.Image,
            [.. sizing.Guest.HandedWhole],
            sizing.Guest.Placement?.SystemPool,
            sizing.Guest.Placement?.BulkPool,
            sizing.Guest.RunsIn,
            Lines(sizing.Guest)
        );

    /// <summary>By name, for scripts and for what a tick belongs to.</summary>
    public IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [
            new("kind", ProfileWords.Kinds.Word(Kind)),
            new("name", Name),
            new("vcpu", Vcpu),
            new("memoryBytes", Memory.Bytes),
            new("systemDiskBytes", SystemDisk.Bytes),
            new("bulkBytes", Bulk.Bytes),
            new("mayShrinkToBytes", MayShrinkTo?.Bytes),
            new("privileged", Privileged),
            new("nesting", Nesting),
            new("image", Image),
            new("devices", new JsonArray([.. Devices.Select(d => (JsonNode?)d)])),
            new("systemPool", SystemPool),
            new("bulkPool", BulkPool),
            new("runsIn", RunsIn?.Value),
            // Left out where there is none, so that steps ticked off before there were wires stay so.
            .. Wires.Count == 0
                ? Array.Empty<KeyValuePair<string, JsonNode?>>()
                : [new("wires", new JsonArray([.. Wires.Select(w => (JsonNode?)w)]))],
        ];

    /// <summary>A pool by name, or that one has to be chosen.</summary>
    public static string PoolWords(string? pool) => pool ?? "a pool you choose";

    /// <summary>All of a guest's places, ports and shares, as lines.</summary>
    public static ValueList<string> Lines(Guest guest) =>
        [
            .. guest.Interfaces.Select(l => $"{l.Network} {Macs.Of(guest, l)} {l.Address ?? "handed out"} {l.Bridge}".TrimEnd()),
            .. guest.Listens.Select(l => $"port {l.Port}/{l.Protocol.Word()} {l.Address ?? "*"} {l.Inside}".TrimEnd()),
            .. guest.Mounts.Select(m => $"share {m.Share} {m.At} {WireWords.Mounts.Word(m.By)}"),
        ];
}
