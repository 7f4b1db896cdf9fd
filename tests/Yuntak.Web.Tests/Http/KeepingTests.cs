using AngleSharp.Dom;
using AngleSharp.Html.Dom;

namespace Yuntak.Web.Tests.Http;

/// <summary>The station for copies, as it is used: plan, tick, move, ask, read a list, write a drill down.</summary>
public class KeepingTests(Site site) : IClassFixture<Site>
{
    [Fact]
    public async Task The_night_what_is_left_and_the_places_are_drawn_and_told()
    {
        var page = await site.Get("/Keeping?ago=38&than=daily%2014,%20monthly%206&school=stacked");

        page.QuerySelectorAll("#night .for-wide .night-bar").Length.ShouldBeGreaterThan(4);
        page.QuerySelector("#night .wake-text")!.TextContent.ShouldContain("06:30");
        page.QuerySelectorAll(".night-list li").Length.ShouldBeGreaterThan(1);
        page.QuerySelectorAll(".kept-board .for-wide .kept-ruler").Length.ShouldBe(2);
        page.QuerySelector(".asked")!.TextContent.ShouldContain("lost 38 days ago");
        page.QuerySelectorAll(".places-table tbody tr").Length.ShouldBeGreaterThan(5);
        page.QuerySelector(".findings")!.TextContent.ShouldContain("bulk data of pressbook are in no job", Case.Insensitive);
    }

    [Theory]
    [InlineData("?ago=soon", "is not how many days ago")]
    [InlineData("?than=everything", "is no count of copies")]
    [InlineData("?from=late&until=06:30", "is no time of day")]
    [InlineData("?back=99999999999&daily=1", "is not how many days back")]
    [InlineData("?night=9999-12-31", "")]
    [InlineData("?night=0001-01-01", "")]
    [InlineData("?night=2199-12-31&ago=36500", "")]
    [InlineData("?job=nothing&guest=nobody", "")]
    public async Task Odd_questions_get_a_plain_answer(string query, string words) =>
        (await site.Get($"/Keeping{query}")).Body!.TextContent.ShouldContain(words);

    [Fact]
    public async Task A_store_that_is_too_small_leads_to_what_to_buy()
    {
        var page = await site.Get("/Keeping/Plan?store=boathouse");
        var small = await site.Send(page, "#panel form[action*='handler=Store'] input[name=room]", ("room", "3 TB"));
        var link = small.QuerySelector("a[href^='/Disks/Layouts?']")!;
        link.ParentElement!.TextContent.ShouldContain("For a year it would have to hold");
        var ways = await site.Get(link.GetAttribute("href")!);
        ways.QuerySelectorAll("tbody th[scope=row]").Length.ShouldBeGreaterThan(2);
        ways.QuerySelector("input[name=need]")!.GetAttribute("value")!.ShouldEndWith("TB");
        await site.Send(small, "#undo");
    }

    [Fact]
    public async Task Zones_are_fetched_for_who_asks_and_each_can_be_kept()
    {
        var page = await site.Get("/Keeping");
        page.QuerySelectorAll("#zones option").ShouldBeEmpty();
        var zones = (await site.Get(page.QuerySelector("[list=zones]")!.GetAttribute("hx-get")!)).QuerySelectorAll("option");
        zones.Length.ShouldBeGreaterThan(300);
        var kept = await site.Send(page, "form[action*='handler=Clock'] button", ("time-zone", zones[^1].GetAttribute("value")!));
        kept.QuerySelector(".status")!.TextContent.ShouldContain(zones[^1].GetAttribute("value")!);
        await site.Send(kept, "#undo");
    }

    [Fact]
    public async Task A_job_is_moved_along_the_night_and_the_change_is_undone()
    {
        var page = await site.Get("/Keeping");
        var moved = await site.Send(page, "form[action*='handler=Move'] input[type=time]", ("time", "23:10"));
        moved.QuerySelector(".status")!.TextContent.ShouldContain("begins every day at 23:10");
        (await site.Send(moved, "#undo")).QuerySelector(".status")!.TextContent.ShouldContain("taken back");
        (await site.Get("/Keeping/Plan")).QuerySelector(".jobs-table")!.TextContent.ShouldContain("every day at 22:30");
        var refused = await site.Send(await site.Get("/Keeping"), "form[action*='handler=Move'] input[type=time]", ("time", "25:99"));
        refused.QuerySelector(".status")!.TextContent.ShouldContain("is no time of day");
    }

    [Fact]
    public async Task A_wish_leads_to_a_rule_that_is_kept()
    {
        var page = await site.Get("/Keeping?back=180&daily=14");
        var kept = await site.Send(page, "form[action*='handler=Keep'] .do");
        kept.QuerySelector(".kept-rule")!.TextContent.ShouldContain("daily 14");
        kept.QuerySelector(".findings")!.TextContent.ShouldNotContain("keeps less than is asked");
        await site.Send(kept, "#undo");
    }

