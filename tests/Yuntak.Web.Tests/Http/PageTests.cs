using System.Net;
using AngleSharp.Dom;
using Yuntak.Core.Labs;
using Yuntak.Web.Rooms;

namespace Yuntak.Web.Tests.Http;

/// <summary>Every page of the demo: headers, content security, anti-forgery, and what the demo is to show.</summary>
public class PageTests(Site site) : IClassFixture<Site>
{
    public static TheoryData<string> AllPages() => [.. House.Pages.Where(p => !p.AfterReading).Select(p => p.Path)];

    [Theory]
    [MemberData(nameof(AllPages))]
    public async Task Every_page_keeps_a_strict_content_policy(string path)
    {
        var response = await site.Client.GetAsync(path);

        response.StatusCode.ShouldBe(HttpStatusCode.OK);
        var policy = response.Headers.GetValues("Content-Security-Policy").Single();
        policy.ShouldContain("default-src 'none'");
        policy.ShouldContain("script-src 'self'");
        policy.ShouldNotContain("unsafe");
        policy.ShouldNotContain("http");
        response.Headers.GetValues("X-Content-Type-Options").ShouldBe(["nosniff"]);
    }

    [Theory]
    [MemberData(nameof(AllPages))]
    public async Task No_page_has_script_or_style_inside_or_asks_for_anything_elsewhere(string path)
    {
        var page = await site.Get(path);

        page.QuerySelectorAll("script:not([src])").ShouldBeEmpty();
        page.QuerySelectorAll("style, [style]").ShouldBeEmpty();
        page.All.SelectMany(e => e.Attributes).Where(a => a.Name.StartsWith("on")).Select(a => a.Name).ShouldBeEmpty();
        foreach (var link in page.QuerySelectorAll("[src], [href], [action], [formaction]"))
        {
            var to =
                link.GetAttribute("src") ?? link.GetAttribute("href") ?? link.GetAttribute("formaction") ?? link.GetAttribute("action")!;
            (to.StartsWith('/') && !to.StartsWith("//") || to.StartsWith('#')).ShouldBeTrue(to);
        }
    }

    [Theory]
    [MemberData(nameof(AllPages))]
    public async Task Every_form_that_changes_something_carries_a_token_and_its_revision(string path)
    {
        var page = await site.Get(path);
        foreach (var form in page.QuerySelectorAll("form[method=post]"))
        {
            form.QuerySelectorAll("input[name=__RequestVerificationToken]").Length.ShouldBe(1, form.OuterHtml);
            // The pages at the door change nothing in the lab.
            form.QuerySelectorAll("input[name=based-on]").Length.ShouldBe(page.QuerySelector("#undo") is null ? 0 : 1, form.OuterHtml);
        }
    }

    [Theory]
    [MemberData(nameof(AllPages))]
    public async Task Every_page_has_unique_ids_a_title_and_one_main(string path)
    {
        var page = await site.Get(path);
        page.QuerySelectorAll("[id]").Select(e => e.Id).ShouldBeUnique();
        page.Title!.ShouldEndWith("– Yuntak");
        page.QuerySelectorAll("main").Length.ShouldBe(1);
        page.QuerySelectorAll("h1").Length.ShouldBe(1);
    }

