using Yuntak.Core.Findings;
using Yuntak.Core.Stations;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Rooms;

/// <summary>What lies beside the route: every change there was, the whole lab as a file, the rule book, the search.</summary>
public sealed class Hall : Room
{
    public override Station? Station => null;

    public override IReadOnlyList<RoomPage> Pages =>
        [
            new("/") { IsView = false },
            new("/History", new Picture("history")),
            new("/Lab"),
            new("/Rules"),
            new("/Find?q=kiln"),
            new("/Find") { IsView = false },
            new("/Pass"),
            new("/SignIn"),
        ];

    public override IEnumerable<Hit> Answers(Desk desk) =>
        [
            .. desk.Assessment.Findings.Select(f => new Hit(
                HitKind.Finding,
                f.Title,
                f.Severity.ToString().ToLowerInvariant(),
                $"/{f.Rule.Station}"
            )),
            .. House.Rooms.Select(r => r.Station).OfType<Station>().Select(s => new Hit(HitKind.Station, s.ToString(), "station", $"/{s}")),
            .. RuleBook.Rules.Select(r => new Hit(
                HitKind.Rule,
                r.Info.Says,
                $"rule {r.Info.Id}{string.Concat(r.Info.Limits.Select(l => $", {l}"))}",
                $"/Rules#{r.Info.Id}"
            )),
            new(HitKind.Page, "History", "every change, and the way back", "/History"),
            new(HitKind.Page, "Lab file", "read or write the whole lab", "/Lab"),
            new(HitKind.Page, "From your phone", "address, pass phrase, certificate", "/Lab#reach"),
            new(HitKind.Page, "Backup", "all data as one file", "/Lab"),
            new(HitKind.Page, "Rule book", "everything that is looked out for", "/Rules"),
        ];
}