    [Fact]
    public async Task Ticks_put_volumes_into_a_job_and_a_reason_quiets_the_finding()
    {
        var page = await site.Get("/Keeping/Plan?job=nightly");
        page.QuerySelector<IHtmlInputElement>("input[name=ticked][value='pressbook/bulk']")!.IsChecked.ShouldBeFalse();
        page.QuerySelector<IHtmlInputElement>("input[name=ticked][value='pressbook/bulk']")!.IsChecked = true;
        var ticked = await site.Send(page, "#keep-takes");
        ticked.QuerySelector<IHtmlInputElement>("input[name=ticked][value='pressbook/bulk']")!.IsChecked.ShouldBeTrue();
        ticked.QuerySelector(".findings")!.TextContent.ShouldNotContain("are in no job");
        ticked
            .QuerySelector<IHtmlInputElement>("input[name=ticked][value='hearth/system']")!
            .IsChecked.ShouldBeTrue("what was not touched stays");
        await site.Send(ticked, "#undo");
    }

    [Fact]
    public async Task A_store_a_job_and_an_onward_copy_are_planned_changed_and_taken_out()
    {
        var stored = await site.Send(
            await site.Get("/Keeping/Plan"),
            "form[action*='handler=Store'] input[name=name]",
            ("name", "shelf"),
            ("lies", "carried:cellar"),
            ("place", "a friend"),
            ("room", "8 TB")
        );
        stored.QuerySelector("#panel h2")!.TextContent.ShouldBe("shelf");
        var refused = await site.Send(await site.Get("/Keeping/Plan?store=shelf"), "#panel input[name=room]", ("room", "-8 TB"));
        refused.QuerySelector(".status")!.TextContent.ShouldContain("a size such as");
        var job = await site.Send(
            await site.Get("/Keeping/Plan"),
            "form[action*='handler=Job'] input[name=name]",
            ("name", "weekly"),
            ("store", "shelf"),
            ("times", "sun 10:00"),
            ("keep", "last 2")
        );
        job.QuerySelector(".jobs-table")!.TextContent.ShouldContain("Sundays at 10:00");
        var out_ = await site.Send(await site.Get("/Keeping/Plan?store=shelf"), "#panel button[formaction*=RemoveStore]");
        out_.QuerySelector(".status")!.TextContent.ShouldContain("store shelf no longer planned, with 1 job into it");
        out_.QuerySelector(".jobs-table")!.TextContent.ShouldNotContain("Sundays at 10:00", Case.Sensitive, "a job goes with its store");
        await site.Send(out_, "#undo");
        await site.Send(await site.Get("/Keeping/Plan?store=shelf"), "#panel button[formaction*=RemoveStore]");
    }

    [Fact]
    public async Task A_list_of_copies_is_held_against_the_plan()
    {
        var page = await site.Get("/Keeping/Drills");
        var read = await site.Send(
            page,
            "#copy-list",
            ("store", "strongroom"),
            ("text", "guest,time,bytes\npressbook,2026-11-01T22:30,1600000000\nmoth,2026-11-01T22:30,5\n")
        );
        read.QuerySelector(".status")!.TextContent.ShouldContain("Not in the lab: moth");
        read.QuerySelector(".findings")!.TextContent.ShouldContain("The newest copy of pressbook in strongroom is too old");
        read.QuerySelector(".findings")!.TextContent.ShouldContain("There is no copy of hearth in strongroom");
        (await site.Send(await site.Get("/Keeping/Drills"), "#copy-list", ("store", "strongroom"), ("text", "")))
            .QuerySelector(".status")!
            .TextContent.ShouldContain("There is nothing in it");
        var forgotten = await site.Send(await site.Get("/Keeping/Drills"), "form[action*='handler=Forget'] button");
        forgotten.QuerySelector(".findings")!.TextContent.ShouldNotContain("too old");
    }

    [Fact]
    public async Task A_drill_is_planned_and_what_came_of_it_written_down()
    {
        var planned = await site.Send(
            await site.Get("/Keeping/Drills"),
            "#plan-drill button",
            ("what", "guest:glazelog"),
            ("on", "2027-05-01")
        );
        planned.QuerySelector(".status")!.TextContent.ShouldContain("drill of glazelog on 2027-05-01: planned");
        (await site.Get("/Runbook?part=0")).Body!.TextContent.ShouldContain("Drill: bring glazelog back under another name");
        var done = await site.Send(
            planned,
            "form[action*='handler=Drill'] input[name=key]",
            ("worked", "true"),
            ("minutes", "18"),
            ("note", "all there")
        );
        done.Body!.TextContent.ShouldContain("came back in 18");
        await site.Send(done, "#undo");
        await site.Send(await site.Get("/Keeping/Drills"), "#undo");
    }

