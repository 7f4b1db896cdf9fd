using System.Net;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;
using Yuntak.Core.Labs;
using Yuntak.Formats.LabFiles;

namespace Yuntak.Web.Tests.Http;

/// <summary>The Disks station and the layout chooser as a visitor without script meets them.</summary>
public sealed class DisksTests(Site site) : IClassFixture<Site>
{
    [Fact]
    public async Task Every_pool_shows_where_its_room_went_and_how_likely_it_is_lost()
    {
        var page = await site.Get("/Disks?host=kiln&pool=clay");
        var steps = page.QuerySelectorAll(".chain tbody tr")
            .Select(r => string.Join('|', r.QuerySelectorAll("td").Select(c => c.TextContent)))
            .ToList();
        steps.Count.ShouldBe(5);
        // Six of 8 TB: 48 raw, 32 after double parity; at 128 KiB on six disks nothing is padded.
        steps[0].ShouldStartWith("48|");
        steps[1].ShouldStartWith("32|");
        page.QuerySelector("#panel")!.TextContent.ShouldContain("A pool is no backup");
        page.QuerySelectorAll(".disk-board").Length.ShouldBe(3);
        page.QuerySelectorAll(".disk-board .dsk").Length.ShouldBe(15);
    }

    [Fact]
    public async Task A_pool_is_described_and_what_is_wrong_is_said_with_everything_kept()
    {
        var page = await site.Get("/Disks?host=wren&pool=ember");
        var kept = await site.Send(
            page,
            "#keep-pool",
            ("scrub-days", "30"),
            ("encrypted", "yes"),
            ("key-places", "the safe"),
            ("takes", "guest-disks")
        );
        kept.QuerySelector("#status .said")!.TextContent.ShouldContain("wren: ember is for guest disks");
        kept.Body!.TextContent.ShouldContain("The key of ember on wren is not kept safely");
        await site.Send(await site.Get("/Disks?host=wren&pool=ember"), "#keep-pool", ("key-places", "the safe\na sealed letter"));
        (await site.Get("/Disks")).QuerySelector(".findings")!.TextContent.ShouldNotContain("is not kept safely");

        var refused = await site.Send(
            await site.Get("/Disks?host=wren&pool=ember"),
            "#keep-pool",
            ("layout", "parity2"),
            ("scrub-days", "14"),
            ("name", "ember <2>")
        );
        refused.QuerySelector(".refusal")!.TextContent.ShouldContain("double parity needs at least 3 disks; 1 chosen.");
        ((IHtmlInputElement)refused.QuerySelector("input[name='scrub-days']")!).Value.ShouldBe("14");
        ((IHtmlInputElement)refused.QuerySelector("#pool-form input[name='name']")!).Value.ShouldBe("ember <2>");
        var wrong = await site.Send(await site.Get("/Disks?host=wren&pool=ember"), "#keep-pool", ("scrub-days", "often"));
        wrong.QuerySelector(".refusal")!.TextContent.ShouldContain("Days between scrubs: a whole number");
        await UndoAll(2);
    }

    [Fact]
    public async Task A_disk_leaves_its_pool_joins_again_and_cannot_be_missed_where_it_is_needed()
    {
        var disk = "wwn-0x0000000000030006";
        var taken = await site.Send(await site.Get($"/Disks?host=kiln&disk={disk}"), "#move-disk", ("pool", ""));
        taken.QuerySelector("#status .said")!.TextContent.ShouldContain("kiln: sdg taken out of clay");
        var back = await site.Send(await site.Get($"/Disks?host=kiln&disk={disk}"), "#move-disk", ("pool", "clay"));
        back.QuerySelector("#status .said")!.TextContent.ShouldContain("sdg joins clay, double parity of 6 disks");
        var before = await site.Client.GetStringAsync("/files/lab.yaml");
        var refused = await site.Send(await site.Get("/Disks?host=wren&disk=eui.0000000000020003"), "#move-disk", ("pool", ""));
        refused.QuerySelector(".refusal")!.TextContent.ShouldContain("needs at least 1 disk");
        (await site.Client.GetStringAsync("/files/lab.yaml")).ShouldBe(before);
        await UndoAll(2);
    }

    [Fact]
    public async Task The_chooser_lists_every_way_marks_what_nothing_beats_and_recommends_one()
    {
        var page = await site.Get("/Disks/Layouts?disks=6x20TB&price=400");
        var rows = page.QuerySelectorAll(".layouts tbody tr");
        rows.Length.ShouldBeGreaterThan(10);
        page.QuerySelectorAll(".best-mark").Length.ShouldBeGreaterThan(3);
        page.QuerySelectorAll(".risk-plot .best").Length.ShouldBe(page.QuerySelectorAll(".best-mark").Length);
        page.QuerySelectorAll(".layouts tr.chosen").Length.ShouldBe(1);
        page.QuerySelector("#recommended")!.TextContent.ShouldContain("Recommended: double parity of 6 disks");
        page.QuerySelector("tr.chosen")!.TextContent.ShouldContain("30");
    }

