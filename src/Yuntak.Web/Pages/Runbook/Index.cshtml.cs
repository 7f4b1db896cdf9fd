using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;
using Yuntak.Data;
using Yuntak.Web.Pages.Bench;
using Yuntak.Web.Pages.Disks;
using Yuntak.Web.Pages.Kit;
using Yuntak.Web.Pages.Wants;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Runbook;

/// <summary>The ordered steps; ticking them off makes them as built.</summary>
public sealed class IndexModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    private const int MostDone = 15;
    private const int AtOnce = 12;

    /// <summary>The part of the runbook that is asked for.</summary>
    [BindProperty(Name = "part", SupportsGet = true)]
    public int? Part { get; set; }

    /// <summary>The host whose work alone is shown, by its id; null for all.</summary>
    [BindProperty(Name = "host", SupportsGet = true)]
    public string? OnlyHost { get; set; }

    /// <summary>The host whose work alone is shown.</summary>
    public Host? Only => OnlyHost is null ? null : Desk.Lab.Host(new HostId(OnlyHost)) ?? Desk.AsBuilt.Lab.Host(new HostId(OnlyHost));

    /// <summary>The hosts that have work to do.</summary>
    public IEnumerable<Host> HostsWithWork =>
        Desk
            .Lab.Hosts.Concat(Desk.AsBuilt.Lab.Hosts.Where(h => Desk.Lab.Host(h.Id) is null))
            .Where(h => Desk.Runbook.Steps.Any(s => s.Where == h.Name));

    /// <summary>The pieces of work shown, each with its number in the whole runbook.</summary>
    public IReadOnlyList<RunbookSection> Sections =>
        Only is { } host ? [.. Desk.Runbook.Sections.Where(s => s.Steps.Any(t => t.Where == host.Name))] : Desk.Runbook.Sections;

    /// <summary>What keeps the view when a form is sent: part and host.</summary>
    public string Same =>
        (Parts.Parts > 1 ? $"&part={Parts.Part}" : "") + (OnlyHost is { Length: > 0 } host ? $"&host={Uri.EscapeDataString(host)}" : "");

    /// <summary>Which sections are shown: those of the part asked for, else of the part with the first step that is open.</summary>
    public Paging Parts
    {
        get
        {
            var sections = Sections;
            var parts = Paging.Of(sections.Count, AtOnce, Part, "parts of the work");
            return Part is null ? parts.At(Sections.ToList().FindIndex(s => s.Open > 0)) : parts;
        }
    }

    public override Station? Here => Station.Runbook;

    /// <summary>What was ticked off last, the newest first; the last line is the beginning of all.</summary>
    public IReadOnlyList<RevisionLine> Done { get; private set; } = [];

    /// <summary>What is open, in words: steps and their time, and what must be cleared first.</summary>
    public string Open
    {
        get
        {
            var stops = Desk.Runbook.Steps.Count(s => !s.Done && !s.Act.CanBeDone);
            var steps = Desk.Runbook.Open - stops;
            var both = new[]
            {
                stops > 0 ? Numbers.Count(stops, "stop") : null,
                steps > 0 ? $"{Numbers.Count(steps, "step")}, about {Time}" : null,
            };
            return Desk.Runbook.Open == 0 ? "nothing to do" : string.Join(" · ", both.OfType<string>());
        }
    }

    /// <summary>How long the open steps take, in words.</summary>
    private string Time
    {
        get
        {
            var minutes = Desk.Runbook.Sections.Sum(s => s.MinutesLeft);
            return minutes < 120 ? Numbers.Count(minutes, "minute") : $"{Numbers.Short(Math.Round(minutes / 30.0) / 2)} hours";
        }
    }

    public async Task OnGetAsync() => Done = await Store.HistoryAsync(Pointer.AsBuilt, MostDone);

    public Task<IActionResult> OnPostTickAsync(string step, [FromForm(Name = "as-built")] long asBuilt) =>
        ChangeBuiltAsync(() => Store.CommitAsync(Pointer.AsBuilt, asBuilt, RunbookTick.Off(Desk.Lab, step)));

    /// <summary>Ticks off all that is left of one piece of work.</summary>
    public Task<IActionResult> OnPostTickAllAsync(string section, [FromForm(Name = "as-built")] long asBuilt) =>
        ChangeBuiltAsync(() => Store.CommitAsync(Pointer.AsBuilt, asBuilt, RunbookTick.OffAll(Desk.Lab, section)));

    public Task<IActionResult> OnPostUntickAsync([FromForm(Name = "as-built")] long asBuilt) =>
        ChangeBuiltAsync(() => Store.UndoAsync(Pointer.AsBuilt, asBuilt));

    /// <summary>The app stack a section builds, if it builds one.</summary>
    public Guest? ComposeOf(RunbookSection section) =>
        section.Builds is { } id && Desk.Lab.Guest(id) is { Kind: GuestKind.AppStack } guest ? guest : null;

    /// <summary>Two people ticking at once is no clash to choose from: the second looks at the page again.</summary>
    private Task<IActionResult> ChangeBuiltAsync(Func<Task<CommitResult>> step) =>
        StepAsync(step, null, stale => $"Somebody ticked a step off meanwhile: {stale.Theirs.Sentence}. Yours was not ticked; look again.");
}
