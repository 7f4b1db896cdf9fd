using CsCheck;
using Yuntak.Core.Base;
using Yuntak.Core.Schedules;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Schedules;

/// <summary>Which copies a retention leaves, against the handbook's worked example and a second reckoning by the definition.</summary>
public class RetentionTests
{
    private static readonly RetentionRule Usual = new(Daily: 7, Weekly: 4, Monthly: 6);

    private static readonly Gen<RetentionRule> AnyRule =
        from last in Gen.Int[0, 4]
        from hourly in Gen.Int[0, 5]
        from daily in Gen.Int[0, 9]
        from weekly in Gen.Int[0, 6]
        from monthly in Gen.Int[0, 8]
        from yearly in Gen.Int[0, 3]
        select new RetentionRule(last, hourly, daily, weekly, monthly, yearly);

    /// <summary>Copies at any minute over three years that hold a leap day, some at the same moment, some around the turn of a year.</summary>
    private static readonly Gen<DateTime[]> AnyCopies = Gen.OneOf(
            Gen.Int[0, 3 * 366 * 24 * 60],
            Gen.Int[0, 3 * 366].Select(day => (day * 24 * 60) + (22 * 60) + 30),
            Gen.Int[300 * 24 * 60, 380 * 24 * 60]
        )
        .Select(minutes => new DateTime(2027, 1, 1).AddMinutes(minutes))
        .Array[0, 120];

    /// <summary>The worked example of the handbook's chapter on keeping.</summary>
    [Fact]
    [Trade]
    public void Daily_copies_leave_fourteen_where_counts_overlap_and_seventeen_where_they_are_stacked()
    {
        var taken = CopyTimes.Parse("22:30").Between(new DateOnly(2026, 1, 1), new DateOnly(2027, 12, 31)).ToList();
        Days(Retention.Left(Usual, RetentionSchool.Overlapping, taken))
            .ShouldBe("12-31 12-30 12-29 12-28 12-27 12-26 12-25 12-19 12-12 11-30 10-31 09-30 08-31 07-31");
        Days(Retention.Left(Usual, RetentionSchool.Stacked, taken))
            .ShouldBe("12-31 12-30 12-29 12-28 12-27 12-26 12-25 12-19 12-12 12-05 11-28 10-31 09-30 08-31 07-31 06-30 05-31");
    }

    [Fact]
    [Trade]
    public void The_last_four_of_a_weekly_job_are_four_weeks() =>
        Days(
                Retention.Left(
                    new(Last: 4),
                    RetentionSchool.Overlapping,
                    CopyTimes.Parse("sun 01:00").Between(new(2027, 1, 1), new(2027, 12, 31))
                )
            )
            .ShouldBe("12-26 12-19 12-12 12-05");

    [Fact]
    [FromMemory]
    public void Weeks_are_those_of_ISO_8601()
    {
        // 2028-12-31 is a Sunday and ends week 52; 2029-01-01 begins week 1. 2027-01-01 to -03 belong to week 53 of 2026.
        DateTime[] taken = [new(2026, 12, 28), new(2027, 1, 3), new(2027, 1, 4), new(2028, 12, 31), new(2029, 1, 1)];
        Retention
            .Left(new(Weekly: 9), RetentionSchool.Overlapping, taken)
            .Select(c => c.At)
            .ShouldBe([new(2029, 1, 1), new(2028, 12, 31), new(2027, 1, 4), new(2027, 1, 3)]);
    }

    [Fact]
    public void Any_rule_over_any_copies_leaves_what_the_definition_says() =>
        Gen.Select(AnyRule, AnyCopies, Gen.Int[0, 5])
            .Holds(
                sample =>
                {
                    var (rule, copies, protect) = sample;
                    // Of copies at one moment one may be kept for good and the other not; which is which follows from the moment alone.
                    bool ForGood(DateTime at) => protect > 0 && at.Minute % protect == 1;
                    foreach (var school in Enum.GetValues<RetentionSchool>())
                    {
                        Retention
                            .Left(rule, school, copies, ForGood)
                            .Select(c => c.At)
                            .ShouldBe(ByDefinition(rule, school, copies, ForGood), $"{rule} {school}");
                    }
                },
                iter: 500
            );

    [Fact]
    public void What_is_kept_for_good_neither_counts_nor_covers()
    {
        var taken = CopyTimes.Parse("22:30").Between(new(2027, 12, 1), new(2027, 12, 31)).ToList();
        foreach (var school in Enum.GetValues<RetentionSchool>())
        {
            var left = Retention.Left(new(Daily: 3, Weekly: 2), school, taken, at => at.Day == 30);
            left.Where(c => c.For.Contains(RetentionPeriod.Daily)).Select(c => c.At.Day).ShouldBe([31, 29, 28]);
            left.Single(c => c.ForGood).ShouldBe(new KeptCopy(new DateTime(2027, 12, 30, 22, 30, 0), [], ForGood: true));
        }
    }

