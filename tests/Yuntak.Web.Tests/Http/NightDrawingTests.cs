using System.Globalization;
using System.Text.RegularExpressions;
using AngleSharp.Dom;

namespace Yuntak.Web.Tests.Http;

/// <summary>What is said to be to scale is to scale: read off the drawing with a ruler, as it were, against the times that are written beside it.</summary>
public partial class NightDrawingTests(Site site) : IClassFixture<Site>
{
    /// <summary>A Saturday: films are copied at one o'clock on Sundays.</summary>
    private const string Saturday = "/Keeping?night=2027-01-09";

    [Theory]
    [InlineData(".for-wide")]
    [InlineData(".for-narrow")]
    public async Task Bars_begin_and_end_where_the_hours_below_them_say(string width)
    {
        var night = (await site.Get(Saturday)).QuerySelector($"#night {width} svg.night-chart, #night {width} .night-chart")!;
        var (zero, hour) = Hours(night);
        night.QuerySelector(".wake-line")!.At("x1").ShouldBe(zero + (hour * SinceNoon("06:30")), 1);

        var read = 0;
        foreach (var run in night.QuerySelectorAll(".night-run"))
        {
            var bar = run.QuerySelector(".night-bar")!;
            var times = Times().Match(run.QuerySelector("title")!.TextContent);
            times.Success.ShouldBeTrue(run.QuerySelector("title")!.TextContent);
            var (starts, ends) = (
                zero + (hour * SinceNoon(times.Groups["from"].Value)),
                zero + (hour * SinceNoon(times.Groups["to"].Value))
            );
            // A piece of a run lies within it, the minutes are rounded, and what is too short to be seen is three wide.
            var minute = Math.Max(1, hour / 60) + 0.5;
            bar.At("x").ShouldBeGreaterThanOrEqualTo(starts - minute);
            (bar.At("x") + bar.At("width")).ShouldBeLessThanOrEqualTo(Math.Max(ends, bar.At("x") + 3) + minute);
            read++;
        }

        read.ShouldBeGreaterThan(8);
        night
            .QuerySelectorAll("[data-night=onward] .night-bar")
            .ShouldAllBe(b => Math.Abs(b.At("x") - (zero + (hour * SinceNoon("00:15")))) < 1);
    }

    [Fact]
    public async Task Dragged_by_an_hour_a_bar_goes_as_far_as_an_hour_is_wide()
    {
        var night = (await site.Get(Saturday)).QuerySelector("#night .for-wide .night-chart")!;
        var (_, hour) = Hours(night);
        night.QuerySelectorAll("[data-hour]").ShouldAllBe(b => Math.Abs(b.At("data-hour") - hour) < 0.1);
        night.QuerySelectorAll("[data-name=films]").ShouldAllBe(b => b.GetAttribute("data-starts") == "01:00");
    }

    [Fact]
    public async Task Two_at_once_on_one_disk_lie_one_above_the_other_and_each_row_holds_its_own()
    {
        var night = (await site.Get(Saturday)).QuerySelector("#night .for-wide .night-chart")!;
        var bars = night
            .QuerySelectorAll(".night-bar")
            .Select(b => (X: b.At("x"), Y: b.At("y"), W: b.At("width"), H: b.At("height")))
            .ToList();
        foreach (var (a, b) in from a in bars from b in bars where a != b select (a, b))
        {
            (a.X + a.W <= b.X + 3 || b.X + b.W <= a.X + 3 || a.Y + a.H <= b.Y + 0.1 || b.Y + b.H <= a.Y + 0.1).ShouldBeTrue(
                $"{a} lies on {b}"
            );
        }

        // Films and the onward copy are on the disks of the cellar at the same time.
        bars.Select(b => b.H).Distinct().Count().ShouldBeGreaterThan(1);
    }

