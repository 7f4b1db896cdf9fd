using Yuntak.Core.Base;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>Anything a host runs.</summary>
/// <param name="Id">Its identity.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Kind">How it is packaged.</param>
/// <param name="Wants">What it is for, and how much of it. At least one.</param>
/// <param name="Overrides">Figures set beside the advice.</param>
/// <param name="Placement">Where it is put; null while it is only asked for.</param>
/// <param name="Importance">How much it matters.</param>
/// <param name="MayShrinkTo">Memory a machine may be squeezed down to; null when it may not.</param>
/// <param name="Image">For an app stack: the image it runs, with its tag; null until somebody says.</param>
/// <param name="Folders">For an app stack: the folders that keep its data.</param>
/// <param name="Life">How far it has come. Only what stands (as built) ever stops short of <see cref="LifeStage.InService"/>; in the draft every guest is meant to get there.</param>
/// <param name="Devices">PCI functions of its host that are handed to it whole, by address. Machines only.</param>
/// <param name="RunsIn">For an app stack: the machine or system container whose engine runs it, which then also holds its disks; null when the engine runs on the host itself.</param>
/// <param name="Privileged">For a system container: whether root inside it is root on the host.</param>
/// <param name="MadeFor">The processor family its image or install medium is made for, as the kernel names it; null until somebody says.</param>
/// <param name="HealthCheckMinutes">How long after a start its health check waits before it restarts the guest; null when it has none.</param>
/// <param name="Growth">How its bulk data grows; null until somebody says.</param>
/// <param name="Ports">TCP ports its service answers on, as somebody said; empty while nobody has, and then only those a published standard names are known.</param>
/// <param name="Claims">The devices it needs, with the way each is handed over where that is chosen.</param>
/// <param name="GoesWithout">Needs its profiles bring along that it does without.</param>
/// <param name="MovesRunning">Whether it is meant to move to another host while it runs.</param>
/// <param name="BackedUpWithMemory">Whether backups keep its memory too, taken while it runs.</param>
/// <param name="Networks">For an app stack: the engine's networks it is in, by name.</param>
/// <param name="Variables">For an app stack: the names of its environment variables. Their values are never kept.</param>
/// <param name="Nodes">For an app stack: device nodes of the host mapped into it.</param>
/// <param name="Restart">For an app stack: when its engine starts it again; null for «unless-stopped».</param>
/// <param name="Interfaces">Its places on networks; empty while nobody said, and for an app stack that has no address of its own.</param>
/// <param name="Listens">What it answers on, as somebody said.</param>
/// <param name="Mounts">The shares it uses.</param>
/// <param name="Aliases">Further names it is called by on the network.</param>
/// <param name="Number">Its number, where a network's addresses follow numbers.</param>
/// <param name="Autostart">Whether it starts with its host; null while nobody said otherwise: the runbook sees to it.</param>
/// <param name="Pinned">Whether it stays on its host and in its pools when guests are arranged.</param>
/// <param name="Survives">Whether it is to keep running with any one host away; asked of guests that must run.</param>
/// <param name="Apart">Guests that are not to be on the same host. One of two says it, and it counts for both.</param>
/// <param name="Together">Guests that are to be on the same host. One of two says it, and it counts for both.</param>
/// <param name="MayBe">Other packagings it may have when guests are arranged; empty for none but its own.</param>
/// <param name="Stands">In a file: whether it runs already.</param>
public sealed record Guest(
    GuestId Id,
    string Name,
    GuestKind Kind,
    ValueList<Want> Wants,
    SizeOverrides Overrides,
    Placement? Placement = null,
    Importance Importance = Importance.Should,
    ByteSize? MayShrinkTo = null,
    string? Image = null,
    ValueList<FolderMount> Folders = default,
    LifeStage Life = LifeStage.InService,
    ValueList<string> Devices = default,
    GuestId? RunsIn = null,
    bool Privileged = false,
    string? MadeFor = null,
    int? HealthCheckMinutes = null,
    Growth? Growth = null,
    ValueList<int> Ports = default,
    ValueList<DeviceClaim> Claims = default,
    ValueList<DeviceNeed> GoesWithout = default,
    bool MovesRunning = false,
    bool BackedUpWithMemory = false,
    ValueList<string> Networks = default,
    ValueList<string> Variables = default,
    ValueList<string> Nodes = default,
    string? Restart = null,
    ValueList<Leg> Interfaces = default,
    ValueList<Listen> Listens = default,
    ValueList<ShareMount> Mounts = default,
    ValueList<string> Aliases = default,
    int? Number = null,
    bool? Autostart = null,
    bool Pinned = false,
    bool Survives = false,
    ValueList<GuestId> Apart = default,
    ValueList<GuestId> Together = default,
    ValueList<GuestKind> MayBe = default,
    bool Stands = false
)
{
    /// <summary>The functions handed to it whole: those listed, and those of its claims.</summary>
    public IEnumerable<string> HandedWhole =>
        Claims.Count == 0
            ? Devices
            : Devices
                .Concat(Claims.Where(c => c is { Way: ClaimWay.Whole, Device: not null }).Select(c => c.Device!))
                .Distinct(StringComparer.Ordinal);

    /// <summary>Whether a device may reach all of its memory at any time, so that all of it is pinned: one handed over whole, or a slice of one.</summary>
    public bool IsPinned => HandedWhole.Any() || Claims.Any(c => c is { Way: ClaimWay.Slice, Device: not null });

    /// <summary>The same guest on another host: devices stay where they are, and what it claimed is open again.</summary>
    public Guest WithoutDevices() =>
        this with
        {
            Devices = [],
            Claims = Claims.Change(c => c.Device is not null, c => c with { Device = null, Mapped = null }),
        };
}
