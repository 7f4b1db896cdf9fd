using Yuntak.Core.Findings;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Rooms;

/// <summary>Taking stock of hosts.</summary>
public sealed class KitRoom : Room
{
    public override Station? Station => Core.Findings.Station.Kit;

    public override IReadOnlyList<RoomPage> Pages =>
        [
            new("/Kit", new Picture("kit", Height: 960)),
            new("/Kit?host=kiln&look=cards%2F0000:01:00.0"),
            new("/Kit?host=cellar&look=disks%2Fwwn-0x0000000000040002"),
            new("/Kit/Host") { IsView = false },
            new("/Kit/Host/kiln", new Picture("kit-host", Height: 960)),
            new("/Kit/Host?like=wren"),
            new("/Kit/TakeOver/wren", new Picture("kit-takeover", Height: 960)),
            new("/Kit/Ready/cellar"),
            new("/Kit/Reading/1", new Picture("kit-reading", Height: 1080)) { AfterReading = true },
            new("/Kit/Reading/1?host=new") { AfterReading = true },
        ];

    public override IEnumerable<Hit> Answers(Desk desk) =>
        desk
            .Lab.Hosts.Select(h => new Hit(HitKind.Thing, h.Name, $"host, {h.Description}", $"/Kit/Host/{Escaped(h.Id.Value)}"))
            .Concat(desk.Lab.Hosts.SelectMany(Parts))
            .Concat(
                desk.Lab.Hosts.Select(h => new Hit(
                    HitKind.Page,
                    $"What runs on {h.Name}",
                    "take guests over",
                    $"/Kit/TakeOver/{Escaped(h.Id.Value)}"
                ))
            )
            .Append(new Hit(HitKind.Page, "Add a host", "paste, upload or by hand", "/Kit#add"));

    private static IEnumerable<Hit> Parts(Host host)
    {
        Hit Part(string name, string what, string part, string id) =>
            new(HitKind.Part, name, $"{what} in {host.Name}", $"/Kit?host={Escaped(host.Id.Value)}&look={Escaped($"{part}/{id}")}");
        var inside = host.Hardware;
        return host
            .Disks.Select(d =>
                Part($"{d.Name} {d.Model}".Trim(), $"{d.Size.ToDecimalString()} {d.Kind.Words()} disk", KitParts.Disks, d.Id)
            )
            .Concat(
                inside.Functions.Select(f =>
                    Part(f.Name ?? f.Address, $"{PciClasses.KindOf(f.ClassCode)} at {f.Address}", KitParts.Cards, f.Address)
                )
            )
            .Concat(inside.UsbDevices.Select(d => Part(d.Name ?? d.Id ?? "device", $"on USB port {d.Port}", KitParts.Usb, d.Port)))
            .Concat(inside.Ports.Select(p => Part(p.Name, $"network port {p.Mac}".Trim(), KitParts.Network, p.Name)));
    }
}