    [Fact]
    public async Task The_ruler_has_a_mark_for_each_copy_that_is_left_where_its_age_belongs()
    {
        var ruler = (await site.Get("/Keeping?night=2027-12-31&job=nightly")).QuerySelector(".kept-board .for-wide .kept-ruler")!;
        var ticks = ruler.QuerySelectorAll(".tick-text").ToDictionary(t => t.TextContent, t => t.At("x"));
        var days = new[]
        {
            ("tonight", 0.0),
            ("1 day", 1),
            ("1 week", 7),
            ("1 month", 30),
            ("3 months", 91),
            ("6 months", 182),
            ("1 year", 365),
        };
        ticks.Keys.ShouldBe(days.Select(d => d.Item1), ignoreOrder: true);
        days.Zip(days.Skip(1)).ShouldAllBe(p => ticks[p.First.Item1] > ticks[p.Second.Item1], "older is further to the left");

        var marks = ruler.QuerySelectorAll(".kept-mark").ToList();
        marks.Count.ShouldBe(14, "daily 7, weekly 4, monthly 6, the handbook's example");
        foreach (var mark in marks)
        {
            var at = DateTime.ParseExact(mark.QuerySelector("title")!.TextContent, "dddd d MMM yyyy HH:mm", CultureInfo.InvariantCulture);
            var ago = (new DateTime(2027, 12, 31, 23, 59, 0) - at).TotalDays;
            var (newer, older) = (days.Last(d => d.Item2 <= ago), days.First(d => d.Item2 >= ago));
            (mark.At("x") + 3).ShouldBeInRange(ticks[older.Item1] - 0.2, ticks[newer.Item1] + 0.2, $"{at:yyyy-MM-dd}");
        }
    }

    [Fact]
    public async Task What_is_asked_about_stands_on_the_ruler_where_it_was_lost()
    {
        var ruler = (await site.Get("/Keeping?night=2027-12-31&job=nightly&ago=30")).QuerySelector(".kept-board .for-wide .kept-ruler")!;
        var month = ruler.QuerySelectorAll(".tick-text").Single(t => t.TextContent == "1 month").At("x");
        Numbers()
            .Matches(ruler.QuerySelector(".kept-asked")!.GetAttribute("d")!)[0]
            .Value.ShouldBe(month.ToString("0.##", CultureInfo.InvariantCulture));
        // What is left from before 1 December is the newest of its month: 30 November.
        ruler.QuerySelector("[class^=kept-says]")!.TextContent.ShouldBe("lost 30 days ago: from 30 Nov 2027");
    }

    [Fact]
    public async Task A_guest_of_which_only_part_is_copied_is_drawn_where_that_part_lies()
    {
        var places = (await site.Get("/Keeping?guest=pressbook")).QuerySelector(".for-wide .places")!;
        places.QuerySelectorAll(".kept-place-name").Select(p => p.TextContent).ShouldBe(["kiln", "cellar", "boathouse"]);
        places
            .QuerySelectorAll(".kept-place-says")
            .Select(p => p.TextContent)
            .ShouldBe(["the thing itself", "strongroom, not all of it", "boathouse, not all of it"]);
        places.QuerySelectorAll(".kept-place.missing").Length.ShouldBe(2);
        var whole = (await site.Get("/Keeping?guest=hearth")).QuerySelector(".for-wide .places")!;
        whole.QuerySelectorAll(".kept-place.missing").ShouldBeEmpty();
    }

