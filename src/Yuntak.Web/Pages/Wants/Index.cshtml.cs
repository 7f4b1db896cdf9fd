using Yuntak.Core.Findings;
using Yuntak.Core.Wants;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Wants;

/// <summary>What is asked for, each as one line with its size; those not placed first, the rest by family.</summary>
public sealed class IndexModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    public override Station? Here => Station.Wants;

    public IEnumerable<Group> Groups
    {
        get
        {
            var lab = Desk.Assessment;
            var waiting = lab.NotPlaced.ToList();
            if (waiting.Count > 0)
            {
                yield return new Group(null, "Not placed yet", waiting);
            }

            foreach (var family in lab.Guests.Where(g => !waiting.Contains(g)).GroupBy(g => g.Leading.Family).OrderBy(g => g.Key))
            {
                yield return new Group(family.Key, FamilyWords.Of(family.Key), [.. family]);
            }
        }
    }

    public void OnGet() { }

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
