using System.Globalization;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using Yuntak.Core.Base;
using Yuntak.Core.Rehearsals;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Exports;

/// <summary>The sittings of a runbook as appointments (iCalendar, RFC 5545), one an evening, and what has to be looked at again later.</summary>
public static class SittingCalendar
{
    /// <summary>The hour an evening begins at.</summary>
    public const int EveningHour = 19;

    private const int AfterAWeek = 7;

    /// <summary>When the next evening begins, of a time at the place.</summary>
    public static DateTime NextEvening(DateTimeOffset now) => now.Date.AddDays(1).AddHours(EveningHour);

    /// <summary>The calendar file.</summary>
    /// <param name="rehearsal">The rehearsed runbook.</param>
    /// <param name="sittings">Its sittings.</param>
    /// <param name="first">When the first begins, in the time of the place; the others at the same hour of the days after.</param>
    /// <param name="stamp">When the file is made.</param>
    public static string Of(Rehearsal rehearsal, IReadOnlyList<Sitting> sittings, DateTime first, DateTimeOffset stamp)
    {
        var calendar = new Ical.Net.Calendar { ProductId = "-//Yuntak//Runbook//EN" };
        var day = first;
        foreach (var sitting in sittings)
        {
            var parts = sitting
                .Steps.Select(s => s.Number.Split('.')[0])
                .Distinct()
                .Select(n => rehearsal.Runbook.Sections[int.Parse(n, CultureInfo.InvariantCulture) - 1].Title);
            Add(
                calendar,
                $"{rehearsal.Runbook.Lab}-{sitting.Number}-{sitting.Steps[0].Step.Id}",
                $"{rehearsal.Runbook.Lab}: {sitting.Steps[0].Number} to {sitting.Steps[^1].Number}",
                string.Join(
                    '\n',
                    parts.Concat(
                        sitting
                            .Steps.Where(s => s.Outcome != StepOutcome.Refused)
                            .Select(s => $"{s.Number} {s.Step.What} ({s.Step.Where}, {s.Step.Minutes} min)")
                    )
                ),
                day,
                Math.Max(5, sitting.Minutes),
                stamp
            );
            // A sitting that runs on by itself for days takes those days.
            day = first.AddDays((int)Math.Ceiling((day.AddMinutes(sitting.Minutes) - first).TotalDays));
        }

        foreach (var step in rehearsal.Steps.Where(s => s.Step.Act.Type is "check-items" or "copy-pool-back" or "move-guest"))
        {
            Add(
                calendar,
                $"{rehearsal.Runbook.Lab}-later-{step.Step.Id}",
                step.Step.Act.Type == "check-items"
                    ? $"A week on: may the old place go? ({step.Number})"
                    : $"A week on: may the copy go? ({step.Number})",
                $"{step.Step.What}. {step.Step.WayBack}",
                day.AddDays(AfterAWeek),
                15,
                stamp
            );
        }

        return new CalendarSerializer().SerializeToString(calendar) ?? "";
    }

    private static void Add(
        Ical.Net.Calendar calendar,
        string key,
        string title,
        string text,
        DateTime starts,
        int minutes,
        DateTimeOffset stamp
    ) =>
        calendar.Events.Add(
            new CalendarEvent
            {
                Uid = $"{Names.Slug(key)}@yuntak.invalid",
                Summary = title,
                Description = text,
                DtStart = new CalDateTime(starts.Year, starts.Month, starts.Day, starts.Hour, starts.Minute, 0),
                Duration = Ical.Net.DataTypes.Duration.FromMinutes(minutes),
                DtStamp = new CalDateTime(stamp.UtcDateTime),
            }
        );
}
