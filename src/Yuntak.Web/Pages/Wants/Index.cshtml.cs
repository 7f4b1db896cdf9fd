using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Wants;
using Yuntak.Data;
using Yuntak.Web.Pages.Bench;
using Yuntak.Web.Pages.Disks;
using Yuntak.Web.Pages.Kit;
using Yuntak.Web.Pages.Runbook;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Wants;

/// <summary>What is asked for, each as one line with its size; those not placed first, the rest by family.</summary>
public sealed class IndexModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    public override Station? Here => Station.Wants;

    private const int AtOnce = 80;

    /// <summary>Which of them are shown.</summary>
    public Paging Parts => Paging.Of(Desk.Lab.Guests.Count, AtOnce, Part, "guests");

    /// <summary>The part that is asked for.</summary>
    [BindProperty(Name = "part", SupportsGet = true)]
    public int? Part { get; set; }

    /// <summary>The blocks of the list, with the guests of this part.</summary>
    public IEnumerable<Group> Groups =>
        Parts
            .Of(Ordered())
            .GroupBy(g => g.Family)
            .Select(g => new Group(g.Key, g.Key?.Words() ?? "Not placed yet", [.. g.Select(x => x.Guest)]));

    /// <summary>Those not placed first, the rest by family.</summary>
    private IEnumerable<(Family? Family, Sizing Guest)> Ordered()
    {
        var placed = Desk.Assessment.Guests.ToLookup(g => Desk.Assessment.HostOf(g.Guest) is not null);
        return placed[false]
            .Select(g => ((Family?)null, g))
            .Concat(placed[true].OrderBy(g => g.Leading.Family).Select(g => ((Family?)g.Leading.Family, g)));
    }

    /// <summary>What can be done to several guests at once, with the words for it.</summary>
    public static readonly IReadOnlyList<(string Value, string Words)> BulkChanges =
    [
        .. LabWords.Importances.Values.Select(i => (LabWords.Importances.Word(i), i.Words())),
        .. ProfileWords.Kinds.Values.Select(k => (ProfileWords.Kinds.Word(k), $"become {k.Words()}s")),
        ("advice", "follow the advice again"),
        ("stand", "run already"),
        ("to-build", "are to be built"),
        ("take-off", "come off their hosts"),
        ("remove", "leave the lab"),
    ];

    /// <summary>The guests that were ticked when a change was refused.</summary>
    public IReadOnlySet<string> Ticked { get; private set; } = new HashSet<string>();

    /// <summary>The change that was refused.</summary>
    public string? BulkChange { get; private set; }

    public void OnGet() { }

    /// <summary>Does one thing to all guests that are ticked.</summary>
    public Task<IActionResult> OnPostBulkAsync(string[] guests, string? change)
    {
        Ticked = guests.ToHashSet(StringComparer.Ordinal);
        BulkChange = change;
        List<GuestId> ids = [.. guests.Distinct(StringComparer.Ordinal).Select(g => new GuestId(g))];
        var then = Part is { } shown ? $"/Wants?part={shown}" : "/Wants";
        if (change is "stand" or "to-build")
        {
            return StandAsync(
                draft =>
                    ids.Count == 0 ? throw new Refused("Tick the guests it should happen to first.")
                    : change == "stand" ? Standing.TakeGuests(draft, ids)
                    : Standing.LetGuestsGo(ids),
                then
            );
        }

        return ChangeFromFormAsync(
            LabWords.Importances.TryRead(change, out var importance) ? BulkEdits.Matter(ids, importance)
                : ProfileWords.Kinds.TryRead(change, out var kind) ? BulkEdits.Package(ids, kind)
                : change switch
                {
                    "advice" => BulkEdits.FollowAdvice(ids),
                    "take-off" => BulkEdits.TakeOff(ids),
                    "remove" => BulkEdits.Remove(ids),
                    _ => _ => throw new Refused("Choose what should happen to them."),
                },
            then
        );
    }

    /// <summary>What is asked for in one line: «photo and file cloud, 5 people, 600 GB each».</summary>
    public static string Line(Sizing guest) =>
        string.Join(
            "; ",
            guest.Parts.Select(p =>
            {
                var said = p.Profile.Loads.Where(l => p.Load.WasSaid(l.Id)).Select(l => l.Words(p.Load[l.Id])).Where(w => w.Length > 0);
                return string.Join(", ", said.Prepend(p.Profile.Name));
            })
        );

    /// <summary>One block of the list.</summary>
    public sealed record Group(Family? Family, string Title, IReadOnlyList<Sizing> Guests);
}
