using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>A machine that runs guests.</summary>
/// <param name="Id">Its identity.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Description">A few words: «workshop tower».</param>
/// <param name="Processor">Its processors.</param>
/// <param name="Memory">Memory the kernel can use.</param>
/// <param name="Disks">What is plugged in.</param>
/// <param name="Pools">How the disks are joined.</param>
/// <param name="NetworkPorts">How many wired ports; null when nobody said.</param>
/// <param name="BatteryBackup">Whether a battery backup is linked to it; null when nobody said.</param>
/// <param name="IdleWatts">Power at rest, when known.</param>
/// <param name="FullWatts">Power at full load, when known.</param>
/// <param name="WasRead">Whether the figures were read from the host's own tools rather than typed in.</param>
/// <param name="Inside">What else was read inside it; null when nothing was. Use <see cref="Hardware"/>.</param>
/// <param name="PowersOn">Whether it starts by itself after a power cut; null when nobody said.</param>
/// <param name="AddressFixed">Whether the address it is looked after at stays the same; null when nobody said.</param>
/// <param name="ReadOn">The day it was last read.</param>
/// <param name="Checks">Lines of the readiness list somebody has ticked.</param>
/// <param name="Notes">Where what is known came from.</param>
public sealed record Host(
    HostId Id,
    string Name,
    string Description,
    Processor Processor,
    ByteSize Memory,
    ValueList<Disk> Disks = default,
    ValueList<Pool> Pools = default,
    int? NetworkPorts = null,
    bool? BatteryBackup = null,
    double? IdleWatts = null,
    double? FullWatts = null,
    bool WasRead = false,
    Hardware? Inside = null,
    bool? PowersOn = null,
    bool? AddressFixed = null,
    DateOnly? ReadOn = null,
    ValueList<ReadinessCheck> Checks = default,
    ValueList<FactNote> Notes = default
)
{
    /// <summary>What else was read inside it.</summary>
    public Hardware Hardware => Inside ?? Hardware.None;

    /// <summary>The same host with other things inside.</summary>
    public Host With(Hardware hardware) => this with { Inside = hardware == Hardware.None ? null : hardware };

    /// <summary>The pool of that name, if there is one.</summary>
    public Pool? PoolNamed(string? name) => Pools.FirstOrDefault(p => p.Name == name);

    /// <summary>The disks that belong to no pool.</summary>
    public IEnumerable<Disk> DisksInNoPool => Disks.Where(d => Pools.All(p => !p.DiskIds.Contains(d.Id)));

    /// <summary>Those of them that may be joined into one: nobody starts from them, nothing is mounted on them, and they are not meant to be pulled out.</summary>
    public IEnumerable<Disk> DisksToJoin => DisksInNoPool.Where(d => !d.IsBoot && !d.Removable && d.MountedAt.Count == 0);

    /// <summary>The disks of a pool that are still in the host.</summary>
    public IEnumerable<Disk> DisksOf(Pool pool) => pool.DiskIds.Select(id => Disks.FirstOrDefault(d => d.Id == id)).OfType<Disk>();
}
