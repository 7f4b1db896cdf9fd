using System.Text;
using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Devices;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Data;
using Yuntak.Formats.Intake;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Devices;

/// <summary>Which controller a stick is on: from readings at once, from a listing before and one after, or by the fewest tries, with a log of them.</summary>
public sealed class FindModel(DeskService desks, LabStore store, TimeProvider clock) : LabPageModel(desks, store)
{
    private const int LongestListing = 500_000;

    public override Station? Here => Station.Devices;

    /// <summary>The host that is looked at.</summary>
    [BindProperty(Name = "host", SupportsGet = true)]
    public string? HostId { get; set; }

    /// <summary>What is looked for.</summary>
    [BindProperty(Name = "looked", SupportsGet = true)]
    public string? Looked { get; set; }

    /// <summary>The listing before, as pasted.</summary>
    [BindProperty(Name = "before")]
    public string? Before { get; set; }

    /// <summary>The listing after, as pasted.</summary>
    [BindProperty(Name = "after")]
    public string? After { get; set; }

    /// <summary>The devices of the host that is looked at; null without a host.</summary>
    public HostDevices? Host =>
        (HostId is null ? null : Desk.Assessment.DevicesOf(new HostId(HostId)))
        ?? (Desk.Assessment.Devices.Count > 0 ? Desk.Assessment.Devices[0] : null);

    /// <summary>The search by tries.</summary>
    public ControllerSearch Search => ControllerSearch.For(Host!.Map, string.IsNullOrWhiteSpace(Looked) ? "radio stick" : Looked.Trim());

    /// <summary>What came between two listings; null while none were given.</summary>
    public IReadOnlyList<UsbPlace>? Came { get; private set; }

    public void OnGet() { }

    /// <summary>Compares two listings. They are not kept.</summary>
    public IActionResult OnPostCompare()
    {
        if (string.IsNullOrWhiteSpace(Before) || string.IsNullOrWhiteSpace(After))
        {
            Refusal = "Paste both: the listing from before the stick was plugged in, and the one from after.";
        }
        else if (Before.Length > LongestListing || After.Length > LongestListing)
        {
            Refusal =
                $"A listing is {LongestListing / 1_000} kB at most. Paste what lsusb -t, lsusb and the links below /sys/bus/usb/devices say.";
        }
        else
        {
            var (was, now) = (Read(Before), Read(After));
            if (was.UsbDevices.Count == 0 && now.UsbDevices.Count == 0)
            {
                Refusal = "No USB device is listed in either. Run the line shown, once before and once after.";
            }
            else
            {
                Came = UsbArrivals.Between(was, now);
            }
        }

        return Page();
    }

    /// <summary>Writes down a try.</summary>
    public Task<IActionResult> OnPostTriedAsync(string host, string looked, string controller, bool seen) =>
        ChangeAsync(DeviceEdits.Tried(new HostId(host), looked, controller, seen, clock.Today()), Back(host, looked));

    /// <summary>Forgets the tries.</summary>
    public Task<IActionResult> OnPostForgetAsync(string host, string looked) =>
        ChangeAsync(DeviceEdits.ForgetTries(new HostId(host), looked), Back(host, looked));

    private static string Back(string host, string looked) =>
        $"/Devices/Find?host={Uri.EscapeDataString(host)}&looked={Uri.EscapeDataString(looked)}";

    private static Hardware Read(string text)
    {
        using var stream = new MemoryStream(Encoding.UTF8.GetBytes(text));
        return IntakeReader.Read(stream).Hardware;
    }
}
