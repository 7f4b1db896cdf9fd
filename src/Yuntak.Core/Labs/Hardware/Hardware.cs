using Yuntak.Core.Base;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>What was read inside a host besides processor, memory and disks. Whatever nobody read is empty or null.</summary>
/// <param name="MemorySlots">Places for memory modules, filled and free.</param>
/// <param name="Functions">What sits on the PCI bus.</param>
/// <param name="UsbBuses">USB buses, each with the controller that owns it.</param>
/// <param name="UsbDevices">What is plugged into them; root hubs apart.</param>
/// <param name="Ports">Network ports that are really there.</param>
/// <param name="Bridges">Bridges the host makes of them.</param>
/// <param name="Temperatures">Temperatures when it was read.</param>
/// <param name="DiskSpeeds">Measured disk speeds.</param>
/// <param name="LinkSpeeds">Measured goodput to other hosts.</param>
/// <param name="Battery">What the battery backup said.</param>
/// <param name="Firmware">The firmware's date and version.</param>
/// <param name="Isolation">Whether devices are kept apart so that one can be handed over whole; null when nobody knows.</param>
/// <param name="Mounts">What is mounted, the kernel's own file systems apart.</param>
/// <param name="Found">Disks found joined, or mounted by themselves.</param>
/// <param name="Listeners">Addresses and ports that are taken.</param>
/// <param name="Runs">What runs in control groups.</param>
/// <param name="GroupsSplit">Whether the kernel was told to split isolation groups that the board does not keep apart; null when nobody looked.</param>
public sealed record Hardware(
    ValueList<MemorySlot> MemorySlots = default,
    ValueList<PciFunction> Functions = default,
    ValueList<UsbBus> UsbBuses = default,
    ValueList<UsbDevice> UsbDevices = default,
    ValueList<NetworkPort> Ports = default,
    ValueList<Bridge> Bridges = default,
    ValueList<Temperature> Temperatures = default,
    ValueList<DiskSpeed> DiskSpeeds = default,
    ValueList<LinkSpeed> LinkSpeeds = default,
    BatteryState? Battery = null,
    Firmware? Firmware = null,
    bool? Isolation = null,
    ValueList<Mount> Mounts = default,
    ValueList<FoundPool> Found = default,
    ValueList<Listener> Listeners = default,
    ValueList<Running> Runs = default,
    bool? GroupsSplit = null
)
{
    /// <summary>Nothing known.</summary>
    public static readonly Hardware None = new();

    /// <summary>The PCI address of the controller that a USB port belongs to: the owner of its bus. Null when it was not read.</summary>
    /// <param name="port">A port path such as «3-2.1».</param>
    public string? ControllerOf(string port) =>
        int.TryParse(port.Split('-')[0], out var bus) ? UsbBuses.FirstOrDefault(b => b.Number == bus)?.Controller : null;

    /// <summary>The function of that address, if there is one.</summary>
    public PciFunction? Function(string? address) => Functions.FirstOrDefault(f => f.Address == address);

    /// <summary>The part of the line rate that carries data: 1,460 bytes in frames of 1,538 on the wire, at an MTU of 1,500 (IEEE 802.3 framing, TCP/IPv4 headers).</summary>
    public static readonly Share GoodputShare = new(1460.0 / 1538);

    /// <summary>
    /// What the wire carries: where goodput was measured the best of it, else 94.9 % of the speed of the fastest port whose link is not down; null when neither is known.
    /// </summary>
    public DataRate? Goodput
    {
        get
        {
            double[] speeds =
                LinkSpeeds.Count > 0
                    ? [.. LinkSpeeds.Select(l => l.Goodput.BitsPerSecond)]
                    :
                    [
                        .. Ports
                            .Where(p => p is { SpeedMbps: not null, Up: not false })
                            .Select(p => DataRate.FromMbps(p.SpeedMbps!.Value).BitsPerSecond * GoodputShare),
                    ];
            return speeds.Length == 0 ? null : new DataRate(speeds.Max());
        }
    }
}
