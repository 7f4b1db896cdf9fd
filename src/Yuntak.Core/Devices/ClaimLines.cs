using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Devices;

/// <summary>
/// The lines a person types for each way, in general Linux terms: <c>lspci</c>, <c>lsusb</c>, the kernel's files under /sys (its documentation: sysfs-bus-pci), the links
/// udev makes under /dev. How a host's own tools attach a device is theirs; these look, prove, and do it by hand where that can be.
/// </summary>
public static class ClaimLines
{
    /// <summary>The lines for one claim.</summary>
    /// <param name="map">The map of the host.</param>
    /// <param name="need">What is needed.</param>
    /// <param name="way">The way.</param>
    /// <param name="device">The device.</param>
    public static IReadOnlyList<ClaimLine> Of(DeviceMap map, DeviceNeed need, ClaimWay way, string device) =>
        way switch
        {
            ClaimWay.Whole => [.. Whole(map, device)],
            ClaimWay.UsbId => [.. ById(map, device)],
            ClaimWay.UsbPort => [.. ByPort(device)],
            ClaimWay.Node => [.. Node(map, need, device)],
            ClaimWay.Slice => [.. Slice(device)],
        };

    /// <summary>Where the node of a device is on the host, by a link that stays the same; with a star where there are several.</summary>
    internal static string NodeOf(DeviceMap map, DeviceNeed need, string device)
    {
        if (map.At(device) is { } usb)
        {
            return need == DeviceNeed.AiAccelerator ? $"/dev/bus/usb/{Bus(usb.Device.Port)}" : "/dev/serial/by-id/*";
        }

        var function = map.Host.Hardware.Function(device);
        return function is { IsGraphics: true } ? $"/dev/dri/by-path/pci-{device}-*"
            : function is not null && DeviceSorts.NeedOf(function) == DeviceNeed.Sound ? $"/dev/snd/by-path/pci-{device}*"
            : function is not null && DeviceSorts.NeedOf(function) == DeviceNeed.AiAccelerator ? "/dev/accel/accel*"
            : "/dev/*";
    }

    /// <summary>The nodes as they are called inside: of graphics a card node and a render node, from memory numbered from 0 and 128.</summary>
    internal static string Inside(DeviceMap map, DeviceNeed need, string device) =>
        map.At(device) is not null
            ? need == DeviceNeed.AiAccelerator
                ? $"/dev/bus/usb/{Bus(device)}"
                : "/dev/ttyUSB0 or /dev/ttyACM0"
            : map.Host.Hardware.Function(device) is { IsGraphics: true }
                ? "/dev/dri/card0 and /dev/dri/renderD128"
                : "the same as on the host";

    private static IEnumerable<ClaimLine> Whole(DeviceMap map, string device)
    {
        var controller = map.ControllerOf(device);
        List<string> moved = [.. map.TrayOf(controller)?.Moves.Select(f => f.Address) ?? [controller]];
        yield return new(ClaimLayer.Host, "which driver has it", $"lspci -nnk -s {Short(controller)}");
        yield return new(ClaimLayer.Host, "its group", $"ls /sys/bus/pci/devices/{controller}/iommu_group/devices");
        foreach (var address in moved)
        {
            var at = $"/sys/bus/pci/devices/{address}";
            yield return new(ClaimLayer.HandOver, "the driver that hands it over", $"echo vfio-pci > {at}/driver_override");
            yield return new(ClaimLayer.HandOver, "let go of the old one", $"echo {address} > {at}/driver/unbind");
            yield return new(ClaimLayer.HandOver, "take the new one", $"echo {address} > /sys/bus/pci/drivers_probe");
            yield return new(
                ClaimLayer.Back,
                "its own driver again",
                $"echo > {at}/driver_override; echo {address} > {at}/driver/unbind; echo {address} > /sys/bus/pci/drivers_probe"
            );
        }

        yield return new(ClaimLayer.Guest, "it is there", "lspci -nnk");
    }

    private static IEnumerable<ClaimLine> ById(DeviceMap map, string device)
    {
        var id = map.At(device)?.Device.Id ?? "";
        yield return new(ClaimLayer.Host, "it is there, once", $"lsusb -d {id}");
        yield return new(ClaimLayer.HandOver, "vendor and product id", id);
        yield return new(ClaimLayer.Guest, "it is there", $"lsusb -d {id}");
    }

    private static IEnumerable<ClaimLine> ByPort(string device)
    {
        yield return new(ClaimLayer.Host, "the ports as a tree", "lsusb -t");
        yield return new(ClaimLayer.Host, "what is in that port", $"cat /sys/bus/usb/devices/{device}/product");
        yield return new(ClaimLayer.HandOver, "bus and port", device);
        yield return new(ClaimLayer.Guest, "it is there", "lsusb");
    }

    private static IEnumerable<ClaimLine> Node(DeviceMap map, DeviceNeed need, string device)
    {
        var node = NodeOf(map, need, device);
        if (map.Host.Hardware.Function(device) is not null)
        {
            yield return new(ClaimLayer.Host, "which driver has it", $"lspci -nnk -s {Short(device)}");
        }

        yield return new(ClaimLayer.Host, "its nodes", $"ls -l {node}");
        yield return new(ClaimLayer.Host, "the group that may use them", $"stat -L -c '%n %G %g' {node}");
        yield return new(
            ClaimLayer.Guest,
            "they are there, with a group that is known",
            $"ls -ln {(node.StartsWith("/dev/dri", StringComparison.Ordinal) ? "/dev/dri" : Folder(node))}"
        );
        yield return new(
            ClaimLayer.App,
            "they are there too",
            $"ls -ln {(node.StartsWith("/dev/dri", StringComparison.Ordinal) ? "/dev/dri" : Folder(node))}"
        );
    }

    private static IEnumerable<ClaimLine> Slice(string device)
    {
        yield return new(ClaimLayer.Host, "how many it gives", $"cat /sys/bus/pci/devices/{device}/sriov_totalvfs");
        yield return new(ClaimLayer.HandOver, "cut one", $"echo 1 > /sys/bus/pci/devices/{device}/sriov_numvfs");
        yield return new(ClaimLayer.HandOver, "its address", $"readlink /sys/bus/pci/devices/{device}/virtfn0");
        yield return new(ClaimLayer.Guest, "it is there", "lspci -nnk");
        yield return new(ClaimLayer.Back, "none again", $"echo 0 > /sys/bus/pci/devices/{device}/sriov_numvfs");
    }

    private static string Folder(string node) => node[..node.LastIndexOf('/')];

    /// <summary>The bus of a port, as the kernel's nodes write it: three digits.</summary>
    private static string Bus(string port) => int.TryParse(port.Split('-')[0], out var bus) ? bus.ToString("000") : "001";

    /// <summary>An address without its domain where that is 0, as most print it.</summary>
    private static string Short(string address) => address.StartsWith("0000:", StringComparison.Ordinal) ? address[5..] : address;
}
