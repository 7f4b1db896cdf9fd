using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Wants;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Bench;

/// <summary>The main screen: what is put where, and whether it fits.</summary>
public sealed class IndexModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    public override Station? Here => Station.Bench;

    /// <summary>The guest that is open, if any.</summary>
    public Sizing? Chosen { get; private set; }

    public void OnGet(string? guest)
    {
        var found = guest is null ? null : Desk.Lab.Guest(new GuestId(guest));
        Chosen = found is null ? null : Desk.Assessment.Guest(found.Id);
    }

    /// <summary>Puts a guest on a host, or takes it off when no host is named.</summary>
    public Task<IActionResult> OnPostPlaceAsync(string guest, string? host)
    {
        var id = new GuestId(guest);
        return ChangeAsync(
            string.IsNullOrEmpty(host) ? GuestEdits.TakeOff(id) : GuestEdits.Place(id, new HostId(host)),
            then: $"/Bench?guest={Uri.EscapeDataString(guest)}"
        );
    }

    /// <summary>Puts a guest's volumes into other pools.</summary>
    public Task<IActionResult> OnPostPoolsAsync(
        string guest,
        [FromForm(Name = "system-pool")] string? systemPool,
        [FromForm(Name = "bulk-pool")] string? bulkPool
    ) =>
        ChangeAsync(
            GuestEdits.UsePools(new GuestId(guest), Named(systemPool), Named(bulkPool)),
            then: $"/Bench?guest={Uri.EscapeDataString(guest)}"
        );

    private static string? Named(string? pool) => string.IsNullOrEmpty(pool) ? null : pool;
}
