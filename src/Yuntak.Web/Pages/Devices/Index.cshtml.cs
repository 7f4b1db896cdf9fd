using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Bench;
using Yuntak.Core.Devices;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Devices;

/// <summary>Who has which hardware: a loom for each host, and what becomes of a claim by every way.</summary>
public sealed class IndexModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    /// <summary>A loom is larger than a board.</summary>
    private const int LoomsAtOnce = 8;

    public override Station? Here => Station.Devices;

    /// <summary>The part of the hosts that is asked for.</summary>
    [BindProperty(Name = "part", SupportsGet = true)]
    public int? Part { get; set; }

    /// <summary>Which hosts are shown.</summary>
    public Paging Parts => Paging.OfHosts(Desk.Lab, Part, Request, LoomsAtOnce);

    /// <summary>The devices of every host.</summary>
    public IReadOnlyList<HostDevices> Hosts => Desk.Assessment.Devices;

    /// <summary>The claim that is open beside the loom, with its host.</summary>
    public (HostDevices Host, ClaimVerdict Verdict)? Open { get; private set; }

    /// <summary>The device that is open beside the loom, with its host.</summary>
    public (HostDevices Host, string Device)? OpenDevice { get; private set; }

    /// <summary>The guest the open device might go to.</summary>
    public Guest? For { get; private set; }

    /// <summary>The guests that are on a host and may ask for something.</summary>
    public IEnumerable<Guest> Placed => Desk.Lab.Guests.Where(g => Desk.Lab.HostOf(g) is not null);

    public IActionResult OnGet(string? host, string? guest, int? claim, string? device, [FromQuery(Name = "for")] string? to)
    {
        var found = host is null ? null : Desk.Assessment.DevicesOf(new HostId(host));
        if (found is null)
        {
            return Page();
        }

        var claims = found.Verdicts.Where(v => v.Guest.Id.Value == guest).ToList();
        if (claims.FirstOrDefault(v => v.Asked!.Number == claim) is { } open)
        {
            Open = (found, open);
        }
        else if (claims.Count > 0)
        {
            Open = (found, claims[0]);
        }
        else if (device is not null && (found.Map.At(device) is not null || found.Map.TrayOf(device) is not null))
        {
            OpenDevice = (found, device);
            For = to is null ? null : Desk.Lab.Guest(new GuestId(to));
        }

        return Page();
    }

    /// <summary>Meets a claim.</summary>
    public Task<IActionResult> OnPostTakeAsync(string guest, int claim, string need, string way, string device) =>
        ChangeAsync(lab => DeviceEdits.Take(new GuestId(guest), claim, Need(need), Way(way), device)(lab), Back(guest));

    /// <summary>Hands a device over, starting from the device.</summary>
    public Task<IActionResult> OnPostGiveAsync(string guest, string way, string device) =>
        ChangeAsync(lab => DeviceEdits.Give(new GuestId(guest), Way(way), device)(lab), Back(guest));

    /// <summary>Lets a claim go.</summary>
    public Task<IActionResult> OnPostGiveUpAsync(string guest, int claim, string need) =>
        ChangeAsync(lab => DeviceEdits.GiveUp(new GuestId(guest), claim, Need(need))(lab), "/Devices");

    /// <summary>Opens a claim again.</summary>
    public Task<IActionResult> OnPostOpenAsync(string guest, int claim, string need) =>
        ChangeAsync(lab => DeviceEdits.Open(new GuestId(guest), claim, Need(need))(lab), Back(guest));

    /// <summary>Asks again for what a guest goes without.</summary>
    public Task<IActionResult> OnPostWantAsync(string guest, string need) =>
        ChangeAsync(lab => DeviceEdits.WantAgain(new GuestId(guest), Need(need))(lab), Back(guest));

    /// <summary>Says whether a group is mapped.</summary>
    public Task<IActionResult> OnPostMappedAsync(string guest, int claim, string need, bool mapped) =>
        ChangeAsync(lab => DeviceEdits.Mapped(new GuestId(guest), claim, Need(need), mapped)(lab), Back(guest));

    /// <summary>Asks for a device more.</summary>
    public Task<IActionResult> OnPostAskAsync(string guest, string need, string? device) =>
        ChangeAsync(lab => DeviceEdits.Ask(new GuestId(guest), Need(need), device)(lab), Back(guest));

    /// <summary>Meets all claims that can be met.</summary>
    public Task<IActionResult> OnPostAssignAsync() => ChangeAsync(DeviceEdits.Assign(), "/Devices");

    /// <summary>Where a claim is shown: its guest's host and guest.</summary>
    private string Back(string guest) =>
        Desk.Lab.Guest(new GuestId(guest)) is { } known && Desk.Lab.HostOf(known) is { } host
            ? $"/Devices?host={Uri.EscapeDataString(host.Id.Value)}&guest={Uri.EscapeDataString(guest)}"
            : "/Devices";

    private static DeviceNeed Need(string word) => ProfileWords.Needs.Read(word, "What is needed");

    private static ClaimWay Way(string word) => LabWords.Ways.Read(word, "The way");
}
