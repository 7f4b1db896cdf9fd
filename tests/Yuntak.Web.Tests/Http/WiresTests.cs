using System.Diagnostics;
using System.Net;
using System.Text;
using AngleSharp.Dom;

namespace Yuntak.Web.Tests.Http;

/// <summary>The Wires station as a visitor without script meets it.</summary>
public sealed class WiresTests(Site site) : IClassFixture<Site>
{
    [Fact]
    public async Task The_picture_draws_rails_drops_keyholes_the_way_in_and_a_ruler_for_each_prefix()
    {
        var page = await site.Get("/Wires");
        var rails = page.QuerySelector(".net-rails")!;
        rails.QuerySelectorAll("[data-rail]").Select(r => r.GetAttribute("data-rail")).ShouldBe(["household", "cameras"]);
        rails.QuerySelectorAll("a.gst").Select(g => g.GetAttribute("data-name")).ShouldContain("owlwatch");
        rails.QuerySelectorAll(".net-key.bad").Length.ShouldBe(2, "80 of pressbook, 443 of kiln");
        rails.QuerySelectorAll(".net-way.bad").Length.ShouldBe(1);
        page.QuerySelectorAll(".ruler-row").Select(r => r.GetAttribute("data-first")).ShouldBe(["10.40.7.0", "10.40.20.0"]);
        // The same in words, for a phone, a reader and print.
        page.QuerySelectorAll(".wires-board .claim-list li").Length.ShouldBeGreaterThan(12);
        page.QuerySelectorAll(".findings li.stop").Length.ShouldBe(2);
    }

    [Fact]
    public async Task A_guest_gets_an_address_moves_to_another_rail_and_is_taken_back()
    {
        await using var own = new Site();
        await own.InitializeAsync();
        var page = await own.Get("/Wires?guest=tinker");
        var given = await own.Send(page, "button[aria-label='Next free address, household']");
        given.QuerySelector("#status .said")!.TextContent.ShouldContain("tinker: handed out → 10.40.7.2");
        var moved = await own.Send(given, "#wire-form", ("guest", "tinker"), ("from", "household"), ("to", "cameras"), ("address", ""));
        moved.QuerySelector("#status .said")!.TextContent.ShouldContain("tinker: household → cameras, 10.40.7.2 → 10.40.20.1");
        var along = await own.Send(
            moved,
            "#wire-form",
            ("guest", "tinker"),
            ("from", "cameras"),
            ("to", "cameras"),
            ("address", "10.40.20.77")
        );
        along.QuerySelector("#status .said")!.TextContent.ShouldContain("10.40.20.1 → 10.40.20.77");
        (await own.Send(along, "#undo")).QuerySelector("#status .said")!.TextContent.ShouldContain("taken back");
    }

    [Fact]
    public async Task A_network_a_way_in_a_share_and_a_box_are_planned_and_wrong_ones_are_refused_in_words()
    {
        await using var own = new Site();
        await own.InitializeAsync();
        var page = await own.Get("/Wires");
        var network = await own.Send(page, "#network-form", ("name", "things"), ("prefix", "10.40.30.0/24"), ("tag", "30"));
        network.QuerySelector("#status .said")!.TextContent.ShouldContain("network things planned, 10.40.30.0/24");
        var wrong = await own.Send(network, "#network-form", ("name", "more"), ("prefix", "10.40.30.5/24"));
        wrong.Body!.TextContent.ShouldContain("«10.40.30.0/24» is the prefix it lies in");
        foreach (var odd in new[] { "::/0", "0.0.0.0/0", "10.1.1.1/32", "10.1.2.0/31", "fd00::1/128" })
        {
            var drawn = await own.Send(await own.Get("/Wires"), "#network-form", ("name", $"odd {odd}"), ("prefix", odd));
            drawn.QuerySelector("#status .said")!.TextContent.ShouldContain(odd);
            drawn.QuerySelector($"[data-ruler='odd {odd}']").ShouldNotBeNull();
            (await own.Client.GetAsync($"/Wires?network=odd%20{Uri.EscapeDataString(odd)}")).StatusCode.ShouldBe(HttpStatusCode.OK);
        }

        var twice = await own.Send(await own.Get("/Wires"), "#network-form", ("name", "things"), ("prefix", "10.40.31.0/24"));
        twice.Body!.TextContent.ShouldContain("There is already a network «things».");

        var way = await own.Send(await own.Get("/Wires"), "#forward-form", ("from-port", "8090"), ("to", "lantern"));
        way.QuerySelector("#status .said")!.TextContent.ShouldContain("8090/tcp from outside leads to lantern");
        way.QuerySelectorAll(".reach-board li").Length.ShouldBe(2);

        var share = await own.Send(
            way,
            "#share-form",
            ("name", "films"),
            ("from", "host:cellar"),
            ("path", "/vault/films"),
            ("who", "10.40.7.22, wren"),
            ("size", "1 TB")
        );
        share.QuerySelector("#status .said")!.TextContent.ShouldContain("cellar shares /vault/films as films");
        var bad = await own.Send(share, "#share-form", ("name", "x"), ("from", "host:kiln"), ("path", "clay"), ("who", "<script>"));
        bad.Body!.TextContent.ShouldContain("begins with a slash");
        var mount = await own.Send(await own.Get("/Wires?guest=lantern"), "#mount", ("share", "films"), ("at", "/srv/films"));
        mount.QuerySelector("#status .said")!.TextContent.ShouldContain("lantern sees films at /srv/films");
        mount.QuerySelector(".findings")!.TextContent.ShouldContain("kiln may not use films");
        var opened = await own.Send(
            mount,
            "form[action$='handler=ChangeShare']:has(input[value=films])",
            ("name", "reels"),
            ("who", "kiln 10.40.7.22")
        );
        opened.QuerySelector("#status .said")!.TextContent.ShouldContain("share films changed");
        opened
            .QuerySelector(".findings")!
            .TextContent.ShouldNotContain("may not use", Case.Sensitive, "who mounts it follows its new name");
    }

