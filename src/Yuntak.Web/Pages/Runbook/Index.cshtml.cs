using System.Globalization;
using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Rehearsals;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;
using Yuntak.Data;
using Yuntak.Web.Pages.Bench;
using Yuntak.Web.Pages.Disks;
using Yuntak.Web.Pages.Kit;
using Yuntak.Web.Pages.Wants;
using Yuntak.Web.Shared;
using Yuntak.Web.Starting;

namespace Yuntak.Web.Pages.Runbook;

/// <summary>The ordered steps; ticking them off makes them as built.</summary>
[RequestSizeLimit(YuntakApp.LongestRequest)]
public sealed class IndexModel(DeskService desks, LabStore store, Ticking ticking, PhotoStore photos, TimeProvider clock)
    : LabPageModel(desks, store)
{
    private const int MostDone = 15;
    private const int MostSections = 16;
    private const int MostSteps = 100;

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
        [
            .. Desk.Runbook.Sections.Where(s =>
                (Only is not { } host || s.Steps.Any(t => t.Where == host.Name)) && (Shown is null || StepsOf(s).Any())
            ),
        ];

    /// <summary>How long a sitting is to be, in minutes; null while the steps are not cut into sittings.</summary>
    [BindProperty(Name = "minutes", SupportsGet = true)]
    public int? Minutes { get; set; }

    /// <summary>The sitting whose steps alone are shown, from 1; null for all.</summary>
    [BindProperty(Name = "sitting", SupportsGet = true)]
    public int? OnlySitting { get; set; }

    /// <summary>The length of a sitting that holds.</summary>
    public int Length => Math.Clamp(Minutes ?? Sitting.Usual, Sitting.Shortest, Sitting.Longest);

    /// <summary>The sittings; none while nobody asked, since they follow from a rehearsal.</summary>
    public IReadOnlyList<Sitting> Sittings => sittings ??= Minutes is null ? [] : Sitting.Of(Desk.Rehearsal, Length);

    private IReadOnlyList<Sitting>? sittings;

    /// <summary>The steps of a piece of work that are shown.</summary>
    public IEnumerable<RunbookStep> StepsOf(RunbookSection section) =>
        Shown is { } shown ? section.Steps.Where(s => shown.Contains(s.Id)) : section.Steps;

    private HashSet<string>? Shown =>
        shownSteps ??= OnlySitting is { } n && n > 0 && n <= Sittings.Count ? [.. Sittings[n - 1].Steps.Select(s => s.Step.Id)] : null;

    private HashSet<string>? shownSteps;

    /// <summary>The step whose turn it is; null when none can be ticked.</summary>
    public RunbookStep? Next => Desk.Runbook.Steps.FirstOrDefault(Desk.Runbook.CanTick);

    /// <summary>What keeps the view when a form is sent: part, host and sitting.</summary>
    public string Same =>
        (Parts.Parts > 1 ? $"&part={Parts.Part}" : "")
        + (OnlyHost is { Length: > 0 } host ? $"&host={Uri.EscapeDataString(host)}" : "")
        + (Minutes is not null ? $"&minutes={Length}" : "")
        + (OnlySitting is { } sitting ? $"&sitting={sitting}" : "");

    /// <summary>Which sections are shown: those of the part asked for, else of the part with the first step that is open.</summary>
    public Paging Parts
    {
        get
        {
            var sections = Sections;
            var parts = Paging.Of(sections.Count, AtOnce(sections), Part, "parts of the work");
            return Part is null ? parts.At(sections.ToList().FindIndex(s => s.Open > 0)) : parts;
        }
    }

    /// <summary>As many pieces of work at once as keep every part short: a guest that is built has ten times the steps of a line that is plugged.</summary>
    private static int AtOnce(IReadOnlyList<RunbookSection> sections)
    {
        for (var size = MostSections; size > 1; size--)
        {
            if (sections.Chunk(size).All(part => part.Sum(s => s.Steps.Count) <= MostSteps))
            {
                return size;
            }
        }

        return 1;
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
            var minutes = Desk.Runbook.Sections.Sum(s => (long)s.MinutesLeft);
            return minutes < 120 ? Numbers.Count((int)minutes, "minute") : $"{Numbers.Short(Math.Round(minutes / 30.0) / 2)} hours";
        }
    }

    /// <summary>The photos kept with steps, by the step.</summary>
    public ILookup<string, StepPhoto> Photos { get; private set; } = Array.Empty<StepPhoto>().ToLookup(p => p.Step);

    /// <summary>The photos of steps that have left the runbook since.</summary>
    public IEnumerable<StepPhoto> PhotosOfOld => Photos.Where(p => Desk.Runbook.Steps.All(s => s.Id != p.Key)).SelectMany(p => p);

    /// <summary>The photo that was taken away last and can be put back.</summary>
    public StepPhoto? Gone { get; private set; }

    public async Task OnGetAsync()
    {
        Done = await Store.HistoryAsync(Pointer.AsBuilt, MostDone);
        var all = await photos.AllAsync(HttpContext.RequestAborted);
        Photos = all.Where(p => !p.Gone).ToLookup(p => p.Step);
        Gone = all.FirstOrDefault(p => p.Gone);
    }

    /// <summary>Keeps a photo with a step.</summary>
    public Task<IActionResult> OnPostPhotoAsync(string step, IFormFile? photo) =>
        KeepAsync(async () =>
        {
            var found =
                Desk.Runbook.Steps.FirstOrDefault(s => s.Id == step)
                ?? throw new Refused("That step is no longer in the runbook: the draft has changed. No photo was kept.");
            if (photo is not { Length: > 0 })
            {
                throw new Refused("Choose a photo first.");
            }

            // One byte more than is kept says that there is more.
            await using var sent = photo.OpenReadStream();
            var most = new byte[Math.Min(photo.Length, PhotoStore.Largest + 1)];
            await sent.ReadExactlyAsync(most, HttpContext.RequestAborted);
            await photos.KeepAsync(found.Id, found.What, most, HttpContext.RequestAborted);
        });

    /// <summary>Takes a photo away.</summary>
    public Task<IActionResult> OnPostPhotoGoneAsync(long photo) => KeepAsync(() => photos.RemoveAsync(photo, HttpContext.RequestAborted));

    /// <summary>Puts the photo back that was taken away last.</summary>
    public Task<IActionResult> OnPostPhotoBackAsync(long photo) => KeepAsync(() => photos.PutBackAsync(photo, HttpContext.RequestAborted));

    public Task<IActionResult> OnPostTickAsync(string step, [FromForm(Name = "as-built")] long asBuilt, string? took) =>
        ChangeBuiltAsync(() =>
            ticking.OffAsync(asBuilt, learned => RunbookTick.Off(Desk.Lab, step, Measured(took), clock.Today(), learned))
        );

    /// <summary>Minutes as somebody typed them; null for none.</summary>
    private static double? Measured(string? took) =>
        string.IsNullOrWhiteSpace(took) ? null
        : double.TryParse(took.Trim().Replace(',', '.'), NumberStyles.Float, CultureInfo.InvariantCulture, out var minutes) ? minutes
        : throw new Refused("How long it took is a number of minutes, such as 25. Nothing was ticked off.");

    /// <summary>Keeps what was written at a step.</summary>
    public Task<IActionResult> OnPostNoteAsync(
        string step,
        [FromForm(Name = "as-built")] long asBuilt,
        string?[]? label,
        string?[]? text
    ) =>
        ChangeBuiltAsync(() =>
            Store.CommitAsync(
                Pointer.AsBuilt,
                asBuilt,
                lab =>
                    StepNotes.Write(
                        Desk.Runbook,
                        step,
                        (label ?? []).Zip(text ?? []).DistinctBy(t => t.First).ToDictionary(t => t.First ?? "", t => t.Second ?? "")
                    )(lab)
            )
        );

    /// <summary>Half-done work was taken back.</summary>
    public Task<IActionResult> OnPostUnwindAsync(string section, [FromForm(Name = "as-built")] long asBuilt) =>
        ChangeBuiltAsync(() => Store.CommitAsync(Pointer.AsBuilt, asBuilt, Unwinding.Back(Desk.Runbook, section)));

    /// <summary>Ticks off all that is left of one piece of work.</summary>
    public Task<IActionResult> OnPostTickAllAsync(string section, [FromForm(Name = "as-built")] long asBuilt) =>
        ChangeBuiltAsync(() => ticking.OffAsync(asBuilt, learned => RunbookTick.OffAll(Desk.Lab, section, clock.Today(), learned)));

    public Task<IActionResult> OnPostUntickAsync([FromForm(Name = "as-built")] long asBuilt) =>
        ChangeBuiltAsync(() => ticking.BackAsync(asBuilt));

    /// <summary>The app stack a section builds, if it builds one.</summary>
    public Guest? ComposeOf(RunbookSection section) =>
        section.Builds is { } id && Desk.Lab.Guest(id) is { Kind: GuestKind.AppStack } guest ? guest : null;

    /// <summary>The guest a section builds, if it has a system of its own.</summary>
    public Guest? BuiltOf(RunbookSection section) =>
        section.Builds is { } id && Desk.Lab.Guest(id) is { Kind: not GuestKind.AppStack } guest ? guest : null;

    /// <summary>How long a step takes, in words: what is likely, and from when to when.</summary>
    public static string Takes(RunbookStep step) =>
        step.Most - step.Least < 4 || step.Measured
            ? $"{new Duration(step.Minutes).Exactly()}{(step.Measured ? ", as measured here" : "")}"
            : $"{new Duration(step.Minutes).Exactly()}, {new Duration(step.Least).Exactly()} to {new Duration(step.Most).Exactly()}";

    /// <summary>Two people ticking at once is no clash to choose from: the second looks at the page again.</summary>
    private Task<IActionResult> ChangeBuiltAsync(Func<Task<CommitResult>> step) =>
        StepAsync(step, null, stale => $"Somebody ticked a step off meanwhile: {stale.Theirs.Sentence}. Yours was not ticked; look again.");
}
