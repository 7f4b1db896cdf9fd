using Yuntak.Core.Labs;

namespace Yuntak.Core.Devices;

/// <summary>Which devices of a host would meet a need. Functions are told by their class code, as published; USB devices carry no class here, so any that is no hub may be a stick.</summary>
internal static class DeviceSorts
{
    private static readonly string[] Accelerators = ["ai", "accelerator", "neural", "tpu", "npu"];

    /// <summary>The devices: addresses of functions and paths of USB ports, those that are surely of the sort first.</summary>
    public static IEnumerable<string> Of(Host host, DeviceNeed need)
    {
        var functions = host.Hardware.Functions.Where(f => Is(f, need)).Select(f => f.Address);
        var sticks = need is DeviceNeed.RadioStick or DeviceNeed.SerialAdapter or DeviceNeed.AiAccelerator
            ? host
                .Hardware.UsbDevices.Where(d => !d.Hub && !d.BatteryLink && (need != DeviceNeed.AiAccelerator || Says(d, Accelerators)))
                .OrderByDescending(d => Says(d, need == DeviceNeed.SerialAdapter ? ["serial"] : ["radio"]))
                .Select(d => d.Port)
            : [];
        return functions.Concat(sticks);
    }

    /// <summary>The need a function would meet, by its class code; «other» for what is of no sort that is named.</summary>
    public static DeviceNeed NeedOf(PciFunction? function) =>
        function is null ? DeviceNeed.Other : Enum.GetValues<DeviceNeed>().Where(n => Is(function, n)).FirstOrDefault(DeviceNeed.Other);

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

    private static bool Says(UsbDevice device, string[] words) =>
        device.Name?.ToLowerInvariant().Split([' ', '-', '_'], StringSplitOptions.RemoveEmptyEntries).Any(words.Contains) == true;
}
