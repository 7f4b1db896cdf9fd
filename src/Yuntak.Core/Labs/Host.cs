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
    bool WasRead = false
)
{
    /// <summary>The pool of that name, if there is one.</summary>
    public Pool? PoolNamed(string? name) => Pools.FirstOrDefault(p => p.Name == name);

    /// <summary>The disks of a pool that are still in the host.</summary>
    public IEnumerable<Disk> DisksOf(Pool pool) => Disks.Where(d => pool.DiskIds.Contains(d.Id));
}
