using AngleSharp.Dom;
using AngleSharp.Html.Dom;

namespace Yuntak.Web.Tests.Http;

/// <summary>The Devices station as a visitor without script meets it.</summary>
public sealed class DevicesTests(Site site) : IClassFixture<Site>
{
    [Fact]
    public async Task The_loom_draws_groups_ports_guests_and_the_way_of_each_wire()
    {
        var page = await site.Get("/Devices");
        var kiln = page.QuerySelector(".loom-board")!;
        // Ten groups, of which two hold the board's own bridges only.
        kiln.QuerySelectorAll(".loom-tray").Length.ShouldBe(8);
        kiln.QuerySelectorAll(".loom-tray.needed").Length.ShouldBe(4, "SATA, both flash disks, the management port");
        kiln.QuerySelectorAll(".loom-port").Length.ShouldBe(4);
        kiln.QuerySelectorAll(".wire.node").Length.ShouldBe(2);
        kiln.QuerySelectorAll(".wire.whole.barred").Length.ShouldBe(1);
        kiln.QuerySelectorAll(".loom-guest")
            .Select(g => g.QuerySelector(".block-name")!.TextContent)
            .ShouldBe(["lantern", "glazelog", "owlwatch"], ignoreOrder: true);
        // What lights up together: the stick of one guest is touched by the claim that would take it along.
        kiln.QuerySelectorAll("[data-touches]").Count(t => t.GetAttribute("data-touches")!.Split(' ').Length > 1).ShouldBeGreaterThan(0);
        // The same in words, for a phone, a reader and print.
        kiln.QuerySelectorAll(".claim-list li").Length.ShouldBe(3);
    }

    [Fact]
    public async Task A_claim_shows_every_way_and_the_better_one_settles_the_collision()
    {
        await using var own = new Site();
        await own.InitializeAsync();
        var page = await own.Get("/Devices?host=kiln&guest=glazelog");
        page.QuerySelector("#panel")!.TextContent.ShouldContain("owlwatch shares AI stick at port 4-1");
        page.QuerySelectorAll(".ways li").Length.ShouldBe(3);
        var settled = await own.Send(page, ".ways button[aria-label$='by its USB port']");
        settled.QuerySelector("#status .said")!.TextContent.ShouldContain("glazelog: serial adapter 3-1, by its USB port");
        settled.QuerySelectorAll(".findings li.stop").ShouldBeEmpty();
        settled.QuerySelectorAll(".wire.usb").Length.ShouldBe(1);
        (await own.Send(settled, "#undo")).QuerySelectorAll(".findings li.stop").Length.ShouldBe(1);
    }

    [Fact]
    public async Task What_the_host_needs_is_refused_with_the_reason()
    {
        var page = await site.Get("/Devices?host=kiln&device=0000:05:00.0&for=tinker");
        page.QuerySelector("#panel")!.TextContent.ShouldContain("the host is looked after through it");
        page.QuerySelectorAll(".ways button").ShouldBeEmpty("there is no button for what cannot be");
        var port = await site.Get("/Devices?host=kiln&device=0000:06:00.0&for=tinker");
        var refused = await site.Send(port, ".ways button", ("device", "0000:05:00.0"));
        refused.Body!.TextContent.ShouldContain("the host is looked after through it");
        var nonsense = await site.Send(port, ".ways button", ("way", "by magic"), ("device", "<b>"));
        nonsense.Body!.TextContent.ShouldContain("The way: ");
    }

    [Fact]
    public async Task A_guest_asks_goes_without_and_asks_again()
    {
        await using var own = new Site();
        await own.InitializeAsync();
        var asked = await own.Send(await own.Get("/Devices"), "#ask", ("guest", "tinker"), ("need", "network-port"));
        asked.QuerySelector("#status .said")!.TextContent.ShouldContain("tinker asks for a network port");
        asked.QuerySelector("#panel h2")!.TextContent.ShouldContain("network port → tinker");
        var all = await own.Get("/Devices/All");
        all.QuerySelectorAll("tr.new").Length.ShouldBe(1);
        var met = await own.Send(all, "#assign");
        met.QuerySelector("#status .said")!.TextContent.ShouldContain("1 claim met");
        var gone = await own.Send(await own.Get("/Devices?host=kiln&guest=tinker"), "#give-up");
        gone.QuerySelector("#status .said")!.TextContent.ShouldContain("tinker gives up");
        var again = await own.Send(await own.Get("/Devices"), "button[aria-label^='Ask again: gatehouse']");
        again.QuerySelector("#status .said")!.TextContent.ShouldContain("gatehouse asks for a network port again");
    }

    [Fact]
    public async Task A_stick_is_found_by_two_listings_or_by_tries_that_are_written_down()
    {
        await using var own = new Site();
        await own.InitializeAsync();
        const string Bus = "/sys/bus/usb/devices/usb4 -> ../../../devices/pci0000:00/0000:04:00.0/usb4\n";
        var page = await own.Get("/Devices/Find?host=kiln&looked=radio%20stick");
        var found = await own.Send(
            page,
            "#compare",
            ("before", Bus),
            (
                "after",
                Bus
                    + "/sys/bus/usb/devices/4-2 -> ../../../devices/pci0000:00/0000:04:00.0/usb4/4-2\n/sys/bus/usb/devices/4-2/product:Radio <stick>\n"
            )
        );
        found.QuerySelector("#came")!.TextContent.ShouldBe("Radio <stick> came at port 4-2, controller 0000:04:00.0");
        (await own.Send(page, "#compare", ("before", Bus))).Body!.TextContent.ShouldContain("Paste both");
        page.QuerySelectorAll(".tries li").Length.ShouldBe(2);
        var tried = await own.Send(page, "button[aria-label^='Not seen']");
        tried.QuerySelector("#status .said")!.TextContent.ShouldContain("radio stick not seen on");
        tried.QuerySelectorAll(".tries li").Length.ShouldBe(1);
        var seen = await own.Send(tried, "button[aria-label^='Seen']");
        seen.Body!.TextContent.ShouldContain("radio stick was seen on");
    }

    [Fact]
    public async Task A_home_without_hosts_is_told_where_to_begin()
    {
        await using var own = new Site { Demo = false };
        await own.InitializeAsync();
        (await own.Get("/Devices")).QuerySelector(".empty")!.TextContent.ShouldContain("No host yet");
        (await own.Get("/Devices/Find")).Body!.TextContent.ShouldContain("Add a host");
        (await own.Get("/Devices/All")).Body!.TextContent.ShouldContain("No guest");
    }
}
