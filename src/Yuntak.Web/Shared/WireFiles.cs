using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Wires;
using Yuntak.Formats.Wires;

namespace Yuntak.Web.Shared;

/// <summary>Files of the address plan to take away.</summary>
internal static class WireFiles
{
    /// <summary>Where they are.</summary>
    public static void Map(WebApplication app)
    {
        app.MapGet("/files/hosts", (DeskService desks) => FileAsync(desks, w => HostsFile.Of(w), "hosts"));
        app.MapGet("/files/ethers", (DeskService desks) => FileAsync(desks, w => ReservationFiles.Ethers(w), "ethers"));
        app.MapGet(
            "/files/reservations.csv",
            (DeskService desks) => FileAsync(desks, w => ReservationFiles.Csv(w), "reservations.csv", "text/csv")
        );
        app.MapGet(
            "/files/zone/{zone}",
            (string zone, DeskService desks) => FileAsync(desks, w => Zone(w, zone), $"{Names.Slug(zone)}.zone")
        );
        app.MapGet("/files/exports/{name}", (string name, DeskService desks) => FileAsync(desks, w => ExportsFile.Of(w, name), "exports"));
        app.MapGet(
            "/files/fstab/{guest}",
            (string guest, DeskService desks) =>
                FileAsync(desks, w => w.Lab.Guest(new GuestId(guest)) is { } found ? MountLines.Fstab(w, found) : null, "fstab")
        );
    }

    private static string? Zone(HouseWires wires, string zone)
    {
        try
        {
            return ZoneFile.Of(wires, zone);
        }
        catch (Refused)
        {
            return null;
        }
    }

    private static async Task<IResult> FileAsync(
        DeskService desks,
        Func<HouseWires, string?> write,
        string name,
        string type = "text/plain"
    ) => write((await desks.LoadAsync()).Assessment.Wires) is { } text ? FileEndpoints.Download(text, type, name) : Results.NotFound();
}