    [Fact]
    public async Task Sheets_say_where_keys_lie_and_what_to_do_and_files_are_there_to_take()
    {
        (await site.Get("/Keeping/Keys")).Body!.TextContent.ShouldContain("paper in the studio drawer");
        var sheet = (await site.Get("/Keeping/Sheet")).Body!.TextContent;
        sheet.ShouldContain("fire brigade");
        sheet.ShouldContain("licensed person");
        (await site.Client.GetStringAsync("/files/keeping.ics")).ShouldContain("BEGIN:VCALENDAR");
        (await site.Client.GetStringAsync("/files/keeping.csv")).ShouldStartWith("job,takes,bytes");
        (await site.Client.GetStringAsync("/files/keeping.md")).ShouldContain("### nightly");
    }

    [Fact]
    public async Task A_home_with_no_plan_gets_one_with_a_press_of_a_button()
    {
        await using var home = new Site { Demo = false };
        var begun = await BegunAsync(home);
        begun.QuerySelectorAll("#night .night-bar").Length.ShouldBeGreaterThan(2);
        begun.QuerySelector(".findings")!.TextContent.ShouldNotContain("in no job");
        var stands = await home.Send(await home.Get("/Keeping/Plan"), "#keeping-stands");
        (await home.Get("/Runbook?part=0")).QuerySelectorAll(".step").ShouldBeEmpty("all of it is so already");
        stands.QuerySelector("#keeping-stands").ShouldBeNull();
    }

    [Fact]
    public async Task What_a_first_copy_and_a_drill_took_is_known_from_the_ticks_on()
    {
        await using var home = new Site { Demo = false };
        await BegunAsync(home);
        const string job = "/Keeping/Plan?job=nightly";
        (await home.Get(job)).QuerySelector("#panel input[name=rate]")!.GetAttribute("value").ShouldBeNullOrEmpty();

        var page = await home.Get("/Runbook?part=0");
        for (var n = 0; page.QuerySelectorAll(".step.next").Length > 0; n++)
        {
            n.ShouldBeLessThan(30);
            var copies = page.QuerySelector(".step.next summary")!.TextContent.Contains("for the first time");
            await home.Send(page, ".step.next .tick-box", ("took", copies ? "6000" : ""));
            page = await home.Get("/Runbook?part=0");
        }

        var rate = (await home.Get(job)).QuerySelector("#panel input[name=rate]")!.GetAttribute("value");
        double.Parse(rate!, System.Globalization.CultureInfo.InvariantCulture).ShouldBeInRange(30, 40);
        (await home.Get("/Lab"))
            .QuerySelector("a.rev")!
            .TextContent.Trim()
            .ShouldEndWith("as built", Case.Sensitive, "what stands knows it too");

        // A drill for next week, done today: ticked, it came back.
        await home.Send(await home.Get("/Keeping/Drills"), "#plan-drill button", ("on", $"{DateTime.Now.AddDays(7):yyyy-MM-dd}"));
        page = await home.Get("/Runbook?part=0");
        await home.Send(page, ".step.next .tick-box", ("took", "41"));
        await home.Send(await home.Get("/Runbook?part=0"), "form.tick-all button");
        var drills = await home.Get("/Keeping/Drills");
        drills.Body!.TextContent.ShouldContain($"{DateTime.Now.ToString("d MMM yyyy", System.Globalization.CultureInfo.InvariantCulture)}");
        drills.Body!.TextContent.ShouldContain("came back in 41");
        drills.QuerySelectorAll("form[action*='handler=Drill'] input[name=key]").ShouldBeEmpty("nothing is planned any more");
        (await home.Get("/Runbook?part=0")).QuerySelectorAll(".step").ShouldBeEmpty();
    }

    [Fact]
    public async Task A_drill_that_is_yet_to_be_done_cannot_be_written_down()
    {
        await using var home = new Site();
        await home.InitializeAsync();
        var planned = await home.Send(
            await home.Get("/Keeping/Drills"),
            "#plan-drill button",
            ("what", "guest:glazelog"),
            ("on", "2090-05-01")
        );
        string[] odd = ["2090-05-01", "yesterday", ""];
        string[] said = ["2090-05-01 is yet to come", "«yesterday» is no day", "is no day"];
        foreach (var (on, words) in odd.Zip(said))
        {
            var refused = await home.Send(planned, "form[action*='handler=Drill'] input[name=key]", ("worked", "true"), ("on", on));
            refused.QuerySelector(".status")!.TextContent.ShouldContain(words);
        }
    }

    /// <summary>The demo's house without stores and jobs, as if read by somebody new, with the plan that is offered.</summary>
    private static async Task<IHtmlDocument> BegunAsync(Site home)
    {
        await home.InitializeAsync();
        (await home.Get("/Keeping")).QuerySelector(".empty")!.TextContent.ShouldContain("No copy is planned yet");
        var file = await File.ReadAllTextAsync(Path.Combine(Repository.Root, "demo", "saltmarsh-as-built.yaml"));
        await home.Send(
            await home.Get("/Lab"),
            "textarea[name=text]",
            ("text", file[..file.IndexOf("\nstores:", StringComparison.Ordinal)]),
            ("stands", "all")
        );
        return await home.Send(await home.Get("/Keeping"), "#begin");
    }
}
