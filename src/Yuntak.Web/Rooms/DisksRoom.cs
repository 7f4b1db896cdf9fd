using Yuntak.Core.Findings;

namespace Yuntak.Web.Rooms;

/// <summary>Pools: room, risk, cost and growth.</summary>
public sealed class DisksRoom : Room
{
    public override Station? Station => Core.Findings.Station.Disks;

    public override IReadOnlyList<RoomPage> Pages =>
        [
            new("/Disks"),
            new("/Disks?host=kiln&pool=clay", new Picture("disks", Height: 1000)),
            new("/Disks?host=cellar&disk=wwn-0x0000000000040001"),
            new("/Disks?host=nowhere&pool=none") { IsView = false },
            new("/Disks/Layouts") { IsView = false },
            new("/Disks/Layouts?disks=6x20TB&price=400", new Picture("layouts", Height: 1200)),
            new("/Disks/Layouts?disks=6x20TB&price=400&age=4") { IsView = false },
            new("/Disks/Layouts?disks=3x20XB") { IsView = false },
            new("/Disks/Layouts?need=20TB&survives=2&offer-0-size=8TB&offer-0-price=150&offer-0-warranty=3"),
        ];
}
