using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Stations;
using Yuntak.Core.Wants;
using Yuntak.Data;
using Yuntak.Web.Pages.Disks;
using Yuntak.Web.Pages.Kit;
using Yuntak.Web.Pages.Runbook;
using Yuntak.Web.Pages.Wants;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Bench;

/// <summary>The main screen: what is put where, and whether it fits.</summary>
public sealed class IndexModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    public override Station? Here => Station.Bench;

    /// <summary>From so many guests on, boards are drawn when they are opened. A household's are all drawn.</summary>
    private const int ManyGuests = 150;

    /// <summary>The most guests without a host that are shown at once.</summary>
    public const int MostInTray = 120;

    private HashSet<HostId> drawn = [];

    /// <summary>The guest that is open, if any.</summary>
    public Sizing? Chosen { get; private set; }

    /// <summary>Whether a host's board is drawn; else it is one line that can be opened, and guests can be dropped on it all the same.</summary>
    public bool IsDrawn(HostId host) => drawn.Contains(host) || Desk.Lab.Guests.Count <= ManyGuests;

    /// <param name="guest">The guest to open.</param>
    /// <param name="board">The host whose board to draw, in a lab with very many guests.</param>
    public void OnGet(string? guest, string? board)
    {
        var found = guest is null ? null : Desk.Lab.Guest(new GuestId(guest));
        Chosen = found is null ? null : Desk.Assessment.Guest(found.Id);
        HostId?[] open = [board is null ? null : new HostId(board), found is null ? null : Desk.Lab.HostOf(found)?.Id];
        drawn = open.OfType<HostId>().DefaultIfEmpty(Desk.Lab.Hosts.Count > 0 ? Desk.Lab.Hosts[0].Id : default).ToHashSet();
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

    /// <summary>Says where an app stack's engine runs.</summary>
    public Task<IActionResult> OnPostNestAsync(string guest, string? engine)
    {
        var id = new GuestId(guest);
        Edit edit = engine switch
        {
            null or "" => lab => OutOf(lab, id),
            GuestForm.OwnContainer => NestingEdits.RunInEngineOfItsOwn(id, GuestKind.SystemContainer),
            GuestForm.OwnMachine => NestingEdits.RunInEngineOfItsOwn(id, GuestKind.Machine),
            _ => NestingEdits.RunIn(id, new GuestId(engine)),
        };
        return ChangeAsync(edit, then: $"/Bench?guest={Uri.EscapeDataString(guest)}");
    }

    /// <summary>Says where a guest may be when guests are arranged.</summary>
    public Task<IActionResult> OnPostWhereAsync(
        string guest,
        bool pinned,
        bool survives,
        string? apart,
        string? together,
        [FromForm(Name = "may-be")] GuestKind[]? mayBe
    ) =>
        ChangeAsync(
            PlaceEdits.Say(new GuestId(guest), pinned, survives, Listed(apart), Listed(together), (mayBe ?? []).Where(Enum.IsDefined)),
            then: $"/Bench?guest={Uri.EscapeDataString(guest)}"
        );

    private static string[] Listed(string? names) =>
        (names ?? "").Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);

    /// <summary>Onto the host its outer guest is on, or off every host when that one is on none.</summary>
    private static Changed OutOf(Lab lab, GuestId id) =>
        lab.Guest(id) is { } guest && lab.HostOf(guest) is { } host ? GuestEdits.Place(id, host.Id)(lab) : GuestEdits.TakeOff(id)(lab);

    private static string? Named(string? pool) => string.IsNullOrEmpty(pool) ? null : pool;
}
