using Yuntak.Core.Base;
using Yuntak.Data;
using Yuntak.Web.Rooms;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages;

/// <summary>Finds hosts, guests, findings, profiles and pages by their names, room by room.</summary>
public sealed class FindModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    private const int Most = 12;

    /// <summary>How a search begins that is meant to ask for a service: «add cameras 4».</summary>
    private const string Add = "add ";

    public string Query { get; private set; } = "";

    public IReadOnlyList<Hit> Found { get; private set; } = [];

    public void OnGet(string? q)
    {
        Query = Names.Clean(q);
        Found =
            Query.Length == 0 ? []
            : Query.StartsWith(Add, StringComparison.OrdinalIgnoreCase)
                ? [.. House.Rooms.SelectMany(r => r.Asked(Desk, Query[Add.Length..])).Take(Most)]
            :
            [
                .. House
                    .Rooms.SelectMany(r => r.Answers(Desk))
                    .Where(h => Matches(h.Name) || Matches(h.What))
                    .OrderByDescending(h => Matches(h.Name))
                    .ThenBy(h => h.Kind)
                    .Take(Most),
            ];
    }

    private bool Matches(string text) => text.Contains(Query, StringComparison.OrdinalIgnoreCase);
}
