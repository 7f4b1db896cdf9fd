using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Keeping;

/// <summary>A guest is busy in the hours in which it takes at least 70 % of what it takes at its busiest, beside what it takes at rest (common practice).</summary>
[Trade]
public class BusyHoursTests
{
    [Fact]
    public void A_copy_that_is_noticed_is_found_in_just_the_hours_its_guest_is_busy()
    {
        // 200 GB over 1 Gbit/s are 28 minutes: within the hour they begin in.
        var hours = Enumerable.Range(0, 24).ToList();
        hours.Where(h => Found(At(h, 200)).Count > 0).ShouldBe(Busy);
        hours.Where(h => Found(At(h, 200)).Exists(f => f.Hour != h)).ShouldBeEmpty();
    }

    [Fact]
    public void A_copy_that_goes_on_into_a_busy_hour_is_found_with_that_hour()
    {
        // 500 GB at 119 MB/s are 70 minutes: begun an hour before the first busy one it reaches into it, begun two hours before it does not.
        var first = Busy[0];
        Found(At(first - 1, 500)).Single().Hour.ShouldBe(first);
        Found(At(first - 2, 500)).ShouldBeEmpty();
    }

    [Fact]
    public void What_takes_no_longer_than_a_quarter_of_an_hour_is_only_noticed_where_the_guest_is_stopped()
    {
        Found(At(Busy[0], 50)).ShouldBeEmpty();
        Found(At(Busy[0], 50).Job(j => j with { Mode = CopyMode.Stop })).Single().Hour.ShouldBe(Busy[0]);
    }

    [Fact]
    public void The_quiet_time_that_is_proposed_is_the_nearest_at_which_nobody_is_busy()
    {
        foreach (var hour in Enumerable.Range(0, 24))
        {
            var keeping = At(hour, 200).Keeping();
            var time = BusyHours.Quiet(keeping, keeping.Jobs[0])!.Times.Single();
            Busy.ShouldNotContain(time.Hour);
            if (!Busy.Contains(hour))
            {
                time.Hour.ShouldBe(hour, "it may stay where it is");
                continue;
            }

            // Along the night, which begins at noon: nothing nearer is quiet.
            var (from, to) = (SinceNoon(hour), SinceNoon(time.Hour));
            Enumerable.Range(0, 24).Where(h => !Busy.Contains(h)).Min(h => Math.Abs(SinceNoon(h) - from)).ShouldBe(Math.Abs(to - from));
        }
    }

    [Fact]
    public void A_job_with_several_times_is_moved_by_hand()
    {
        // Twice a day is half of it each time.
        var twice = At(Busy[0], 400).Job(j => j with { Times = $"03:00,{Busy[0]:00}:00" }).Keeping();
        BusyHours.Of(twice, twice.Jobs[0]).ShouldNotBeEmpty();
        BusyHours.Quiet(twice, twice.Jobs[0]).ShouldBeNull();
    }

    /// <summary>The hours cloud is busy in, by the definition.</summary>
    private static IReadOnlyList<int> Busy
    {
        get
        {
            var guest = Copied.Sound().Keeping().Sums.Guest(Copied.Cloud);
            var hours = Enumerable.Range(0, 24).Select(guest.CoresAt).ToList();
            var edge = hours.Min() + (0.7 * (hours.Max() - hours.Min()));
            return [.. Enumerable.Range(0, 24).Where(h => hours[h] >= edge)];
        }
    }

    private static int SinceNoon(int hour) => (hour + 12) % 24;

    /// <summary>The sound house with cloud alone in its job, so much of it new each day, at an hour.</summary>
    private static Lab At(int hour, double gigabytes) =>
        Copied
            .Sound()
            .Job(j => j with { Times = $"{hour:00}:00", Takes = [new JobPart(Copied.Cloud, Changes: ByteSize.FromGB(gigabytes))] });

    private static List<(Guest Guest, int Hour)> Found(Lab lab) => [.. BusyHours.Of(lab.Keeping(), lab.Keeping().Jobs[0])];
}
