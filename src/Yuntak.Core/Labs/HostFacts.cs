using Yuntak.Core.Base;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>What is there in a host, read from its own tools or said by somebody. Whatever nobody read or said is null or empty.</summary>
/// <param name="Processor">Its processors.</param>
/// <param name="Memory">Memory the kernel can use.</param>
/// <param name="Disks">What is plugged in.</param>
/// <param name="NetworkPorts">How many wired ports; null when nobody said.</param>
/// <param name="BatteryBackup">Whether a battery backup is linked to it; null when nobody said.</param>
/// <param name="IdleWatts">Power at rest, in watts, when known.</param>
/// <param name="FullWatts">Power at full load, in watts, when known.</param>
/// <param name="WasRead">Whether the figures were read from the host's own tools rather than typed in.</param>
/// <param name="Inside">What else was read inside it; null when nothing was. Use <see cref="Host.Hardware"/>.</param>
/// <param name="PowersOn">Whether it starts by itself after a power cut; null when nobody said.</param>
/// <param name="AddressFixed">Whether the address it is looked after at stays the same; null when nobody said.</param>
/// <param name="ReadOn">The day it was last read.</param>
/// <param name="Checks">Lines of the readiness list somebody has ticked.</param>
/// <param name="Notes">Where what is known came from.</param>
/// <param name="Type">What system it runs.</param>
/// <param name="BaseMemory">Memory it keeps for itself, as somebody said; null to follow its kind.</param>
/// <param name="SystemShare">What its system takes of the boot disk, as somebody said; null to follow its kind.</param>
/// <param name="CoreSpeed">How fast a core is, with 1 for the reference core, measured or said; null to follow its kind.</param>
/// <param name="Encoder">What sort of video encoder it has, for when its capacity is not known; null while nobody said.</param>
/// <param name="Tries">Controllers that were tried while looking for a stick.</param>
public sealed record HostFacts(
    Processor Processor,
    ByteSize Memory,
    ValueList<Disk> Disks = default,
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
    ValueList<FactNote> Notes = default,
    HostType Type = HostType.Hypervisor,
    ByteSize? BaseMemory = null,
    ByteSize? SystemShare = null,
    double? CoreSpeed = null,
    EncoderClass? Encoder = null,
    ValueList<DeviceTry> Tries = default
);
