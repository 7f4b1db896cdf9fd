using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using Yuntak.Core.Base;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;

namespace Yuntak.Formats.Copies;

/// <summary>All that is planned about copies as a calendar (iCalendar, RFC 5545): jobs, onward copies, thinning, tidying and check-reading again and again in the time zone of the house, drills once.</summary>
public static class KeepingCalendar
{
    private const int LeastMinutes = 5;
    private const int DrillHour = 10;
    private const int DrillMinutes = 60;

    /// <summary>The calendar file.</summary>
    /// <param name="keeping">The copies of a house.</param>
    /// <param name="stamp">When the file is made.</param>
    public static string Of(HouseKeeping keeping, DateTimeOffset stamp)
    {
        var calendar = new Ical.Net.Calendar { ProductId = "-//Yuntak//Keeping//EN" };
        calendar.AddTimeZone(keeping.Lab.Settings.TimeZone);
        foreach (var job in keeping.Jobs)
        {
            Again(
                calendar,
                keeping,
                stamp,
                $"copying-{job.Job.Name}",
                $"copying {job.Job.Name}",
                $"into {job.Job.Store}",
                job.Times,
                job.EachTime.WholeMinutes
            );
        }

        foreach (var onward in keeping.Onward)
        {
            Again(
                calendar,
                keeping,
                stamp,
                $"onward-{onward.Onward.Key}",
                $"onward copy {onward.Onward.Key}",
                "",
                onward.Times,
                onward.EachTime.WholeMinutes
            );
        }

        foreach (var store in keeping.Stores)
        {
            foreach (
                var (kind, times) in new[]
                {
                    (NightKind.Thinning, store.Store.ThinsAt),
                    (NightKind.Tidying, store.Store.TidiesAt),
                    (NightKind.Checking, store.Store.ChecksAt),
                }
            )
            {
                if (times is not null)
                {
                    var word = KeepingWords.Kinds.Display(kind);
                    Again(
                        calendar,
                        keeping,
                        stamp,
                        $"{word}-{store.Store.Name}",
                        $"{word} {store.Store.Name}",
                        "",
                        CopyTimes.Parse(times),
                        LeastMinutes
                    );
                }
            }
        }

        foreach (var drill in keeping.Lab.Drills.Where(d => d.Worked is null).Concat(DrillPlan.Year(keeping)).DistinctBy(d => d.Key))
        {
            var what = drill.Of(keeping.Lab);
            calendar.Events.Add(
                new CalendarEvent
                {
                    Uid = Uid(keeping, $"drill-{drill.Key}"),
                    Summary = $"bring back {what}, to see that it can be",
                    DtStart = new CalDateTime(drill.On.Year, drill.On.Month, drill.On.Day, DrillHour, 0, 0, keeping.Lab.Settings.TimeZone),
                    Duration = Duration.FromMinutes(DrillMinutes),
                    DtStamp = new CalDateTime(stamp.UtcDateTime),
                }
            );
        }

        return new CalendarSerializer().SerializeToString(calendar) ?? "";
    }

    private static void Again(
        Ical.Net.Calendar calendar,
        HouseKeeping keeping,
        DateTimeOffset stamp,
        string key,
        string title,
        string text,
        CopyTimes times,
        int minutes
    )
    {
        foreach (var time in times.Times)
        {
            var first = Enumerable
                .Range(0, 7)
                .Select(keeping.On.AddDays)
                .First(d => times.Days.Count == 0 || times.Days.Contains(d.DayOfWeek));
            calendar.Events.Add(
                new CalendarEvent
                {
                    Uid = Uid(keeping, $"{key}-{time:HHmm}"),
                    Summary = title,
                    Description = text,
                    DtStart = new CalDateTime(first.Year, first.Month, first.Day, time.Hour, time.Minute, 0, keeping.Lab.Settings.TimeZone),
                    Duration = Duration.FromMinutes(Math.Max(LeastMinutes, minutes)),
                    DtStamp = new CalDateTime(stamp.UtcDateTime),
                    RecurrenceRule =
                        times.Days.Count == 0
                            ? new RecurrencePattern(FrequencyType.Daily)
                            : new RecurrencePattern(FrequencyType.Weekly) { ByDay = [.. times.Days.Select(d => new WeekDay(d))] },
                }
            );
        }
    }

    private static string Uid(HouseKeeping keeping, string key) => $"{Names.Slug($"{keeping.Lab.Name}-{key}")}@yuntak.invalid";
}