    [Fact]
    public async Task A_list_of_addresses_is_pasted_and_what_is_wrong_is_said()
    {
        await using var own = new Site();
        await own.InitializeAsync();
        var page = await own.Get("/Wires");
        var taken = await own.Send(page, "#take-list", ("text", "10.40.7.60 printer\n10.40.7.24 glazelog\nnonsense here"));
        taken.QuerySelector("#status .said")!.TextContent.ShouldContain("1 line not understood: Line 3");
        taken.Body!.TextContent.ShouldContain("printer");
        var nothing = await own.Send(page, "#take-list", ("text", "8.8.8.8 far"));
        nothing.Body!.TextContent.ShouldContain("None of these addresses lies in a network that is planned");
        var empty = await own.Send(page, "#take-list", ("text", ""));
        empty.Body!.TextContent.ShouldContain("There is nothing in it");
    }

    [Fact]
    public async Task It_is_so_already_takes_the_wires_over_without_a_step()
    {
        await using var own = new Site();
        await own.InitializeAsync();
        var before = (await own.Get("/Runbook")).Body!.TextContent;
        before.ShouldContain("br-cam");
        var said = await own.Send(await own.Get("/Wires"), "#stands");
        said.QuerySelector("#stands").ShouldBeNull();
        (await own.Get("/Runbook")).Body!.TextContent.ShouldNotContain("Make the bridge br-cam");
    }

    [Fact]
    public async Task Files_are_there_to_take_away_and_what_is_not_there_is_not_found()
    {
        foreach (
            var (path, holds) in new[]
            {
                ("/files/hosts", "10.40.7.22 lantern.saltmarsh.example lantern"),
                ("/files/ethers", "02:59:4b:00:00:1e 10.40.7.30"),
                ("/files/reservations.csv", "hearth,02:59:4b:00:00:1e,10.40.7.30"),
                ("/files/zone/saltmarsh.example", "lantern IN A 10.40.7.22"),
                ("/files/zone/7.40.10.in-addr.arpa", "22 IN PTR lantern.saltmarsh.example."),
                ("/files/exports/cellar", "/vault/attic 10.40.7.24(ro"),
                ("/files/fstab/glazelog", "10.40.7.13:/vault/attic /srv/attic nfs ro"),
            }
        )
        {
            (await site.Client.GetStringAsync(path)).ShouldContain(holds, Case.Sensitive, path);
        }

        (await site.Client.GetAsync("/files/zone/a;b")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await site.Client.GetAsync("/files/fstab/nobody")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_home_without_networks_is_told_what_was_read_and_takes_it_over()
    {
        await using var own = new Site { Demo = false };
        await own.InitializeAsync();
        (await own.Get("/Wires")).QuerySelector(".empty h2")!.TextContent.ShouldBe("No network yet");
        const string Text = """
            yuntak: 1
            name: one
            hosts:
              - { name: box, processor: { cores: 2 }, memory: 8 GiB, inside: { bridges: [{ name: br0, ports: [eno1], addresses: [192.168.4.10/24] }] } }
            guests: []
            """;
        await own.Send(await own.Get("/Lab"), "form[action*='handler=Read']", ("text", Text));
        var taken = await own.Send(await own.Get("/Wires"), "#take-read");
        taken.QuerySelector("#status .said")!.TextContent.ShouldContain("192.168.4.0/24");
        taken.QuerySelectorAll(".net-host").Length.ShouldBe(1);
    }

    [Fact]
    public async Task A_wide_prefix_with_two_thousand_addresses_is_grouped()
    {
        await using var own = new Site { Demo = false };
        await own.InitializeAsync();
        var text = new StringBuilder(
            "yuntak: 1\nname: wide\nnetworks: [{ name: wide, prefix: 10.99.0.0/16 }]\nhosts:\n  - { name: big, processor: { cores: 64 }, memory: 4 TiB }\nboxes:\n"
        );
        for (var n = 0; n < 2000; n++)
        {
            text.Append($"  - {{ name: b{n}, addresses: [10.99.{n / 250}.{(n % 250) + 1}] }}\n");
        }

        await own.Send(await own.Get("/Lab"), "form[action*='handler=Read']", ("text", text + "guests: []\n"));
        await own.Get("/Wires");
        var clock = Stopwatch.StartNew();
        var page = await own.Get("/Wires");
        clock.Elapsed.ShouldBeLessThan(TimeSpan.FromSeconds(5), "a guard against what grows with the square; the bench measures");
        page.QuerySelectorAll(".net-thing").Length.ShouldBeLessThan(60);
        page.QuerySelector(".net-more")!.TextContent.ShouldContain("1,968 more");
        (await own.Get("/Wires/Plan")).QuerySelectorAll("tbody tr").Length.ShouldBe(300);
    }
}
