using Yuntak.Core.Labs;

namespace Yuntak.Core.Devices;

/// <summary>A USB device with the controller it hangs on.</summary>
/// <param name="Device">The device.</param>
/// <param name="Controller">The function that owns its bus; null when that was not read.</param>
/// <param name="Group">The isolation group of that function; null when that was not read.</param>
public sealed record UsbPlace(UsbDevice Device, string? Controller, int? Group)
{
    /// <summary>Where a device hangs, as far as that was read.</summary>
    internal static UsbPlace Of(Hardware hardware, UsbDevice device)
    {
        var controller = hardware.ControllerOf(device.Port);
        return new UsbPlace(device, controller, hardware.Function(controller)?.Group);
    }
}
