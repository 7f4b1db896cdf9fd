using System.Globalization;
using System.Text.Encodings.Web;
using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Keeping;

/// <summary>The night, what is left of it later, and in how many places each guest lies.</summary>
public sealed class IndexModel(DeskService desks, LabStore store) : KeepingPageModel(desks, store)
{
    private const int MostDaysAgo = 36_500;

    /// <summary>The night that is shown.</summary>
    public Night Night { get; private set; } = null!;

    /// <summary>The next night in which something runs, within a month; null where there is none.</summary>
    public DateOnly? Next =>
        Enumerable
            .Range(1, 31)
            .Select(n => Night.Day.AddDays(n))
            .Where(day => day <= HouseKeeping.LastDay && House.NightOf(day).Runs.Count > 0)
            .Select(day => (DateOnly?)day)
            .FirstOrDefault();

    /// <summary>The job whose copies are shown; null while there is none.</summary>
    public JobSums? Job { get; private set; }

    /// <summary>How many days ago something was lost; null where nothing is asked.</summary>
    public int? Ago { get; private set; }

    /// <summary>The rule beside the job's own; null for none.</summary>
    public RetentionRule? Than { get; private set; }

    /// <summary>The school of the rule beside it.</summary>
    public RetentionSchool ThanSchool { get; private set; }

    /// <summary>The rule that a wish leads to; null where none is wished.</summary>
    public RetentionRule? Wished { get; private set; }

    /// <summary>What is wished: days back, and days of which every one is wanted.</summary>
    public (int Back, int Daily) Wish { get; private set; }

    /// <summary>The guest whose places are shown; null while nobody has something to lose.</summary>
    public GuestKeeping? Guest { get; private set; }

    /// <summary>A plan for the nights; null where none is asked for.</summary>
    public NightPlan? Plan { get; private set; }

    /// <summary>When the plan may begin and is to be done.</summary>
    public (string From, string Until) Window { get; private set; }

    /// <summary>What was not understood of what was asked.</summary>
    public string? NotUnderstood { get; private set; }

    /// <summary>When the copies are looked at: the evening of the day, after the last copy.</summary>
    public DateTime Tonight => Night.Day.ToDateTime(new TimeOnly(23, 59));

    /// <summary>The copies of the job that are left, where it ran long enough, the newest first.</summary>
    public IReadOnlyList<DateTime> Left(RetentionRule? rule, RetentionSchool school) =>
        KeptDays.On(
            Job!.Times,
            rule,
            school,
            rule is null ? Night.Day.AddDays(-StoreRoom.Days) : KeptDays.Settled(Job.Times, rule, Night.Day),
            Night.Day
        );

    public IActionResult OnGet(
        string? night,
        string? job,
        string? ago,
        string? than,
        string? school,
        string? guest,
        string? back,
        string? daily,
        string? from,
        string? until
    )
    {
        Night = House.NightOf(Moments.Read(night) is { } day ? Within(DateOnly.FromDateTime(day)) : House.On);
        Job = House.Jobs.FirstOrDefault(j => j.Job.Name == job) ?? (House.Jobs.Count > 0 ? House.Jobs[0] : null);
        Ago = Days(ago, "how many days ago");
        Guest =
            House.Guests.FirstOrDefault(g => g.Guest.Id.Value == guest)
            ?? House
                .Guests.OrderBy(g => g.IsWhole)
                .ThenBy(g => g.Stores.Count > 0)
                .ThenByDescending(g => g.Volumes.Sum(v => v.Size.Bytes))
                .FirstOrDefault();
        Window = (from ?? NightPlanner.Evening.ToString("HH:mm", CultureInfo.InvariantCulture), until ?? Desk.Lab.Settings.Wakes);
        try
        {
            Than = string.IsNullOrWhiteSpace(than) ? null : RetentionRule.Parse(than);
            ThanSchool = ScheduleWords.Schools.TryRead(school, out var said) ? said : Job?.Job.School ?? RetentionSchool.Overlapping;
            Wish = (
                Days(back, "how many days back") ?? Job?.Job.BackDays ?? 0,
                Days(daily, "for how many days every one") ?? Job?.Job.DailyDays ?? 0
            );
            Wished = Job is not null && back is not null ? RetentionWish.Rule(Job.Times, Job.Job.School, Wish.Back, Wish.Daily) : null;
            Plan = from is null ? null : NightPlanner.Find(House, Clock(Window.From), Clock(Window.Until));
        }
        catch (Refused refused)
        {
            NotUnderstood = refused.Message;
        }

        return Page();
    }

