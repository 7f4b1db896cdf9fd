using AngleSharp.Dom;
using AngleSharp.Html.Dom;

namespace Yuntak.Web.Tests.Http;

/// <summary>Rehearsal, practice, notes and evenings as a visitor without script meets them.</summary>
public sealed class RehearsalTests(Site site) : IClassFixture<Site>
{
    [Fact]
    public async Task The_rehearsal_shows_lanes_a_play_head_and_what_came_of_it()
    {
        var page = await site.Get("/Runbook/Rehearsal");
        page.QuerySelectorAll(".for-wide .lane").Length.ShouldBe(10);
        page.QuerySelectorAll(".for-wide .gap").Length.ShouldBe(4, "lantern, pressbook, owlwatch, signpost");
        page.QuerySelector(".came")!.TextContent.ShouldContain("signpost, 14");
        page.QuerySelector(".play a[rel=next]")!.GetAttribute("href").ShouldBe("/Runbook/Rehearsal?at=1.1");

        var at = await site.Get("/Runbook/Rehearsal?at=6.2");
        at.QuerySelector("#head h2")!.TextContent.ShouldContain("move it to kiln");
        at.QuerySelector("#head")!.TextContent.ShouldContain("Away when it is through: signpost");
        at.QuerySelector(".play a[rel=prev]")!.GetAttribute("href").ShouldBe("/Runbook/Rehearsal?at=6.1");
        at.QuerySelectorAll("[aria-current=step]").Length.ShouldBe(1);
    }

    [Fact]
    public async Task A_fault_is_tried_and_a_wrong_one_refused_in_words()
    {
        var tried = await site.Get("/Runbook/Rehearsal?fault=disk-full&step=6.2");
        tried.QuerySelector(".tried")!.TextContent.ShouldContain("No space left on device");
        tried.QuerySelectorAll(".for-wide .flag").Length.ShouldBe(1);
        (await site.Get("/Runbook/Rehearsal?fault=all")).QuerySelectorAll(".tried").Length.ShouldBeGreaterThan(8);
        foreach (
            var (address, says) in new[]
            {
                ("fault=nonsense", "There is no fault"),
                ("fault=disk-full&step=77.7", "There is no open step"),
                ("fault=medium-left-in&step=1.1", "cannot happen"),
            }
        )
        {
            var refused = await site.Get("/Runbook/Rehearsal?" + address);
            refused.QuerySelector("#status")!.TextContent.ShouldContain(says);
            refused.QuerySelector(".lanes").ShouldNotBeNull("the rehearsal without it is shown");
        }
    }

    [Fact]
    public async Task Practice_answers_like_a_host_and_says_what_was_forgotten()
    {
        var page = await site.Get("/Runbook/Practice");
        page.QuerySelectorAll(".exercises li").Length.ShouldBeGreaterThanOrEqualTo(3);
        page = await site.Get("/Runbook/Practice?work=build-guest%2Ftinker");
        foreach (
            var (verb, value, says) in new[]
            {
                ("start", "", "No guest of that name is on the list"),
                ("create", "lots", "Not a size"),
                ("create", "8 GiB", "Created"),
                ("attach-medium", "", "No such medium"),
                ("fetch", "", "Saved on kiln"),
                ("attach-medium", "", "The medium is in the drive"),
                ("start", "", "the installer greets you"),
                ("install", "", "has finished"),
                ("take-out", "", "only be changed while it is off"),
            }
        )
        {
            page = await site.Send(page, "#moves", ("verb", verb), ("value", value));
            page.QuerySelectorAll(".answered li")[^1].TextContent.ShouldContain(says);
        }

        page = await site.Send(page, "#moves", ("take", "judge"));
        page.QuerySelector("#forgot")!.TextContent.ShouldContain("Shut it down, take the medium out and put the disk first");
        (await site.Get("/Runbook")).QuerySelector("#untick").ShouldBeNull("nothing real was touched");
        (await site.Get("/Runbook/Practice?work=gone")).QuerySelector("#status")!.TextContent.ShouldContain("not in the runbook any more");
    }

    [Fact]
    public async Task Notes_and_measured_times_are_kept_and_half_done_work_shows_its_way_back()
    {
        await using var own = new Site();
        await own.InitializeAsync();
        var page = await own.Get("/Runbook?part=0");
        var note = page.QuerySelectorAll("form[action*='handler=Note']")
            .First(f => f.QuerySelector("[name=step]")!.GetAttribute("value")!.Contains("lay-app-stack", StringComparison.Ordinal));
        note.Id = "note";
        page = await own.Send(page, "#note", ("text", "the <b>second</b> shelf"));
        page.QuerySelector(".noted")!.TextContent.ShouldContain("the <b>second</b> shelf");

        var tick = page.QuerySelectorAll("form.tick-form")
            .First(f => f.QuerySelector("[name=step]")!.GetAttribute("value")!.Contains("lay-app-stack", StringComparison.Ordinal));
        tick.Id = "tick";
        (await own.Send(page, "#tick", ("took", "soon"))).QuerySelector("#status")!.TextContent.ShouldContain("Nothing was ticked off");
        page = await own.Send(page, "#tick", ("took", "6"));
        var back = page.QuerySelector(".unwind")!;
        back.TextContent.ShouldContain("The way back from here, 1 step");
        back.QuerySelector("form")!.Id = "back";
        page = await own.Send(page, "#back");
        page.QuerySelector("ol.history")!.TextContent.ShouldContain("taken back");
        page.QuerySelectorAll(".unwind").Length.ShouldBe(0);
    }

    [Fact]
    public async Task Evenings_are_cut_and_the_files_of_a_runbook_are_given_out()
    {
        var page = await site.Get("/Runbook?minutes=60&sitting=1");
        page.QuerySelectorAll("nav[aria-label=Sittings] a").Length.ShouldBeGreaterThan(3);
        page.QuerySelectorAll(".step").Length.ShouldBeLessThan(20, "the steps of one evening");
        foreach (
            var (path, begins) in new[]
            {
                ("/files/script/kiln", "#!/bin/sh"),
                ("/files/runbook.ics?minutes=60", "BEGIN:VCALENDAR"),
                ("/files/cloud-config/tinker", "#cloud-config"),
                ("/files/ovf/tinker", "<?xml"),
            }
        )
        {
            (await site.Client.GetStringAsync(path)).ShouldStartWith(begins);
        }

        foreach (var path in new[] { "/files/script/nowhere", "/files/ovf/bootpost", "/files/cloud-config/nobody" })
        {
            ((int)(await site.Client.GetAsync(path)).StatusCode).ShouldBe(404);
        }
    }
}