    /// <summary>12 TB over 1 Gbit/s are 28.1 hours (the handbook's value): begun on Sunday at one, it still runs when the next night begins, until five on Monday.</summary>
    [Fact]
    public async Task What_still_runs_from_the_night_before_is_drawn_and_told_and_cannot_be_moved()
    {
        const string old = """
            yuntak: 1
            name: an old store box
            hosts:
              - name: box
                processor: { architecture: x86_64, cores: 4, threads: 8, virtualisation: true }
                memory: 16 GiB
                inside: { network: [{ name: eno1, speed: 1000, up: true }] }
                disks:
                  - { id: boot, name: sda, size: 240 GB, kind: sata-flash, mounted-at: [/] }
                  - { id: slow, name: sdb, size: 20 TB, kind: spinning }
                pools: [{ name: vault, layout: single, family: array, disks: [slow] }]
              - name: older
                processor: { architecture: x86_64, cores: 4, threads: 8, virtualisation: true }
                memory: 8 GiB
                inside: { network: [{ name: eno1, speed: 1000, up: true }] }
                disks:
                  - { id: o-boot, name: sda, size: 240 GB, kind: sata-flash, mounted-at: [/] }
                  - { id: o-slow, name: sdb, size: 24 TB, kind: spinning }
                pools: [{ name: shelf, layout: single, family: array, disks: [o-slow] }]
            guests:
              - { name: films, kind: machine, wants: [{ profile: media-library }], system-disk: 20 GB, bulk: 12 TB, on: { host: box, system-pool: vault, bulk-pool: vault } }
            stores: [{ name: shelf, host: older, pool: shelf, stands: true }]
            jobs: [{ name: weekly, store: shelf, times: sun 01:00, keep: last 1, takes: [{ guest: films }], stands: true }]
            """;
        await using var home = new Site { Demo = false };
        await home.InitializeAsync();
        var read = await home.Send(await home.Get("/Lab"), "textarea[name=text]", ("text", old), ("stands", "all"));
        read.QuerySelector("#status .refusal")?.TextContent.ShouldBeNull();

        var begun = await home.Get("/Keeping?night=2027-01-09");
        var first = begun.QuerySelector(".night-list li")!.TextContent;
        first.ShouldContain("01:00 to Mon 05:");
        first.ShouldContain("after the house wakes");
        begun.QuerySelectorAll(".night-list form[action*='handler=Move']").Length.ShouldBe(1);

        var next = await home.Get("/Keeping?night=2027-01-10");
        next.QuerySelector(".night-list li")!.TextContent.ShouldContain("Sun 01:00 to 05:");
        next.QuerySelectorAll(".night-list form[action*='handler=Move']")
            .ShouldBeEmpty("what began yesterday begins at no other time tonight");
        var night = next.QuerySelector("#night .for-wide .night-chart")!;
        night.QuerySelectorAll("[data-name]").ShouldBeEmpty();
        var (noon, hour) = Hours(night);
        foreach (var bar in night.QuerySelectorAll(".night-bar.copying"))
        {
            bar.At("x").ShouldBe(noon, 1, "it is on from noon");
            ((bar.At("x") + bar.At("width") - noon) / hour).ShouldBeInRange(17.0, 17.3);
        }

        (await home.Get("/Keeping?night=2027-01-11")).QuerySelector("#night .night-bar").ShouldBeNull("on Monday it is through");
        next.QuerySelector(".findings")!.TextContent.ShouldContain("as shelf keeps nothing once");
    }

    /// <summary>Where noon is, and how wide an hour, from the hours that are written below.</summary>
    private static (double Noon, double Hour) Hours(IElement night)
    {
        var ticks = night
            .QuerySelectorAll(".tick-text")
            .Select(t => (X: t.At("x"), Hours: (int.Parse(t.TextContent, CultureInfo.InvariantCulture) + 12) % 24))
            .ToList();
        ticks.Count.ShouldBeGreaterThan(3);
        var hour = (ticks[^1].X - ticks[0].X) / (ticks[^1].Hours - ticks[0].Hours);
        var noon = ticks[0].X - (ticks[0].Hours * hour);
        ticks.ShouldAllBe(t => Math.Abs(t.X - (noon + (t.Hours * hour))) < 0.1, "an hour is as wide as any other");
        return (noon, hour);
    }

    private static double SinceNoon(string time) => (TimeOnly.Parse(time, CultureInfo.InvariantCulture) - new TimeOnly(12, 0)).TotalHours;

    [GeneratedRegex("(?<from>[0-9]{2}:[0-9]{2}) to (?<to>[0-9]{2}:[0-9]{2})", RegexOptions.None, 1_000)]
    private static partial Regex Times();

    [GeneratedRegex("[0-9.]+", RegexOptions.None, 1_000)]
    private static partial Regex Numbers();
}

/// <summary>Numbers of a drawing.</summary>
file static class Drawn
{
    public static double At(this IElement element, string attribute) =>
        double.Parse(element.GetAttribute(attribute)!, CultureInfo.InvariantCulture);
}
