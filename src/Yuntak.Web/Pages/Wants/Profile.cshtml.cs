using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Wants;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Wants;

/// <summary>One profile: what it asks, what its sums are made of, how its day goes. Keeping it makes it the lab's own.</summary>
public sealed class ProfileModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    private static readonly Profile Blank = ProfileBook.Standard.Get("wiki") with
    {
        Id = "",
        Name = "",
        Summary = "",
        Advice = "",
        Loads = [],
        Ports = [],
    };

    public override Station? Here => Station.Wants;

    /// <summary>Its id; null for a new one.</summary>
    public string? Id { get; private set; }

    /// <summary>The id of the profile a new one is copied from.</summary>
    public string? Like { get; private set; }

    /// <summary>The profile as it stands, or what a new one starts from.</summary>
    public Profile Before { get; private set; } = Blank;

    public ProfileForm Form { get; private set; } = null!;

    /// <summary>Whether it is one of the lab's own.</summary>
    public bool IsOwn => Id is not null && Desk.Lab.Book.Own(Id) is not null;

    /// <summary>The sizes the form comes to with the usual load, packaged each way; none while something in it is wrong.</summary>
    public IReadOnlyList<Sizing> Sizes { get; private set; } = [];

    /// <summary>Everything that is wrong with what was typed.</summary>
    public IReadOnlyList<string> Problems { get; private set; } = [];

    /// <summary>The guests that follow it.</summary>
    public IEnumerable<Guest> Followers => Desk.Lab.Guests.Where(g => g.Wants.Any(w => w.ProfileId == Id));

    public IActionResult OnGet(string? id, string? like)
    {
        if (!Find(id, like))
        {
            return NotFound();
        }

        Form = ProfileForm.Of(Id is null && Like is not null ? Before with { Name = "" } : Before);
        TrySize();
        return Page();
    }

    /// <summary>Sizes what is in the form, without keeping it.</summary>
    public IActionResult OnPostSize(string? id, string? like)
    {
        if (!Find(id, like))
        {
            return NotFound();
        }

        Form = ProfileForm.Read(Request.Form);
        TrySize();
        return Page();
    }

    public async Task<IActionResult> OnPostAsync(string? id, string? like)
    {
        if (!Find(id, like))
        {
            return NotFound();
        }

        Form = ProfileForm.Read(Request.Form);
        return TrySize() is { } profile ? await ChangeFromFormAsync(ProfileEdits.Keep(profile), "/Wants/Profiles") : Page();
    }

    public Task<IActionResult> OnPostDropAsync(string id) => ChangeAsync(ProfileEdits.Drop(id), then: "/Wants/Profiles");

    private bool Find(string? id, string? like)
    {
        Id = id;
        Like = like;
        if ((id ?? like) is not { } known)
        {
            return true;
        }

        Before = Desk.Lab.Book.Find(known) ?? Blank;
        return Before != Blank;
    }

    /// <summary>The profile the form describes; null, with the problems noted, when something is wrong.</summary>
    private Profile? TrySize()
    {
        try
        {
            var profile = Form.ToProfile(Id ?? FreeId(Form["name"]), Before);
            Problems = [.. ProfileShapes.Profile.Problems(profile).Select(p => $"{p.Path}: {p.Text}")];
            if (Problems.Count > 0)
            {
                return null;
            }

            var book = ProfileBook.With([profile]);
            Sizes =
            [
                .. profile.Advised.Select(k =>
                    Sizing.Of(new Guest(new GuestId("usual"), profile.Name, k, [new Want(profile.Id)], SizeOverrides.None), book)
                ),
            ];
            return profile;
        }
        catch (Refused refused)
        {
            Problems = [refused.Message];
            return null;
        }
    }

    private string FreeId(string name) => Names.IdFrom(name, Desk.Lab.Book.All.Select(p => p.Id));
}
