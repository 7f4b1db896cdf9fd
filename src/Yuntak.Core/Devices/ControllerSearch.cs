using Yuntak.Core.Labs;

namespace Yuntak.Core.Devices;

/// <summary>Which controller a stick is on, while nothing read says so: the order of tries that needs the fewest, and what was tried already.</summary>
/// <param name="Looked">What is looked for.</param>
/// <param name="Left">The controllers that are left to try: those whose handing over takes the least along first.</param>
/// <param name="Stay">Controllers the host needs, which are never tried, each with the reason.</param>
/// <param name="Tried">What was tried.</param>
public sealed record ControllerSearch(
    string Looked,
    IReadOnlyList<PciFunction> Left,
    IReadOnlyList<HostNeed> Stay,
    IReadOnlyList<DeviceTry> Tried
)
{
    /// <summary>The controller it was seen on; null while it was not.</summary>
    public string? Found => Tried.LastOrDefault(t => t.Seen)?.Controller;

    /// <summary>How many tries it takes on average when each controller is as likely: (k + 1) ÷ 2 for k of them.</summary>
    public double Expected => Left.Count == 0 ? 0 : (Left.Count + 1) / 2.0;

    /// <summary>How many tries it takes at worst: as many as there are controllers. One listing before and one after takes one.</summary>
    public int Worst => Left.Count;

    /// <summary>The search on a host.</summary>
    /// <param name="map">The map of the host.</param>
    /// <param name="looked">What is looked for.</param>
    public static ControllerSearch For(DeviceMap map, string looked)
    {
        List<DeviceTry> tried = [.. map.Host.Tries.Where(t => string.Equals(t.Looked, looked, StringComparison.OrdinalIgnoreCase))];
        var controllers = map.Host.Hardware.Functions.Where(DeviceSorts.IsUsbController).ToList();
        var stay = controllers
            .Select(c => (c.Address, Need: map.TrayOf(c.Address)!.NeededByHost.Select(n => n.Why).FirstOrDefault()))
            .Where(c => c.Need is not null)
            .Select(c => new HostNeed(c.Address, c.Need!))
            .ToList();
        return new ControllerSearch(
            looked,
            [
                .. controllers
                    .Where(c => !stay.Exists(s => s.What == c.Address) && !tried.Exists(t => t.Controller == c.Address))
                    .OrderBy(c => map.TrayOf(c.Address)!.Moves.Count() - 1 + map.On(c.Address).Count(u => !u.Device.Hub)),
            ],
            stay,
            tried
        );
    }
}