    [Theory]
    [InlineData("daily 7, weekly 4, monthly 6", "daily 7, weekly 4, monthly 6")]
    [InlineData(" Monthly 6 ,daily 7", "daily 7, monthly 6")]
    [InlineData("last 4, yearly 0", "last 4")]
    public void A_rule_is_read_and_written(string text, string words) => RetentionRule.Parse(text).ToString().ShouldBe(words);

    [Theory]
    [InlineData("", "keep nothing")]
    [InlineData("daily 0", "keep nothing")]
    [InlineData("daily", "no count of copies")]
    [InlineData("fortnightly 3", "no count of copies")]
    [InlineData("daily -1", "from 0 to")]
    [InlineData("daily 99999999999999999999", "from 0 to")]
    [InlineData("daily 10001", "from 0 to")]
    [InlineData("daily 7, daily 8", "said twice")]
    public void A_rule_that_cannot_be_read_says_why(string text, string why) =>
        Should.Throw<Refused>(() => RetentionRule.Parse(text)).Message.ShouldContain(why);

    [Theory]
    [InlineData("")]
    [InlineData("25:00")]
    [InlineData("sunday 01:00")]
    [InlineData("sun")]
    [InlineData("sun 01:00 02:00")]
    [InlineData("mon,someday 01:00")]
    public void Times_that_cannot_be_read_say_how(string text) =>
        Should.Throw<Refused>(() => CopyTimes.Parse(text)).Message.ShouldContain("Say it like");

    [Fact]
    public void Days_that_lie_are_refused()
    {
        var times = CopyTimes.Parse("mon,thu 06:00,18:00");
        times.Between(new(2027, 3, 1), new(2027, 3, 7)).Select(t => $"{t:dd HH}").ShouldBe(["01 06", "01 18", "04 06", "04 18"]);
        Should.Throw<Refused>(() => times.Between(new(1, 1, 1), new(2027, 1, 1)).Count()).Message.ShouldContain("1970-01-01");
        Should.Throw<Refused>(() => times.Between(new(2027, 1, 1), new(9999, 12, 31)).Count()).Message.ShouldContain("2199-12-31");
        Should.Throw<Refused>(() => times.Between(new(2027, 1, 2), new(2027, 1, 1)).Count()).Message.ShouldContain("before the first");
        var often = new CopyTimes([], [.. Enumerable.Range(0, 96).Select(q => new TimeOnly(q / 4, q % 4 * 15))]);
        Should
            .Throw<Refused>(() => often.Between(CopyTimes.FirstDay, CopyTimes.LastDay).Count())
            .Message.ShouldContain("are counted at once");
    }

    [Fact]
    public void Enough_days_are_counted_for_all_a_rule_could_keep() =>
        Gen.Select(AnyRule, Pick.From("22:30", "sun 01:00", "mon,thu 06:00,18:00"))
            .Where(both => both.Item1 != new RetentionRule())
            .Holds(
                (rule, text) =>
                {
                    var times = CopyTimes.Parse(text);
                    DateOnly until = new(2100, 3, 1);
                    var left = Retention.Left(rule, RetentionSchool.Stacked, times.Between(times.Enough(rule, until), until)).Count;
                    var more = Retention
                        .Left(rule, RetentionSchool.Stacked, times.Between(times.Enough(rule, until).AddYears(-40), until))
                        .Count;
                    left.ShouldBe(more);
                },
                iter: 60
            );

    private static string Days(IEnumerable<KeptCopy> left) => string.Join(' ', left.Select(c => $"{c.At:MM-dd}"));

    /// <summary>
    /// By the definition alone, a copy at a time: it is kept for a period when nothing newer lies in the same one, the period is not passed over, and fewer periods that
    /// count are newer than are to be kept. A week is known by its Monday.
    /// </summary>
    private static IEnumerable<DateTime> ByDefinition(
        RetentionRule rule,
        RetentionSchool school,
        DateTime[] copies,
        Func<DateTime, bool> forGood
    )
    {
        var all = copies.Select((at, n) => (At: at, N: n)).Where(c => !forGood(c.At)).ToList();
        var kept = new List<(DateTime At, int N)>();
        (int Count, Func<(DateTime At, int N), object> Period)[] counts =
        [
            (rule.Last, c => c.N),
            (rule.Hourly, c => (c.At.Date, c.At.Hour)),
            (rule.Daily, c => c.At.Date),
            (rule.Weekly, c => c.At.Date.AddDays(-(((int)c.At.DayOfWeek + 6) % 7))),
            (rule.Monthly, c => (c.At.Year, c.At.Month)),
            (rule.Yearly, c => c.At.Year),
        ];
        foreach (var (count, period) in counts)
        {
            var before = kept.ToList();
            bool Passed(object of) => school == RetentionSchool.Stacked && before.Exists(k => Equals(period(k), of));
            foreach (var copy in all)
            {
                var newer = all.Where(o => (o.At, o.N).CompareTo((copy.At, copy.N)) > 0).Select(period).Distinct().ToList();
                if (!newer.Contains(period(copy)) && !Passed(period(copy)) && newer.Count(p => !Passed(p)) < count)
                {
                    kept.Add(copy);
                }
            }
        }

        return kept.Distinct().Select(c => c.At).Concat(copies.Where(forGood)).OrderDescending();
    }
}