    [Fact]
    public async Task A_form_without_its_token_is_refused_in_plain_words()
    {
        var response = await site.Client.PostAsync(
            "/Bench?handler=Place",
            new FormUrlEncodedContent([new("guest", "tinker"), new("host", "wren")])
        );
        response.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await response.Content.ReadAsStringAsync()).ShouldContain("Nothing was changed");
    }

    [Theory]
    [InlineData("/nothing/here")]
    [InlineData("/Wants/Guest/nobody")]
    [InlineData("/Kit/Host/nobody")]
    [InlineData("/Kit/Ready/nobody")]
    [InlineData("/Kit/Reading/999")]
    [InlineData("/Clash/999")]
    [InlineData("/files/compose/nobody")]
    [InlineData("/files/compose/lantern")]
    public async Task What_is_not_there_gets_a_plain_page(string path)
    {
        var response = await site.Client.GetAsync(path);
        response.StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await response.Content.ReadAsStringAsync()).ShouldContain("There is nothing here");
    }

    /// <summary>Hosts give 128 watches to a user, all programs together: a page that needs one fails where they are gone.</summary>
    [Fact]
    public async Task No_page_takes_a_watch_on_files_that_never_change()
    {
        await site.Get("/");
        new DirectoryInfo("/proc/self/fd").EnumerateFileSystemInfos().Count(f => f.LinkTarget?.Contains("inotify") == true).ShouldBe(0);
    }

    [Fact]
    public async Task The_demo_opens_on_the_bench_with_five_stops_and_a_few_minds()
    {
        var page = await site.Get("/");

        page.QuerySelectorAll(".board h2").Select(h => h.TextContent.Trim()).ShouldBe(["kiln", "wren", "cellar"]);
        page.QuerySelectorAll(".findings li.stop")
            .Length.ShouldBe(
                5,
                "a host that cannot, a collision of devices, one of ports, a way in that is in the clear, and photos that are in no job"
            );
        page.QuerySelectorAll(".findings li.mind").Length.ShouldBeInRange(3, 10);
        page.QuerySelectorAll(".tray .chip").Select(c => c.TextContent).ShouldBe(["reelroom"]);
        page.QuerySelector(".rev")!.TextContent.ShouldContain("12 changes");
    }

    [Fact]
    public async Task The_route_shows_each_stations_worst_finding()
    {
        var page = await site.Get("/Bench");
        page.QuerySelectorAll(".route .station")
            .Select(s => s.GetAttribute("data-station"))
            .ShouldBe(["Kit", "Wants", "Disks", "Devices", "Wires", "Bench", "Runbook", "Keeping"]);
        page.QuerySelector("[data-station=Kit] .mark-shape")!.ClassList.ShouldContain("stop");
        page.QuerySelector("[data-station=Bench] .mark-shape")!.ClassList.ShouldContain("mind");
        page.QuerySelector("[data-station=Bench]")!.GetAttribute("aria-current").ShouldBe("page");
    }

    [Fact]
    public async Task Every_guest_is_drawn_with_its_name_and_to_scale()
    {
        var page = await site.Get("/Bench");
        foreach (var block in page.QuerySelectorAll(".ruler .gst"))
        {
            block.TextContent.ShouldContain(block.GetAttribute("data-name")!);
            // What is read aloud begins with what is seen and always holds the figure (WCAG 2.2, 2.5.3 label in name).
            var spoken = block.GetAttribute("aria-label")!;
            spoken.ShouldStartWith(block.QuerySelector("text")!.TextContent);
            System.Text.RegularExpressions.Regex.IsMatch(spoken, @" [0-9.]+\sGiB of memory").ShouldBeTrue(spoken);
        }

        double Width(string guest) => double.Parse(page.QuerySelector($"#ruler-{guest} .block")!.GetAttribute("width")!);
        // gatehouse: 2 GiB + 158 MiB; hearth: 3 GiB + 162 MiB; each block is drawn one unit narrower to leave a gap.
        ((Width("hearth") + 1) / (Width("gatehouse") + 1)).ShouldBe((3 * 1024 + 162) / (2.0 * 1024 + 158), 0.01);
    }

    [Theory]
    [InlineData("kiln", "kiln")]
    [InlineData("LANT", "lantern")]
    [InlineData("camera", "ask for: camera recorder")]
    [InlineData("lab file", "Lab file")]
    public async Task Anything_is_found_by_a_few_letters(string query, string first) =>
        (await site.Get($"/Find?q={Uri.EscapeDataString(query)}"))
            .QuerySelectorAll(".found b")
            .Select(b => b.TextContent)
            .ShouldContain(first);

    [Fact]
    public async Task The_preview_says_what_each_host_would_come_to()
    {
        var answer = await site.Client.GetStringAsync("/bench/preview/reelroom");
        answer.ShouldContain("\"host\":\"kiln\"");
        answer.ShouldContain("\"fit\":\"over\"");
    }

    [Theory]
    [InlineData("/files/lab.yaml", "yuntak: 1")]
    [InlineData("/files/lab.json", "\"yuntak\": 1")]
    [InlineData("/files/as-built.yaml", "yuntak: 1")]
    [InlineData("/files/runbook.md", "# Runbook: Saltmarsh Pottery")]
    [InlineData("/files/compose/pressbook", "services:")]
    public async Task Files_are_there_to_take_away(string path, string start)
    {
        var response = await site.Client.GetAsync(path);
        (await response.Content.ReadAsStringAsync()).ShouldContain(start);
        response.Content.Headers.ContentDisposition!.DispositionType.ShouldBe("attachment");
    }

    [Fact]
    public async Task Styles_and_scripts_are_served_and_may_be_kept()
    {
        var page = await site.Get("/");
        foreach (var file in page.QuerySelectorAll("link[rel=stylesheet], script[src]"))
        {
            var response = await site.Client.GetAsync(file.GetAttribute("href") ?? file.GetAttribute("src"));
            response.StatusCode.ShouldBe(HttpStatusCode.OK);
            response.Headers.CacheControl!.ToString().ShouldContain("immutable");
        }
    }

    [Fact]
    public async Task A_name_that_is_not_this_machines_is_turned_away()
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, "/Bench");
        request.Headers.Host = "elsewhere.example";
        (await site.Client.SendAsync(request)).StatusCode.ShouldBe(HttpStatusCode.MisdirectedRequest);
    }

    [Fact]
    public async Task The_servers_time_is_told_with_every_page() =>
        (await site.Client.GetAsync("/Bench")).Headers.GetValues("Server-Timing").Single().ShouldStartWith("app;dur=");
}
