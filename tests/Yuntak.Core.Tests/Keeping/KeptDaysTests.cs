using CsCheck;
using Yuntak.Core.Keeping;
using Yuntak.Core.Schedules;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Keeping;

/// <summary>What a store has left when it thins every night, and the way from a wish to a rule.</summary>
public class KeptDaysTests
{
    private static readonly Gen<RetentionRule> AnyRule =
        from last in Gen.Int[0, 3]
        from daily in Gen.Int[1, 9]
        from weekly in Gen.Int[0, 6]
        from monthly in Gen.Int[0, 7]
        from others in Gen.Int[0, 5].Array[3]
        select new RetentionRule(last, others[0], others[1] == 0 && weekly > 0 ? 0 : daily, weekly, monthly, others[2] == 5 ? 2 : 0);

    /// <summary>Where counts overlap, thinning each night leaves what thinning once at the end would: the newest of a period is taken, and the next of the same period takes its place.</summary>
    [Fact]
    public void Thinned_each_night_or_once_the_overlapping_school_leaves_the_same() =>
        AnyRule.Holds(
            rule =>
            {
                var (from, until) = (new DateOnly(2026, 3, 3), new DateOnly(2027, 3, 1));
                foreach (var text in new[] { "22:30", "sun,wed 01:00,13:00" })
                {
                    var times = CopyTimes.Parse(text);
                    KeptDays
                        .On(times, rule, RetentionSchool.Overlapping, from, until)
                        .ShouldBe(Retention.Left(rule, RetentionSchool.Overlapping, times.Between(from, until)).Select(c => c.At));
                }
            },
            iter: 200
        );

    /// <summary>Ten thousand copies over half a century: what a page is asked for must not be worked out copy by copy on each of those nights.</summary>
    [Theory]
    [InlineData(RetentionSchool.Overlapping, "hourly 9999, daily 400, yearly 40")]
    [InlineData(RetentionSchool.Stacked, "hourly 9999, daily 400, yearly 40")]
    [InlineData(RetentionSchool.Overlapping, "monthly 600")]
    [InlineData(RetentionSchool.Stacked, "monthly 600")]
    public void A_rule_that_keeps_very_many_is_followed_as_well(RetentionSchool school, string text)
    {
        var (times, rule, until) = (CopyTimes.Parse("22:30"), RetentionRule.Parse(text), new DateOnly(2027, 12, 31));
        var from = KeptDays.Settled(times, rule, until);
        KeptDays.On(times, rule, school, from, until).ShouldBe(Retention.Left(rule, school, times.Between(from, until)).Select(c => c.At));
    }

    [Fact]
    public void What_is_gone_does_not_come_back() =>
        AnyRule.Holds(
            rule =>
            {
                foreach (var school in Enum.GetValues<RetentionSchool>())
                {
                    HashSet<DateTime> before = [];
                    foreach (var (day, left) in KeptDays.Of(CopyTimes.Parse("22:30"), rule, school, new(2027, 1, 1), new(2027, 6, 30)))
                    {
                        left.Where(c => DateOnly.FromDateTime(c) < day).ShouldBeSubsetOf(before);
                        left.ShouldBe(left.OrderDescending());
                        before = [.. left];
                    }
                }
            },
            iter: 30
        );

    [Theory]
    [InlineData("22:30", RetentionSchool.Overlapping, 180, 14)]
    [InlineData("22:30", RetentionSchool.Stacked, 180, 14)]
    [InlineData("22:30", RetentionSchool.Overlapping, 30, 7)]
    [InlineData("sun 01:00", RetentionSchool.Overlapping, 28, 0)]
    [InlineData("22:30", RetentionSchool.Overlapping, 5, 7)]
    [InlineData("mon,wed,fri 22:30", RetentionSchool.Stacked, 365, 30)]
    [InlineData("22:30", RetentionSchool.Overlapping, 1_800, 7)]
    [InlineData("22:30", RetentionSchool.Stacked, 1_800, 7)]
    [InlineData("sun 01:00", RetentionSchool.Overlapping, 1_500, 0)]
    [InlineData("22:30", RetentionSchool.Overlapping, 2_189, 7)]
    [InlineData("22:30", RetentionSchool.Overlapping, 2_190, 7)]
    [InlineData("22:30", RetentionSchool.Stacked, 3_650, 30)]
    public void A_wish_leads_to_a_rule_that_holds_on_every_day_of_a_year(string text, RetentionSchool school, int back, int daily)
    {
        var times = CopyTimes.Parse(text);
        var rule = RetentionWish.Rule(times, school, back, daily);
        // Followed over other years than the rule was found with, and from when it has all it keeps.
        var last = new DateOnly(2031, 12, 31);
        foreach (var (day, left) in KeptDays.Of(times, rule, school, last.AddDays(-back - (4 * 366)), last).Skip(back + (2 * 366)))
        {
            (day.DayNumber - DateOnly.FromDateTime(left[^1]).DayNumber).ShouldBeGreaterThanOrEqualTo(back - 1, $"{rule} on {day}");
            var days = left.Select(DateOnly.FromDateTime).ToHashSet();
            for (var ago = 0; ago < Math.Min(daily, back); ago++)
            {
                if (times.Days.Count == 0 || times.Days.Contains(day.AddDays(-ago).DayOfWeek))
                {
                    days.Contains(day.AddDays(-ago)).ShouldBeTrue($"{rule} on {day}");
                }
            }
        }
    }

    /// <summary>A century is the most that is asked: it is answered as quickly as a year, for a page asks it.</summary>
    [Fact]
    public void A_wish_to_go_back_for_a_century_is_a_rule_by_years_that_is_not_searched_for()
    {
        var times = CopyTimes.Parse("22:30");
        RetentionWish
            .Rule(times, RetentionSchool.Overlapping, 36_500, 7)
            .ShouldBe(new RetentionRule(Daily: 7, Weekly: 4, Monthly: 12, Yearly: 102));
    }

    [Fact]
    [Trade]
    public void The_last_four_of_a_daily_job_reach_back_three_days() =>
        RetentionWish.Leaves(CopyTimes.Parse("22:30"), new RetentionRule(Last: 4), RetentionSchool.Overlapping).ShouldBe((3, 4));

    [Fact]
    public void A_file_that_was_lost_comes_back_from_the_newest_copy_before()
    {
        DateTime[] left = [new(2027, 3, 1, 22, 30, 0), new(2027, 2, 28, 22, 30, 0), new(2027, 1, 31, 22, 30, 0)];
        KeptDays.Before(left, new(2027, 3, 1, 12, 0, 0)).ShouldBe(left[1]);
        KeptDays.Before(left, new(2027, 2, 1)).ShouldBe(left[2]);
        KeptDays.Before(left, new(2027, 1, 1)).ShouldBeNull();
    }
}