    [Fact]
    public async Task The_chooser_answers_from_a_need_and_compares_offers()
    {
        var page = await site.Get(
            "/Disks/Layouts?need=80TB&survives=2&offer-0-size=20TB&offer-0-price=400&offer-0-warranty=5&offer-1-size=20TB&offer-1-price=239&offer-1-condition=recertified&offer-1-warranty=2"
        );
        var rows = page.QuerySelectorAll(".layouts tbody tr").Select(r => r.TextContent).ToList();
        rows[0].ShouldContain("recertified", customMessage: "the cheapest comes first");
        rows.ShouldContain(r => r.Contains("6 × 20\u202FTB new"));
        ((IHtmlInputElement)page.QuerySelector("input[name='need']")!).Value.ShouldBe("80TB");
        ((IHtmlInputElement)page.QuerySelector("input[name='offer-1-price']")!).Value.ShouldBe("239");
    }

    [Theory]
    [InlineData("disks=3x20XB", "not «20XB»")]
    [InlineData("disks=0x2TB", "is no disk")]
    [InlineData("disks=2x2TB&price=much", "What one costs: a number belongs here")]
    [InlineData("need=lots&survives=2&offer-0-size=4TB", "The room you need: a size")]
    [InlineData("need=20TB", "Name at least one disk you could buy")]
    [InlineData("need=20TB&survives=9&offer-0-size=4TB", "Failures to survive: a whole number from 0 to 3")]
    [InlineData("need=7000TB&survives=2&offer-0-size=4TB", "Nothing sensible gives that")]
    public async Task What_is_wrong_is_said_in_one_line(string query, string says)
    {
        var page = await site.Get("/Disks/Layouts?" + query);
        page.QuerySelector(".refusal")!.TextContent.ShouldContain(says);
        page.QuerySelectorAll(".layouts").ShouldBeEmpty();
    }

    [Fact]
    public async Task A_layout_chosen_for_free_disks_becomes_a_pool_in_the_plan()
    {
        await site.Send(await site.Get("/Disks?host=cellar&pool=vault"), "#apart");
        var board = await site.Get("/Disks");
        var link = board.QuerySelectorAll(".disk-pool.free a.fix").Single(a => a.GetAttribute("href")!.Contains("host=cellar"));
        var chooser = await site.Get(link.GetAttribute("href")!);
        var row = chooser.QuerySelectorAll(".layouts tbody tr").Single(r => r.TextContent.Contains("2 data disks with a parity disk"));
        var made = await site.Send(row, "form");
        made.QuerySelector("#status .said")!.TextContent.ShouldContain("cellar: pool vault added, 2 data disks with a parity disk");
        var lab = LabFile.Read(await site.Client.GetStringAsync("/files/lab.yaml")).Lab!;
        lab.Hosts.Single(h => h.Name == "cellar").PoolNamed("vault")!.Layout.ShouldBe(PoolLayout.Dedicated1);
        await UndoAll(2);
    }

    [Fact]
    public async Task Growth_said_of_a_guest_gives_the_days_its_pool_is_full()
    {
        var kept = await site.Send(
            await site.Get("/Wants/Guest/lantern"),
            "#save",
            ("grows-monthly", "250 GB"),
            ("grows-yearly", "5"),
            ("give-or-take", "50")
        );
        kept.QuerySelector("#status .said")!.TextContent.ShouldContain("250\u202FGB a month and 5");
        var pool = await site.Get("/Disks?host=kiln&pool=clay");
        pool.QuerySelector(".growth-chart .growth-range").ShouldNotBeNull();
        pool.QuerySelector("#panel")!.TextContent.ShouldMatch(@"80 %\s*20\d\d-\d\d-\d\d \(20\d\d-\d\d-\d\d to 20\d\d-\d\d-\d\d\)");
        var refused = await site.Send(await site.Get("/Wants/Guest/lantern"), "#save", ("give-or-take", "900"));
        refused.Body!.TextContent.ShouldContain("give or take at most 100 %");
        await UndoAll(1);
    }

    [Fact]
    public async Task How_long_flash_lasts_is_worked_out_from_its_data_sheet()
    {
        var page = await site.Get("/Disks?host=wren&disk=eui.0000000000020003&rated=600+TB&daily=40+GB&used=800+GB");
        page.QuerySelector("#wears")!.TextContent.ShouldContain("20.5 years");
        page.QuerySelector("#wears")!.TextContent.ShouldContain("25");
        var wrong = await site.Get("/Disks?host=wren&disk=eui.0000000000020003&rated=plenty");
        wrong.QuerySelector(".refusal")!.TextContent.ShouldContain("Rated for: a size");
        ((IHtmlInputElement)wrong.QuerySelector("input[name='rated']")!).Value.ShouldBe("plenty");
    }

    [Fact]
    public async Task What_is_not_there_is_not_changed()
    {
        var page = await site.Get("/Disks");
        var token = ((IHtmlInputElement)page.QuerySelector("input[name='__RequestVerificationToken']")!).Value;
        var response = await site.Client.PostAsync(
            "/Disks?handler=Pool&host=kiln&pool=nothing",
            new FormUrlEncodedContent([new("__RequestVerificationToken", token), new("based-on", "1")])
        );
        response.StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    private async Task UndoAll(int times)
    {
        for (var n = 0; n < times; n++)
        {
            await site.Send(await site.Get("/Disks"), "#undo");
        }
    }
}
