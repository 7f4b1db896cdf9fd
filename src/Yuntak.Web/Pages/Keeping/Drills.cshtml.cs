using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Data;
using Yuntak.Formats.Copies;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Keeping;

/// <summary>Restores that are planned and that were tried, and copies that are there beside those that should be.</summary>
public sealed class DrillsModel(DeskService desks, LabStore store) : KeepingPageModel(desks, store)
{
    /// <summary>What is due by the rule: a guest each month, the whole house once a year.</summary>
    public IReadOnlyList<Drill> Due { get; private set; } = [];

    /// <summary>What lists of stores say, beside what jobs plan.</summary>
    public IReadOnlyList<KnownTruth> Truths { get; private set; } = [];

    public IActionResult OnGet()
    {
        Due = DrillPlan.Year(House);
        Truths = [.. KnownTruth.Of(House)];
        return Page();
    }

    /// <summary>Plans a drill, or writes down how one went.</summary>
    public Task<IActionResult> OnPostDrillAsync(string? key, string? what, string? on) =>
        ChangeAsync(
            lab =>
            {
                var before = lab.Drills.FirstOrDefault(d => d.Key == key);
                var typed = Form.Into(
                    OnwardShapes.Drill,
                    before is null ? Named(what, on) : before with { On = Day(on) },
                    ["of", "on", "guest", "host"]
                );
                return typed.Worked is not null && typed.On > House.On
                    ? throw new Refused(
                        $"{typed.On:yyyy-MM-dd} is yet to come: write a drill down once it was done, with the day it was done."
                    )
                    : KeepingEdits.Drill(typed, before?.Key)(lab);
            },
            "/Keeping/Drills"
        );

    /// <summary>Takes a drill out.</summary>
    public Task<IActionResult> OnPostNoDrillAsync(string key) => ChangeAsync(KeepingEdits.RemoveDrill(key), "/Keeping/Drills");

    /// <summary>Plans a year of drills by the rule.</summary>
    public Task<IActionResult> OnPostYearAsync() =>
        ChangeAsync(
            lab =>
            {
                var due = DrillPlan.Year(House);
                return due.Count == 0
                    ? throw new Refused("There is nothing to bring back yet: no guest has a whole copy.")
                    : new Changed(
                        due.Aggregate(lab, (l, d) => KeepingEdits.Drill(d)(l).Lab),
                        $"{Numbers.Count(due.Count, "drill")} planned for a year"
                    );
            },
            "/Keeping/Drills"
        );

    /// <summary>Takes a list of copies over.</summary>
    public Task<IActionResult> OnPostCopiesAsync(string? store, string? text, IFormFile? file) =>
        ChangeAsync(
            lab =>
            {
                var reading = CopyList.Read(HandedIn.List(file, text, mebibytes: 8), lab, store ?? "");
                var about = string.Join(" ", reading.Problems.Take(2));
                var strangers = reading.Strangers.Count == 0 ? "" : $" Not in the lab: {string.Join(", ", reading.Strangers.Take(8))}.";
                if (reading.Copies.Count == 0)
                {
                    throw new Refused(
                        about.Length + strangers.Length == 0
                            ? "There is nothing in it: a line for each copy belongs here, with guest, time, bytes and when it was read back."
                            : $"No copy in it was understood. {about}{strangers}"
                    );
                }

                var changed = KeepingEdits.TakeCopies(reading.Copies)(lab);
                return changed with { Sentence = $"{changed.Sentence}{(about.Length > 0 ? $"; {about}" : "")}{strangers}" };
            },
            "/Keeping/Drills#copies"
        );

    /// <summary>Forgets the copies known of a store.</summary>
    public Task<IActionResult> OnPostForgetAsync(string store) => ChangeAsync(KeepingEdits.ForgetCopies(store), "/Keeping/Drills#copies");

    private static DateOnly Day(string? on) =>
        DateOnly.TryParseExact(on, "yyyy-MM-dd", out var day)
            ? day
            : throw new Refused($"«{Names.Short(on)}» is no day. Write it like 2026-12-05.");

    private static Drill Named(string? what, string? on)
    {
        var day = Day(on);
        var (kind, rest) = (what ?? "").Split(':', 2) is [var k, var r] ? (k, r) : (what ?? "", "");
        return CopyWords.Drills.Read(kind, "what is brought back") switch
        {
            DrillKind.Guest => new Drill(DrillKind.Guest, day, new GuestId(rest)),
            DrillKind.File => new Drill(DrillKind.File, day, new GuestId(rest)),
            DrillKind.Host => new Drill(DrillKind.Host, day, Host: new HostId(rest)),
            var other => new Drill(other, day),
        };
    }
}
