using CsCheck;
using Yuntak.Core.Keeping;
using Yuntak.Core.Schedules;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Keeping;

/// <summary>What is after midnight belongs to the night before: moved along the night, a time takes its day of the week with it.</summary>
public class NightTimesTests
{
    [Theory]
    [InlineData("sun 01:00", "23:00", "sat 23:00")]
    [InlineData("sat 23:00", "01:00", "sun 01:00")]
    [InlineData("mon,thu 02:30", "22:15", "sun,wed 22:15")]
    [InlineData("22:30", "03:00", "03:00")]
    [InlineData("fri 12:00", "11:59", "sat 11:59")]
    public void Moved_past_midnight_it_stays_in_its_night(string was, string to, string now) =>
        NightTimes.At(CopyTimes.Parse(was), TimeOnly.Parse(to, System.Globalization.CultureInfo.InvariantCulture)).ToString().ShouldBe(now);

    [Fact]
    public void Minutes_since_noon_and_back()
    {
        NightTimes.SinceNoon(new TimeOnly(12, 0)).ShouldBe(0);
        NightTimes.SinceNoon(new TimeOnly(0, 30)).ShouldBe(750);
        NightTimes.SinceNoon(new TimeOnly(11, 59)).ShouldBe(1439);
        Gen.Int[0, 1439].Holds(minute => NightTimes.SinceNoon(NightTimes.AfterNoon(minute)).ShouldBe(minute), iter: 200);
    }

    [Fact]
    public void Any_time_moved_there_and_back_is_what_it_was() =>
        Gen.Select(Gen.Int[0, 1439], Gen.Int[0, 1439], Gen.Int[0, 127])
            .Holds(drawn =>
            {
                var (a, b, days) = drawn;
                var times = new CopyTimes(
                    [.. Enumerable.Range(0, 7).Where(d => (days & (1 << d)) != 0).Select(d => (DayOfWeek)d)],
                    [NightTimes.AfterNoon(a)]
                );
                var moved = NightTimes.At(times, NightTimes.AfterNoon(b));
                NightTimes.Nights(moved).ShouldBe(NightTimes.Nights(times), ignoreOrder: true);
                NightTimes.At(moved, times.Times[0]).ToString().ShouldBe(times.ToString());
            });
}
