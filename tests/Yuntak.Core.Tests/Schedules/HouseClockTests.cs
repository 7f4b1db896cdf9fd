using Cronos;
using CsCheck;
using Yuntak.Core.Schedules;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Schedules;

/// <summary>The clock on the wall, against a reference library for schedules (Cronos) over the system's own zones.</summary>
public class HouseClockTests
{
    private static readonly string[] Zones =
    [
        "Europe/Lisbon",
        "America/New_York",
        "Australia/Lord_Howe",
        "Asia/Kathmandu",
        "America/St_Johns",
        "Etc/UTC",
    ];

    [Fact]
    [Reference("Cronos 0.11, occurrences of a schedule in a zone")]
    public void What_is_done_at_a_time_is_done_when_the_reference_does_it_also_on_days_the_clock_is_put_forward_and_back() =>
        (
            from zone in Gen.Int[0, Zones.Length - 1]
            from minute in Gen.Int[0, 1439]
            from days in Gen.Int[0, 127]
            from year in Gen.Int[2024, 2031]
            select (zone, minute, days, year)
        ).Holds(
            any =>
            {
                var which = Enumerable.Range(0, 7).Where(d => (any.days & (1 << d)) != 0).Select(d => (DayOfWeek)d).ToList();
                var times = new CopyTimes([.. which], [TimeOnly.MinValue.AddMinutes(any.minute)]);
                var clock = new HouseClock(Zones[any.zone]);
                var mine = times
                    .Between(new DateOnly(any.year, 1, 2), new DateOnly(any.year, 12, 30))
                    .Select(w => DateTimeOffset.UnixEpoch.AddSeconds(clock.Seconds(w)).UtcDateTime)
                    .ToList();
                var cron = CronExpression.Parse(
                    $"{any.minute % 60} {any.minute / 60} * * {(which.Count == 0 ? "*" : string.Join(',', which.Select(d => (int)d)))}"
                );
                var zone = TimeZoneInfo.FindSystemTimeZoneById(Zones[any.zone]);
                var theirs = cron.GetOccurrences(
                        TimeZoneInfo.ConvertTimeToUtc(new DateTime(any.year, 1, 2), zone),
                        TimeZoneInfo.ConvertTimeToUtc(new DateTime(any.year, 12, 31), zone),
                        zone
                    )
                    .ToList();
                mine.ShouldBe(theirs);
            },
            iter: 300
        );

    [Fact]
    public void A_moment_comes_back_as_the_clock_shows_it()
    {
        var clock = new HouseClock("Europe/Lisbon");
        // On 28 March 2027 01:00 is followed by 02:00; on 31 October 2027 01:30 comes twice.
        clock.Wall(clock.Seconds(new DateTime(2027, 3, 28, 1, 30, 0))).ShouldBe(new DateTime(2027, 3, 28, 2, 0, 0));
        (clock.Seconds(new DateTime(2027, 10, 31, 2, 0, 0)) - clock.Seconds(new DateTime(2027, 10, 31, 1, 30, 0))).ShouldBe(5400);
        (clock.Seconds(new DateTime(2027, 3, 29)) - clock.Seconds(new DateTime(2027, 3, 28))).ShouldBe(23 * 3600);
        (clock.Seconds(new DateTime(2027, 11, 1)) - clock.Seconds(new DateTime(2027, 10, 31))).ShouldBe(25 * 3600);
    }

    [Theory]
    [InlineData("22:30", 24, "every day at 22:30")]
    [InlineData("sun 01:00", 168, "Sundays at 01:00")]
    [InlineData("mon,thu 06:00", 96, "Mondays and Thursdays at 06:00")]
    [InlineData("06:00,18:00", 12, "every day at 06:00 and 18:00")]
    [InlineData("06:00,07:00", 23, "every day at 06:00 and 07:00")]
    public void Times_are_said_in_words_and_know_their_longest_gap(string text, double gap, string words)
    {
        var times = CopyTimes.Parse(text);
        times.LongestGapHours.ShouldBe(gap);
        times.Words().ShouldBe(words);
        CopyTimes.Parse(times.ToString()).ShouldBe(times);
    }

    [Theory]
    [InlineData("2026-11-26T22:30", "2026-11-26T22:30")]
    [InlineData("2026-11-26 22:30:59", "2026-11-26T22:30")]
    [InlineData("2026-11-26", "2026-11-26T00:00")]
    [InlineData("0001-01-01", null)]
    [InlineData("9999-12-31T23:59", null)]
    [InlineData("yesterday", null)]
    [InlineData("2026-02-30", null)]
    [InlineData("2026-11-26T25:00", null)]
    public void Moments_are_read_or_they_are_not(string text, string? written) =>
        (Moments.Read(text) is { } at ? Moments.Write(at) : null).ShouldBe(written);
}
