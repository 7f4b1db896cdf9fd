using System.Text;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Data;
using Yuntak.Formats.Exports;
using Yuntak.Formats.Intake;
using Yuntak.Formats.LabFiles;
using Yuntak.Web.Starting;

namespace Yuntak.Web.Shared;

/// <summary>Files to take away, and the small answers the bench asks for while something is dragged.</summary>
internal static class FileEndpoints
{
    public static void Map(WebApplication app)
    {
        app.MapGet(
            "/files/lab.yaml",
            async (LabStore store) => Download(LabFile.ToYaml(await MarkedAsync(store)), "application/yaml", "lab.yaml")
        );
        app.MapGet(
            "/files/lab.json",
            async (LabStore store) => Download(LabFile.ToJson(await MarkedAsync(store)), "application/json", "lab.json")
        );
        app.MapGet(
            "/files/as-built.yaml",
            async (LabStore store) =>
                Download(LabFile.ToYaml((await store.HeadAsync(Pointer.AsBuilt)).Lab), "application/yaml", "as-built.yaml")
        );
        app.MapGet(
            "/files/runbook.md",
            async (DeskService desks) => Download(RunbookMarkdown.Of((await desks.LoadAsync()).Runbook), "text/markdown", "runbook.md")
        );
        app.MapGet(
            "/files/profiles.yaml",
            async (LabStore store) =>
                Download(ProfileFile.ToYaml((await store.HeadAsync(Pointer.Draft)).Lab.Profiles), "application/yaml", "profiles.yaml")
        );
        app.MapGet("/files/profiles/{id}", ProfileAsync);
        app.MapGet("/files/collect.sh", Script);
        app.MapGet("/files/compose/{guest}", ComposeAsync);
        RunbookFiles.Map(app);
        app.MapGet("/files/backup", SentBackups.Take);
        WireFiles.Map(app);
        KeepingFiles.Map(app);
        app.MapGet("/bench/preview/{guest}", PreviewAsync);
    }

    /// <summary>The script that takes stock of a host: to take away, or to look at first.</summary>
    private static IResult Script(string? show)
    {
        var script = File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "collect.sh"));
        return show is "1" or "true"
            ? Results.Text(script, "text/plain", Encoding.UTF8)
            : Download(script, "application/x-sh", "collect.sh");
    }

    private static async Task<IResult> ProfileAsync(string id, LabStore store) =>
        (await store.HeadAsync(Pointer.Draft)).Lab.Book.Find(id) is { } profile
            ? Download(ProfileFile.ToYaml([profile]), "application/yaml", $"{profile.Id}.yaml")
            : Results.NotFound();

    private static async Task<IResult> ComposeAsync(string guest, LabStore store)
    {
        var lab = (await store.HeadAsync(Pointer.Draft)).Lab;
        var found = lab.Guest(new GuestId(guest));
        return found?.Kind == GuestKind.AppStack
            ? Download(ComposeFile.Of(found, lab.Book, lab), "application/yaml", $"{Names.Slug(found.Name)}-compose.yaml")
            : Results.NotFound();
    }

    /// <summary>What putting a guest on each host would do, for the boards to say while it is dragged.</summary>
    private static async Task<IResult> PreviewAsync(string guest, DeskService desks)
    {
        var desk = await desks.LoadAsync();
        var found = desk.Lab.Guest(new GuestId(guest));
        return found is null
            ? Results.NotFound()
            : Results.Json(
                FitCheck
                    .OnEveryHost(desk.Assessment, found)
                    .Select(a => new
                    {
                        host = a.After.Host.Id.Value,
                        fit = a.Fit.ToString().ToLowerInvariant(),
                        text = Words(a),
                    })
            );
    }

    /// <summary>What putting a guest on a host comes to, in one line.</summary>
    internal static string Words(FitAnswer answer) =>
        answer.CanGo
            ? $"{(answer.Fit == Fit.Fits ? "fits" : "tight")}: {answer.After.Memory.Spare} spare, {Numbers.OneDecimal(answer.After.Processor.Peak.Value.Value)} of {Numbers.OneDecimal(answer.After.Processor.Effective.Value.Value)} cores"
            : "no: " + answer.Limits[0].Text;

    internal static IResult Download(string text, string type, string name) =>
        Results.File(Encoding.UTF8.GetBytes(text), $"{type}; charset=utf-8", name);

    /// <summary>The draft with the marks of what stands.</summary>
    private static async Task<Lab> MarkedAsync(LabStore store) =>
        Standing.Marked((await store.HeadAsync(Pointer.Draft)).Lab, (await store.HeadAsync(Pointer.AsBuilt)).Lab);
}
