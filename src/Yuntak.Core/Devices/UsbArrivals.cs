using Yuntak.Core.Labs;

namespace Yuntak.Core.Devices;

/// <summary>Which USB devices are there now that were not there before: one before-and-after listing in place of a try at each controller.</summary>
public static class UsbArrivals
{
    /// <summary>The devices that came, with their controllers; hubs apart.</summary>
    public static IReadOnlyList<UsbPlace> Between(Hardware before, Hardware after) =>
        [
            .. after
                .UsbDevices.Where(d => !d.Hub && before.UsbDevices.All(b => b.Port != d.Port || b.Id != d.Id))
                .Select(d => UsbPlace.Of(after, d)),
        ];
}
