using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Yuntak.Core.Arranging;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Data;
using Yuntak.Web.Arranging;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Bench;

/// <summary>Where everything belongs: what is asked, how far the search is, and the proposal, drawn beside what is.</summary>
public sealed class ArrangeModel(DeskService desks, LabStore store, ArrangeDesk arranging) : LabPageModel(desks, store)
{
    private const int MostParts = LabShapes.MostGuests;

    public override Station? Here => Station.Bench;

    /// <summary>What is asked.</summary>
    public ArrangeForm Form { get; private set; } = new();

    /// <summary>The search that is shown; null for none.</summary>
    public ArrangeJob? Job { get; private set; }

    /// <summary>The search this page waits for; null for none. Looked at once, since it may end while the page is made.</summary>
    public ArrangeJob? Waiting { get; private set; }

    /// <summary>What was found, for the lab as it is; null while nothing is.</summary>
    public Arrangement? Found { get; private set; }

    /// <summary>The parts that are ticked.</summary>
    public IReadOnlySet<GuestId> Ticked { get; private set; } = new HashSet<GuestId>();

    /// <summary>What the ticked parts would do by themselves; null while nobody asked.</summary>
    public Verdict? Mixture { get; private set; }

    /// <summary>The ghosts: every host as it is and as it would be with the ticked parts.</summary>
    public IReadOnlyList<GhostBoard> Boards { get; private set; } = [];

    /// <summary>Whether the plan has changed since the search began.</summary>
    public bool Stale => Job is not null && Job.Key.Draft != Desk.Draft.Revision;

    /// <param name="job">The search to show.</param>
    /// <param name="empty">A host that is to be emptied, from its board.</param>
    public void OnGet(string? job, string? empty)
    {
        Job = arranging.Find(job) ?? (job is null && empty is null ? arranging.Last(Desk) : null);
        Waiting = Job is { Ended: false } ? Job : null;
        Form =
            Job is not null ? ArrangeForm.From(Job.Key.Ask)
            : empty is not null && Desk.Lab.Host(new HostId(empty)) is not null ? new ArrangeForm(Empty: empty)
            : new ArrangeForm();
        Refusal ??= Job?.Trouble;
        if (Waiting is null)
        {
            Show(null);
        }
    }

    /// <summary>How far a search is, for the page that waits for it.</summary>
    public IActionResult OnGetProgress(string? job)
    {
        var found = arranging.Find(job);
        if (found is null || found.Ended)
        {
            Response.Headers["HX-Redirect"] = $"/Bench/Arrange{(found is null ? "" : $"?job={found.Id}")}";
        }

        return Partial("_ArrangeProgress", found);
    }

    /// <summary>Begins a search, or joins the one that is under way.</summary>
    public IActionResult OnPostStart(string? scope, string? empty, bool survive, string? prefer, string? offers, string? seconds)
    {
        Form = new ArrangeForm(scope ?? "all", empty ?? "", survive, prefer == "even", offers ?? "none", seconds ?? "");
        try
        {
            return Redirect($"/Bench/Arrange?job={arranging.Begin(Desk, Form.Read(Desk.Lab)).Id}");
        }
        catch (Refused refused)
        {
            Refusal = refused.Message;
            return Page();
        }
    }

    /// <summary>Stops a search.</summary>
    public IActionResult OnPostStop(string? job)
    {
        arranging.Stop(job);
        return Redirect("/Bench/Arrange");
    }

    /// <summary>Accepts what is ticked. Of a part only it is first shown what that part does by itself.</summary>
    /// <param name="take">The parts that are ticked.</param>
    /// <param name="buy">The offers that are bought for them.</param>
    /// <param name="job">The search they are from.</param>
    /// <param name="all">How many parts there are.</param>
    /// <param name="seen">What was shown before: the parts, by their number.</param>
    /// <param name="look">Whether to look only.</param>
    public Task<IActionResult> OnPostAcceptAsync(string[]? take, string[]? buy, string? job, int all, string? seen, bool look)
    {
        var parts = take ?? [];
        var asked = string.Join(' ', parts.Select(p => p.GetHashCode(StringComparison.Ordinal)).Order());
        if (look || (parts.Length < all && seen != asked))
        {
            return Task.FromResult<IActionResult>(Look(parts, buy ?? [], job, asked));
        }

        return ChangeAsync(lab => Accept(parts, buy ?? [])(lab), then: "/Bench");
    }

    /// <summary>What the parts that were looked at are known by.</summary>
    public string Seen { get; private set; } = "";

    /// <summary>Adds a host that could be bought, or changes it.</summary>
    public Task<IActionResult> OnPostOfferAsync() =>
        ChangeAsync(
            lab => PlaceEdits.Offer(FormFields.Of(Request.Form).Into(OfferShapes.Offer, OfferShapes.Offer.Blank))(lab),
            then: "/Bench/Arrange#offers"
        );

    /// <summary>Takes an offer out.</summary>
    public Task<IActionResult> OnPostDropOfferAsync(string name) => ChangeAsync(PlaceEdits.DropOffer(name), then: "/Bench/Arrange#offers");

    private static Edit Accept(string[] parts, string[] offers) =>
        parts.Length > MostParts
            ? throw new Refused("Those are more parts than a lab holds guests.")
            : ArrangeEdits.Accept([.. parts.Select(TakenPart.Read)], offers);

    private PageResult Look(string[] parts, string[] offers, string? job, string asked)
    {
        try
        {
            Job = arranging.Find(job);
            if (Job is null)
            {
                throw new Refused("That search is forgotten. Arrange once more; nothing was changed.");
            }

            Form = ArrangeForm.From(Job.Key.Ask);
            var after =
                parts.Length == 0
                    ? Desk.Assessment
                    : Assessment.Of(Accept(parts, offers)(Desk.Lab).Lab, Desk.Assessment.Today).From(Desk.AsBuilt.Lab);
            Mixture = Verdict.Between(Desk.Assessment, after);
            Seen = asked;
            Show(parts.Select(p => TakenPart.Read(p).Guest).ToHashSet());
        }
        catch (Refused refused)
        {
            Refusal = refused.Message;
            Show(null);
        }

        return Page();
    }

    private void Show(HashSet<GuestId>? ticked)
    {
        if (Job?.Result is not { } found || Stale)
        {
            return;
        }

        Found = found;
        var takes = ArrangeEdits.All(found);
        // What is only planned and would come off is for the person to tick.
        Ticked = ticked ?? takes.Where(t => t.Place is not null).Select(t => t.Guest).ToHashSet();
        Boards = GhostBoard.Of(Desk.Assessment, [.. takes.Where(t => Ticked.Contains(t.Guest))], found.Bought);
    }
}
