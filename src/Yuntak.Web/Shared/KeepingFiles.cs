using Yuntak.Core.Keeping;
using Yuntak.Formats.Copies;

namespace Yuntak.Web.Shared;

/// <summary>Files about copies to take away.</summary>
internal static class KeepingFiles
{
    /// <summary>Where they are.</summary>
    public static void Map(WebApplication app)
    {
        app.MapGet("/files/keeping.md", (DeskService desks) => FileAsync(desks, KeepingTable.Markdown, "keeping.md", "text/markdown"));
        app.MapGet("/files/keeping.csv", (DeskService desks) => FileAsync(desks, KeepingTable.Csv, "keeping.csv", "text/csv"));
        app.MapGet(
            "/files/keeping.ics",
            (DeskService desks, TimeProvider clock) =>
                FileAsync(desks, k => KeepingCalendar.Of(k, clock.GetUtcNow()), "keeping.ics", "text/calendar")
        );
    }

    private static async Task<IResult> FileAsync(DeskService desks, Func<HouseKeeping, string> write, string name, string type) =>
        FileEndpoints.Download(write(HouseKeeping.Of((await desks.LoadAsync()).Assessment)), type, name);
}
