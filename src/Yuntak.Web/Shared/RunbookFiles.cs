using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Rehearsals;
using Yuntak.Data;
using Yuntak.Formats.Exports;

namespace Yuntak.Web.Shared;

/// <summary>The files that go with a runbook: scripts, calendar, first-start files, envelopes.</summary>
internal static class RunbookFiles
{
    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet("/files/script/{host}", ScriptAsync);
        app.MapGet("/files/runbook.ics", CalendarAsync);
        app.MapGet(
            "/files/photo/{id:long}",
            async (long id, PhotoStore photos, CancellationToken cancel) =>
                await photos.FindAsync(id, cancel) is var (content, type) ? Results.Bytes(content, type) : Results.NotFound()
        );
        app.MapGet(
            "/files/cloud-config/{guest}",
            (string guest, DeskService desks) =>
                GuestAsync(guest, desks, CloudConfig.Of, "application/yaml", "first-start.yaml", g => g.Kind != GuestKind.AppStack)
        );
        app.MapGet(
            "/files/ovf/{guest}",
            (string guest, DeskService desks) =>
                GuestAsync(guest, desks, OvfEnvelope.Of, "application/xml", "machine.ovf", g => g.Kind == GuestKind.Machine)
        );
    }

    private static async Task<IResult> ScriptAsync(string host, DeskService desks)
    {
        var desk = await desks.LoadAsync();
        var found = desk.Lab.Host(new HostId(host)) ?? desk.AsBuilt.Lab.Host(new HostId(host));
        return found is null
            ? Results.NotFound()
            : FileEndpoints.Download(EveningScript.Of(desk.Runbook, found), "application/x-sh", $"{Names.Slug(found.Name)}-runbook.sh");
    }

    /// <summary>The sittings, the first tomorrow evening.</summary>
    private static async Task<IResult> CalendarAsync(int? minutes, DeskService desks, TimeProvider clock)
    {
        var rehearsal = (await desks.LoadAsync()).Rehearsal;
        var sittings = Sitting.Of(rehearsal, Math.Clamp(minutes ?? Sitting.Usual, Sitting.Shortest, Sitting.Longest));
        var first = SittingCalendar.NextEvening(clock.GetLocalNow());
        return FileEndpoints.Download(SittingCalendar.Of(rehearsal, sittings, first, clock.GetUtcNow()), "text/calendar", "runbook.ics");
    }

    private static async Task<IResult> GuestAsync(
        string guest,
        DeskService desks,
        Func<Sums, Guest, string> file,
        string type,
        string name,
        Func<Guest, bool> fits
    )
    {
        var desk = await desks.LoadAsync();
        return desk.Lab.Guest(new GuestId(guest)) is { } found && fits(found)
            ? FileEndpoints.Download(file(desk.Assessment, found), type, $"{Names.Slug(found.Name)}-{name}")
            : Results.NotFound();
    }
}
