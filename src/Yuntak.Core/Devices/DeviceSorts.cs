using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Devices;

/// <summary>Which devices of a host would meet a need. Functions are told by their class code, as published; USB devices carry no class here and are told by what they call themselves.</summary>
internal static class DeviceSorts
{
    private static readonly Dictionary<DeviceNeed, string[]> Words = new()
    {
        [DeviceNeed.RadioStick] = ["radio"],
        [DeviceNeed.SerialAdapter] = ["serial", "uart"],
        [DeviceNeed.AiAccelerator] = ["ai", "accelerator", "neural", "tpu", "npu"],
        [DeviceNeed.Sound] = ["sound", "audio", "headset"],
    };

    /// <summary>Words of what is surely no stick anybody looks for.</summary>
    private static readonly string[] OfOthers =
    [
        "keyboard",
        "mouse",
        "hub",
        "reader",
        "battery",
        "webcam",
        "camera",
        "printer",
        "disk",
        "storage",
        "flash",
        "receiver",
    ];

    /// <summary>Drivers that show a picture from a memory the firmware set up, and do nothing else.</summary>
    private static readonly string[] PictureOnly = ["simpledrm", "simple-framebuffer", "efifb", "vesafb", "efi-framebuffer"];

    /// <summary>The devices: addresses of functions and paths of USB ports, those that are surely of the sort first. Where some surely are, what only may be is left out.</summary>
    public static IEnumerable<string> Of(Host host, DeviceNeed need)
    {
        var functions = host.Hardware.Functions.Where(f => Is(f, need)).Select(f => f.Address).Distinct(StringComparer.Ordinal);
        if (!MayBeUsb(need))
        {
            return functions;
        }

        List<UsbDevice> plugged = [.. host.Hardware.UsbDevices.Where(d => !d.Hub && !d.BatteryLink)];
        List<UsbDevice> sure = [.. plugged.Where(d => Says(d, Words[need]))];
        var sticks =
            sure.Count > 0 ? sure
            : need is DeviceNeed.RadioStick or DeviceNeed.SerialAdapter ? plugged.Where(d => !IsOtherThan(d, need))
            : [];
        return functions.Concat(sticks.Select(d => d.Port).Distinct(StringComparer.Ordinal));
    }

    /// <summary>The need a function would meet, by its class code; «other» for what is of no sort that is named.</summary>
    public static DeviceNeed NeedOf(PciFunction? function) =>
        function is null ? DeviceNeed.Other : Enum.GetValues<DeviceNeed>().Where(n => Is(function, n)).FirstOrDefault(DeviceNeed.Other);

    /// <summary>The need a USB device would meet, by what it calls itself.</summary>
    public static DeviceNeed NeedOf(UsbDevice device) =>
        Words.Where(w => Says(device, w.Value)).Select(w => w.Key).FirstOrDefault(DeviceNeed.Other);

    /// <summary>Whether a device node that is mapped into an app stack already is one that meets a need, by the names the kernel gives (its list of devices).</summary>
    public static bool IsNodeFor(string node, DeviceNeed need) =>
        need switch
        {
            DeviceNeed.VideoEncoder => Below(node, "/dev/dri"),
            DeviceNeed.AiAccelerator => Below(node, "/dev/accel") || Below(node, "/dev/bus/usb"),
            DeviceNeed.RadioStick or DeviceNeed.SerialAdapter => Below(node, "/dev/serial")
                || node.StartsWith("/dev/ttyUSB", StringComparison.Ordinal)
                || node.StartsWith("/dev/ttyACM", StringComparison.Ordinal),
            DeviceNeed.Sound => Below(node, "/dev/snd"),
            DeviceNeed.DiskController or DeviceNeed.NetworkPort or DeviceNeed.Other => false,
        };

    /// <summary>Whether what meets a need may hang on a USB port.</summary>
    public static bool MayBeUsb(DeviceNeed need) => Words.ContainsKey(need);

    /// <summary>Whether a function is a USB controller (PCI class 0c03).</summary>
    public static bool IsUsbController(PciFunction function) => function.ClassCode == "0c03";

    /// <summary>Whether the kernel makes no device node for a function that a container could share: bridges, controllers and network cards.</summary>
    public static bool HasNoNode(PciFunction function) =>
        IsUsbController(function)
        || function.ClassCode.StartsWith("06", StringComparison.Ordinal)
        || Is(function, DeviceNeed.DiskController)
        || Is(function, DeviceNeed.NetworkPort);

    /// <summary>Whether what drives a graphics card only shows a picture and cannot convert video.</summary>
    public static bool OnlyShowsAPicture(PciFunction function) =>
        function.IsGraphics && function.Driver is { } driver && PictureOnly.Contains(driver, StringComparer.Ordinal);

    /// <summary>Whether a USB device says what it is, so that it is surely no disk and no network adapter.</summary>
    public static bool SaysWhatItIs(UsbDevice device) =>
        Words.Values.Any(w => Says(device, w)) || Says(device, ["keyboard", "mouse", "webcam", "camera", "printer"]);

    private static bool IsOtherThan(UsbDevice device, DeviceNeed need) =>
        Says(device, OfOthers) || Words.Any(w => w.Key != need && Says(device, w.Value));

    private static bool Is(PciFunction function, DeviceNeed need) =>
        need switch
        {
            DeviceNeed.VideoEncoder => function.IsGraphics,
            DeviceNeed.AiAccelerator => function.ClassCode.StartsWith("12", StringComparison.Ordinal),
            DeviceNeed.DiskController => function.ClassCode.StartsWith("01", StringComparison.Ordinal),
            DeviceNeed.NetworkPort => function.ClassCode.StartsWith("02", StringComparison.Ordinal),
            DeviceNeed.Sound => function.ClassCode == "0403",
            DeviceNeed.RadioStick or DeviceNeed.SerialAdapter or DeviceNeed.Other => false,
        };

    private static bool Below(string node, string folder) => node == folder || node.StartsWith(folder + "/", StringComparison.Ordinal);

    private static bool Says(UsbDevice device, string[] words) =>
        device.Name?.ToLowerInvariant().Split([' ', '-', '_', '/', ','], StringSplitOptions.RemoveEmptyEntries).Any(words.Contains) == true;
}