    /// <summary>Moves a job or an onward copy along the night; what dragging sends, and the list.</summary>
    public Task<IActionResult> OnPostMoveAsync(string kind, string name, string time) =>
        ChangeAsync(lab =>
            NightEdits.Drag(kind == KeepingWords.Kinds.Word(NightKind.Onward) ? NightKind.Onward : NightKind.Copying, name, Clock(time))(
                lab
            )
        );

    /// <summary>Takes a plan for the night over.</summary>
    public Task<IActionResult> OnPostSpreadAsync(string from, string until) =>
        ChangeAsync(lab => NightEdits.Take(NightPlanner.Find(House, Clock(from), Clock(until)))(lab), "/Keeping");

    /// <summary>Lets a job keep by another rule.</summary>
    public Task<IActionResult> OnPostKeepAsync(string job, string keep, string? school, string? back, string? daily) =>
        ChangeAsync(
            KeepingEdits.ChangeJob(
                job,
                j =>
                    j with
                    {
                        Keep = RetentionRule.Parse(keep).ToString(),
                        School = string.IsNullOrEmpty(school) ? j.School : ScheduleWords.Schools.Read(school, "how copies are counted"),
                        BackDays = Days(back, "how many days back") is > 0 and var b ? b : j.BackDays,
                        DailyDays = Days(daily, "for how many days every one") is > 0 and var d ? d : j.DailyDays,
                    }
            ),
            $"/Keeping?job={Escaped(job)}#kept"
        );

    /// <summary>Plans a nightly copy of all that would be missed.</summary>
    public Task<IActionResult> OnPostBeginAsync() =>
        ChangeAsync(
            lab =>
                FirstPlan.Store(House) is { } store
                    ? FirstPlan.Edit(House, store)(lab)
                    : throw new Refused(
                        "There is no pool that does not hold what would be copied, and no disk that holds so much. Plan a store first: a box, a disk that is carried, or another place."
                    ),
            "/Keeping"
        );

    /// <summary>The zones there are, fetched once somebody asks for one.</summary>
    public IActionResult OnGetZones() =>
        Content(string.Concat(HouseClock.Zones.Select(z => $"<option value=\"{HtmlEncoder.Default.Encode(z)}\"></option>")), "text/html");

    /// <summary>Says where the house is, and when it wakes.</summary>
    public Task<IActionResult> OnPostClockAsync() =>
        ChangeAsync(
            lab =>
            {
                var settings = Form.Into(
                    LabShapes.Settings,
                    lab.Settings,
                    [.. LabShapes.Settings.Fields.Select(f => f.Name).Where(n => n is not ("time-zone" or "wakes"))]
                );
                return new Changed(lab with { Settings = settings }, $"the house is in {settings.TimeZone} and wakes at {settings.Wakes}");
            },
            "/Keeping"
        );

    private static DateOnly Within(DateOnly day) =>
        day < HouseKeeping.FirstDay ? HouseKeeping.FirstDay
        : day > HouseKeeping.LastDay ? HouseKeeping.LastDay
        : day;

    private static TimeOnly Clock(string? text) =>
        TimeOnly.TryParseExact((text ?? "").Trim(), "HH:mm", CultureInfo.InvariantCulture, DateTimeStyles.None, out var time)
            ? time
            : throw new Refused($"«{Names.Short(text)}» is no time of day. Write it like 22:30.");

    private int? Days(string? text, string what)
    {
        if (string.IsNullOrWhiteSpace(text))
        {
            return null;
        }

        if (int.TryParse(text.Trim(), NumberStyles.None, CultureInfo.InvariantCulture, out var days) && days <= MostDaysAgo)
        {
            return days;
        }

        NotUnderstood = $"«{Names.Short(text)}» is not {what}: a whole number up to 36,500 belongs there.";
        return null;
    }
}
