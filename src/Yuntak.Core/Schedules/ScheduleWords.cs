using Yuntak.Core.Base;

namespace Yuntak.Core.Schedules;

/// <summary>The words for retention and its times, as the command line reads and writes them.</summary>
public static class ScheduleWords
{
    /// <summary>The periods copies are counted in.</summary>
    public static readonly WordTable<RetentionPeriod> Periods = new(
        (RetentionPeriod.Last, "last", "last"),
        (RetentionPeriod.Hourly, "hourly", "hourly"),
        (RetentionPeriod.Daily, "daily", "daily"),
        (RetentionPeriod.Weekly, "weekly", "weekly"),
        (RetentionPeriod.Monthly, "monthly", "monthly"),
        (RetentionPeriod.Yearly, "yearly", "yearly")
    );

    /// <summary>How counts go together.</summary>
    public static readonly WordTable<RetentionSchool> Schools = new(
        (RetentionSchool.Overlapping, "overlapping", "overlapping"),
        (RetentionSchool.Stacked, "stacked", "stacked")
    );

    /// <summary>Days of the week.</summary>
    internal static readonly WordTable<DayOfWeek> Days = new(
        (DayOfWeek.Sunday, "sun", "Sunday"),
        (DayOfWeek.Monday, "mon", "Monday"),
        (DayOfWeek.Tuesday, "tue", "Tuesday"),
        (DayOfWeek.Wednesday, "wed", "Wednesday"),
        (DayOfWeek.Thursday, "thu", "Thursday"),
        (DayOfWeek.Friday, "fri", "Friday"),
        (DayOfWeek.Saturday, "sat", "Saturday")
    );
}
