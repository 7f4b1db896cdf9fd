using System.Globalization;
using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages;

/// <summary>Finds hosts, guests, findings, profiles and pages by their names.</summary>
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
            : Query.StartsWith(Add, StringComparison.OrdinalIgnoreCase) ? [.. Asked(Query[Add.Length..]).Take(Most)]
            : [.. All().Where(h => Matches(h.Name) || Matches(h.What)).OrderByDescending(h => Matches(h.Name)).Take(Most)];
    }

    private bool Matches(string text) => text.Contains(Query, StringComparison.OrdinalIgnoreCase);

    private IEnumerable<Hit> Asked(string words) =>
        from ask in QuickAsk.Of(Desk.Lab.Book, words)
        let loads = string.Concat(
            ask.Load.Select(l => $"&load-0-{l.Id}={Uri.EscapeDataString(l.Value.ToString(CultureInfo.InvariantCulture))}")
        )
        select new Hit($"ask for: {ask.Words}", ask.Profile.Summary, $"/Wants/Guest?profile={ask.Profile.Id}{loads}");

    private IEnumerable<Hit> All()
    {
        foreach (var host in Desk.Lab.Hosts)
        {
            yield return new Hit(host.Name, $"host, {host.Description}", $"/Kit/Host/{Uri.EscapeDataString(host.Id.Value)}");
        }

        foreach (var guest in Desk.Assessment.Guests)
        {
            yield return new Hit(
                guest.Guest.Name,
                $"{guest.Guest.Kind.Words()}, {guest.Leading.Name}",
                $"/Bench?guest={Uri.EscapeDataString(guest.Guest.Id.Value)}"
            );
        }

        foreach (var finding in Desk.Assessment.Findings)
        {
            yield return new Hit(finding.Title, finding.Severity.ToString().ToLowerInvariant(), $"/{finding.Rule.Station}");
        }

        foreach (var profile in Desk.Lab.Book.All)
        {
            yield return new Hit($"ask for: {profile.Name}", profile.Summary, $"/Wants/Guest?profile={profile.Id}");
        }

        foreach (var station in Enum.GetValues<Station>())
        {
            yield return new Hit(station.ToString(), "station", $"/{station}");
        }

        foreach (var profile in Desk.Lab.Book.All)
        {
            yield return new Hit(
                $"profile: {profile.Name}",
                "what its sums are made of",
                $"/Wants/Profile/{Uri.EscapeDataString(profile.Id)}"
            );
        }

        yield return new Hit("Profiles", "how sizes follow from what is asked", "/Wants/Profiles");
        yield return new Hit("History", "every change, and the way back", "/History");
        yield return new Hit("Lab file", "read or write the whole lab", "/Lab");
        yield return new Hit("Add a host", "paste, upload or by hand", "/Kit#add");
        yield return new Hit("Rule book", "everything that is looked out for", "/Rules");
    }

    /// <summary>One thing found.</summary>
    public sealed record Hit(string Name, string What, string Link);
}
