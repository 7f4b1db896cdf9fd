using Yuntak.Core.Findings;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Rooms;

/// <summary>Copies that come back.</summary>
public sealed class KeepingRoom : Room
{
    public override Station? Station => Core.Findings.Station.Keeping;

    public override IReadOnlyList<RoomPage> Pages =>
        [
            new("/Keeping", new Picture("keeping", Height: 1100)),
            new("/Keeping?ago=38&than=daily%2014,%20monthly%206&school=stacked"),
            new("/Keeping?back=180&daily=14") { IsView = false },
            new("/Keeping?from=21:00&until=06:30") { IsView = false },
            new("/Keeping?guest=lantern&job=films") { IsView = false },
            new("/Keeping/Plan"),
            new("/Keeping/Plan?job=nightly") { IsView = false },
            new("/Keeping/Drills"),
            new("/Keeping/Keys") { IsView = false },
            new("/Keeping/Sheet"),
        ];

    public override IEnumerable<Hit> Answers(Desk desk) =>
        desk
            .Lab.Stores.Select(s => new Hit(HitKind.Thing, $"store {s.Name}", "where copies lie", $"/Keeping/Plan?store={Escaped(s.Name)}"))
            .Concat(
                desk.Lab.Jobs.Select(j => new Hit(
                    HitKind.Thing,
                    $"job {j.Name}",
                    $"copies into {j.Store}",
                    $"/Keeping/Plan?job={Escaped(j.Name)}"
                ))
            )
            .Append(new Hit(HitKind.Page, "Stores and jobs", "what is copied where, and when", "/Keeping/Plan"))
            .Append(new Hit(HitKind.Page, "Drills", "restores that are tried, copies that are there", "/Keeping/Drills"))
            .Append(new Hit(HitKind.Page, "Key sheet", "what key opens what, and where its copies lie", "/Keeping/Keys"))
            .Append(new Hit(HitKind.Page, "If I am not there", "one page for the household", "/Keeping/Sheet"));
}
