using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Wants;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Wants;

/// <summary>Asks what a service should do and how much of it, and shows the size it comes to.</summary>
public sealed class GuestModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    public override Station? Here => Station.Wants;

    /// <summary>The guest being changed; null for a new one.</summary>
    public string? Id { get; private set; }

    /// <summary>The profiles of its wants; none until one is chosen.</summary>
    public IReadOnlyList<Profile> Profiles { get; private set; } = [];

    public GuestForm Form { get; private set; } = null!;

    /// <summary>The size the form comes to; null while something in it is wrong.</summary>
    public Sizing? Sizing { get; private set; }

    /// <summary>Why there is no size.</summary>
    public string? SizeProblem { get; private set; }

    /// <summary>The profiles there are.</summary>
    public ProfileBook Book => Desk.Lab.Book;

    /// <summary>The same want packaged in the three ways.</summary>
    public IEnumerable<(GuestKind Kind, MemoryShare Share, string Means)> SideBySide =>
        Enum.GetValues<GuestKind>()
            .Select(kind =>
            {
                var guest = Sizing!.Guest with { Kind = kind };
                return (kind, new MemoryShare(guest, Sizing.Of(guest, Book)), Means(kind));
            });

    public IActionResult OnGet(string? id, string? profile)
    {
        if (id is not null)
        {
            return Edit(id) is { } guest ? Show(guest) : NotFound();
        }

        if (profile is not null && Book.Find(profile) is { } chosen)
        {
            Profiles = [chosen];
            Form = GuestForm.New(chosen) with
            {
                Loads = Request
                    .Query.Where(q => q.Key.StartsWith("load-0-", StringComparison.Ordinal))
                    .ToDictionary(q => q.Key, q => q.Value.ToString(), StringComparer.Ordinal),
            };
            TrySize(posted: false);
        }

        return Page();
    }

    /// <summary>Sizes what is in the form, without keeping it.</summary>
    public IActionResult OnPostSize()
    {
        ReadForm();
        TrySize(posted: true);
        return Page();
    }

    /// <summary>Adds one want more to the form, without keeping it yet.</summary>
    public IActionResult OnPostAlso(string? id, string? also)
    {
        if (id is not null && Edit(id) is null)
        {
            return NotFound();
        }

        ReadForm();
        if (Book.Find(also ?? "") is { } added)
        {
            Profiles = [.. Profiles, added];
        }

        TrySize(posted: true);
        return Page();
    }

    /// <summary>Makes one of its wants a guest of its own.</summary>
    public Task<IActionResult> OnPostSplitAsync(string id, int want) =>
        ChangeAsync(GuestEdits.Split(new GuestId(id), want), then: "/Wants");

    public async Task<IActionResult> OnPostAsync(string? id, string? then)
    {
        var before = id is null ? null : Edit(id);
        if (id is not null && before is null)
        {
            return NotFound();
        }

        ReadForm();
        if (Profiles.Count == 0)
        {
            return Page();
        }

        TrySize(posted: true);
        var result = await ChangeFromFormAsync(
            lab =>
                before is null
                    ? GuestEdits.Add(Form.ToGuest(Profiles, null, posted: true))(lab)
                    : GuestEdits.Change(before.Id, g => Form.ToGuest(Profiles, g, posted: true))(lab),
            "/Wants"
        );
        return then == "bench" && result is RedirectResult { Url: "/Wants" }
            ? Redirect($"/Bench?guest={Uri.EscapeDataString(await IdNowAsync(id))}")
            : result;
    }

    public Task<IActionResult> OnPostRemoveAsync(string id) => ChangeAsync(GuestEdits.Remove(new GuestId(id)), then: "/Wants");

    private async Task<string> IdNowAsync(string? id) => id ?? (await Store.HeadAsync(Pointer.Draft)).Lab.Guests[^1].Id.Value;

    private Guest? Edit(string id)
    {
        var guest = Desk.Lab.Guest(new GuestId(id));
        if (guest is not null)
        {
            Id = id;
            Profiles = [.. guest.Wants.Select(w => Book.Get(w.ProfileId))];
        }

        return guest;
    }

    private PageResult Show(Guest guest)
    {
        Form = GuestForm.Of(guest);
        TrySize(posted: false);
        return Page();
    }

    private void ReadForm()
    {
        Form = GuestForm.Read(Request.Form);
        Profiles = [.. Request.Form["profile"].Select(p => Book.Find(p ?? "")).OfType<Profile>()];
    }

    private void TrySize(bool posted)
    {
        if (Profiles.Count == 0)
        {
            return;
        }

        try
        {
            Sizing = Sizing.Of(Desk.Lab, Form.ToGuest(Profiles, Id is null ? null : Desk.Lab.Guest(new GuestId(Id)), posted));
        }
        catch (EditRefused refused)
        {
            SizeProblem = refused.Message;
        }
    }

    private static string Means(GuestKind kind) =>
        kind switch
        {
            GuestKind.Machine => "its own kernel: best kept apart, takes whole devices, can move while running; starts in a minute",
            GuestKind.SystemContainer =>
                "shares the host's kernel: light, shares a graphics chip, starts in seconds; no network mounts of its own",
            _ => "images and folders: lightest, updated by tag, easy to roll back; needs a container engine",
        };
}
