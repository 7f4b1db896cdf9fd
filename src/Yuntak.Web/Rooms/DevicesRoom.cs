using Yuntak.Core.Devices;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Rooms;

/// <summary>Who has which hardware.</summary>
public sealed class DevicesRoom : Room
{
    public override Station? Station => Core.Findings.Station.Devices;

    public override IReadOnlyList<RoomPage> Pages =>
        [
            new("/Devices") { IsView = false },
            new("/Devices?host=kiln&guest=glazelog", new Picture("devices", Height: 1000)),
            new("/Devices?host=wren&device=3-1&for=gatehouse"),
            new("/Devices?host=nowhere&guest=nobody") { IsView = false },
            new("/Devices/All"),
            new("/Devices/Find?host=kiln"),
        ];

    public override IEnumerable<Hit> Answers(Desk desk) =>
        desk
            .Assessment.Devices.SelectMany(h =>
                h.Check.Asked.Select(a => new Hit(
                    HitKind.Thing,
                    $"{a.Claim.Need.Words()} of {a.Guest.Name}",
                    a.Claim.Chosen ? $"{h.Map.NameOf(a.Claim.Device!)}, {a.Claim.Way!.Value.Words()}" : "a claim that is open",
                    $"/Devices?host={Escaped(h.Host.Id.Value)}&guest={Escaped(a.Guest.Id.Value)}&claim={a.Number}"
                ))
            )
            .Append(new Hit(HitKind.Page, "All claims at once", "ways and devices with the least collateral", "/Devices/All"))
            .Append(new Hit(HitKind.Page, "Which controller is my stick on?", "by readings, listings or tries", "/Devices/Find"));
}
