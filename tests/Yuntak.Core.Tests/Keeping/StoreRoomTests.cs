using Yuntak.Core.Edits;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Keeping;

/// <summary>Whether a store gets full, whatever day somebody asks; what archives and agents count for; jobs that never end.</summary>
public class StoreRoomTests
{
    /// <summary>1 TB of one guest that changes by half a percent a day, and so much room.</summary>
    private static Lab Of(double roomTB, string keep, RetentionSchool school)
    {
        var lab = Copied
            .House()
            .With(KeepingEdits.Store(new Store("shelf", Box: "shelf", Room: ByteSize.FromTB(roomTB), Deduplicates: true)));
        return (lab with { Boxes = [new Box("shelf")] }).With(
            KeepingEdits.Job(
                new CopyJob(
                    "nightly",
                    "shelf",
                    "22:30",
                    [new JobPart(Copied.Cloud, Size: ByteSize.FromTB(1), Changes: ByteSize.FromGB(5))],
                    Keep: keep,
                    School: school
                )
            )
        );
    }

    private static StoreRoom Room(Lab lab, DateOnly on)
    {
        var keeping = HouseKeeping.Of(Core.Bench.Sums.Of(lab, on), on);
        return keeping.Room(keeping.Stores.Single());
    }

    [Theory]
    [InlineData(RetentionSchool.Overlapping)]
    [InlineData(RetentionSchool.Stacked)]
    public void Whether_it_gets_full_is_the_same_on_every_day_of_the_year(RetentionSchool school)
    {
        var days = Enumerable
            .Range(0, 12)
            .Select(m => new DateOnly(2027, 1, 2).AddDays((m * 30) + (m % 5)))
            .Append(new DateOnly(2027, 1, 15))
            .Append(new DateOnly(2027, 6, 30));
        var most = Room(Of(9, "daily 7, weekly 4, monthly 6", school), new DateOnly(2027, 1, 2)).Settled;
        foreach (var (room, fits) in new[] { (most.Bytes / 1e12 * 1.0001, true), (most.Bytes / 1e12 * 0.9999, false) })
        {
            foreach (var day in days)
            {
                (Room(Of(room, "daily 7, weekly 4, monthly 6", school), day).FullOn is null).ShouldBe(fits, $"{day:O}");
            }
        }
    }

    /// <summary>The most there is on any day of a year, by letting the rule run from years before, as a store does night by night.</summary>
    [Theory]
    [InlineData("daily 7, weekly 4, monthly 6", RetentionSchool.Overlapping)]
    [InlineData("daily 7, weekly 4, monthly 6", RetentionSchool.Stacked)]
    [InlineData("last 3, weekly 8", RetentionSchool.Overlapping)]
    [InlineData("daily 14, yearly 2", RetentionSchool.Stacked)]
    public void What_is_told_is_no_less_than_any_night_of_three_years_leaves(string keep, RetentionSchool school)
    {
        var told = Room(Of(9, keep, school), new DateOnly(2027, 5, 5)).Settled;
        var (times, rule) = (CopyTimes.Parse("22:30"), RetentionRule.Parse(keep));
        var nights = KeptDays.Of(times, rule, school, new DateOnly(2023, 1, 1), new DateOnly(2029, 12, 31), new DateOnly(2027, 1, 1));
        var most = nights.Max(n => 1_000e9 + n.Left.Zip(n.Left.Skip(1), (a, b) => Math.Min(1_000e9, (a - b).TotalDays * 5e9)).Sum());
        ((double)told.Bytes).ShouldBeGreaterThanOrEqualTo(most - 1e6);
        ((double)told.Bytes).ShouldBeLessThan(most * 1.02, "four years do not differ from three by more");
    }

    [Fact]
    public void A_day_past_a_year_is_told_where_the_retention_takes_that_long_to_fill()
    {
        var lab = Of(2.2, "monthly 24", RetentionSchool.Overlapping);
        var room = Room(lab, new DateOnly(2027, 1, 2));
        room.Settled.Bytes.ShouldBeGreaterThan(2_200_000_000_000);
        room.FullOn.ShouldNotBeNull().ShouldBeInRange(new DateOnly(2027, 8, 1), new DateOnly(2029, 3, 1));
    }

    [Fact]
    [Trade]
    public void An_archive_counts_for_settings_and_database_and_for_the_folders_it_names()
    {
        var stack = Copied
            .Sound()
            .WithGuest(
                Copied.Cloud,
                g =>
                    g with
                    {
                        Folders = [new FolderMount("/srv/cloud/data", "/data"), new FolderMount("/srv/keys", "/keys", ReadOnly: true)],
                    }
            );
        HouseKeeping With(string path) =>
            stack
                .Job(j =>
                    j with
                    {
                        Takes =
                        [
                            j.Takes[0],
                            j.Takes[2],
                            new JobPart(Copied.Cloud, Kind: PartKind.Archive, Path: path, Size: ByteSize.FromGB(40)),
                        ],
                    }
                )
                .Keeping();

        With("/srv/cloud").InNoJob.ShouldBeEmpty();
        With("/srv/dumps").InNoJob.Select(v => v.Words).ShouldBe(["bulk data of cloud"]);
        var guest = With("/srv/cloud").Guests.Single(g => g.Guest.Id == Copied.Cloud);
        guest.Stores.Select(s => s.Store.Name).ShouldBe(["vault", "boathouse"]);
        // It is built anew, and 40 GB are laid in; a whole copy would be 510.
        guest.Restore!.Value.Minutes.ShouldBeInRange(20 + (40e9 / 118.7e6 / 60), 20 + (40e9 / 118.7e6 / 60) + 25);
    }

    [Fact]
    public void More_runs_a_day_than_any_house_has_are_refused_and_as_many_as_are_taken_are_worked_out_at_once()
    {
        var often = string.Join(',', Enumerable.Range(0, 96).Select(n => $"{n / 4:00}:{n % 4 * 15:00}"));
        Lab Busy(int jobs) =>
            Copied.Sound() with
            {
                Jobs =
                [
                    .. Enumerable
                        .Range(0, jobs)
                        .Select(n => new CopyJob($"job {n}", "vault", often, [new JobPart(Copied.Cloud)], Rate: 0.05)),
                ],
            };
        LabChecks.Problems(Busy(21), (_, _) => []).Select(p => p.Text).ShouldContain(t => t.Contains("2,000 is the most"));
        LabChecks.Problems(Busy(20), (_, _) => []).ShouldBeEmpty();
        // 1,920 runs that pile up without end: the worst there can be.
        ProcessorTime.Of(() => _ = Busy(20).Keeping().NightOf(Copied.Today).Runs.Count, 2).ShouldBeLessThan(2);
    }
}
