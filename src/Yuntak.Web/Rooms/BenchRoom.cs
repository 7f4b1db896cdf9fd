using Yuntak.Core.Disks;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Stations;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Rooms;

/// <summary>Putting guests on hosts.</summary>
public sealed class BenchRoom : Room
{
    public override Station? Station => Core.Findings.Station.Bench;

    public override IReadOnlyList<RoomPage> Pages =>
        [
            new("/Bench", new Picture("bench"), new Picture("bench-phone", 390, 844)),
            new("/Bench?guest=lantern"),
            new("/Bench?guest=reelroom"),
            new("/Bench/Arrange", new Picture("arrange")),
            new("/Bench/Away?host=wren"),
            new("/Bench?guest=nobody") { IsView = false },
        ];

    public override IEnumerable<Hit> Answers(Desk desk) =>
        desk.Assessment.Guests.Select(g => new Hit(
            HitKind.Thing,
            g.Guest.Name,
            $"{g.Guest.Kind.Words()}, {g.Leading.Name}",
            $"/Bench?guest={Escaped(g.Guest.Id.Value)}"
        ));
}
