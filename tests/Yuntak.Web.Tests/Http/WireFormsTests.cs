using AngleSharp.Dom;
using AngleSharp.Html.Dom;

namespace Yuntak.Web.Tests.Http;

/// <summary>The panels of the Wires station, form by form, as a visitor without script sends them: what is planned is said, and nonsense is refused in words.</summary>
public sealed class WireFormsTests : IAsyncLifetime
{
    private readonly Site site = new();

    public ValueTask InitializeAsync() => site.InitializeAsync();

    public ValueTask DisposeAsync() => site.DisposeAsync();

    [Fact]
    public async Task A_network_is_changed_its_guests_follow_its_name_and_it_is_taken_out_again()
    {
        var page = await site.Get("/Wires?network=household");
        var changed = await site.Send(page, "#change-network", ("name", "ground floor"), ("numbered", "true"), ("mtu", "9000"));
        Said(changed).ShouldContain("network household");
        changed.QuerySelector("#panel-title")!.TextContent.ShouldBe("ground floor", "the panel follows the name");
        changed.QuerySelector<IHtmlInputElement>("#change-network [name=numbered]")!.IsChecked.ShouldBeTrue();
        (await site.Get("/Wires?guest=tinker")).QuerySelector(".leg-form b")!.TextContent.ShouldBe("ground floor");

        var refused = await site.Send(changed, "#change-network", ("mtu", "12"));
        Refused(refused).ShouldContain("largest packet", Case.Insensitive);
        var gone = await site.Send(changed, "button[formaction$=RemoveNetwork]");
        Said(gone).ShouldContain("ground floor");
        (await site.Get("/Wires?guest=tinker")).QuerySelector(".leg-form").ShouldBeNull();
        // Everybody who is on no network now is put on another at once.
        var all = await site.Send(gone, "#join-all", ("network", "cameras"));
        Said(all).ShouldContain("on cameras");
        all.QuerySelector("#join-all").ShouldBeNull();
    }

    [Fact]
    public async Task A_guest_joins_a_network_gets_another_hardware_address_and_leaves()
    {
        var joined = await site.Send(await site.Get("/Wires?guest=tinker"), "#join", ("network", "cameras"), ("address", "10.40.20.9"));
        Said(joined).ShouldContain("tinker on cameras at 10.40.20.9");
        var leg = "form.leg-form:has(input[value=cameras])";
        var changed = await site.Send(joined, leg, ("mac", "02:00:00:00:00:aa"), ("bridge", "br7"));
        Said(changed).ShouldContain("tinker: cameras changed");
        changed.QuerySelector<IHtmlInputElement>($"{leg} [name=mac]")!.Value.ShouldBe("02:00:00:00:00:aa");
        Refused(await site.Send(changed, leg, ("mac", "no address"))).ShouldContain("hardware address", Case.Insensitive);
        Refused(await site.Send(changed, leg, ("address", "10.40.20.300"))).ShouldContain("10.40.20.300");
        Said(await site.Send(changed, "button[aria-label='Off it: cameras']")).ShouldContain("tinker off cameras");
        Refused(await site.Send(joined, "#join", ("network", "nowhere"))).ShouldContain("no network «nowhere»");
    }

    [Fact]
    public async Task A_guest_answers_on_a_port_more_and_on_one_less_and_keeps_the_others()
    {
        var page = await site.Get("/Wires?guest=tinker");
        var before = Ports(page);
        var more = await site.Send(
            page,
            "form[action$=Listen]:has([name=guest])",
            ("port", "8123"),
            ("login", "false"),
            ("encrypted", "false"),
            ("page", "true")
        );
        Said(more).ShouldContain("8123/tcp");
        Ports(more).ShouldBe([.. before, "8123/tcp"], ignoreOrder: true);
        more.QuerySelector("#panel")!.TextContent.ShouldContain("lets anybody in");
        var less = await site.Send(more, "button[aria-label='Not any more: 8123']");
        Ports(less).ShouldBe(before, ignoreOrder: true);
        foreach (var odd in new[] { "0", "65536", "eighty", "-1" })
        {
            Refused(await site.Send(page, "form[action$=Listen]:has([name=guest])", ("port", odd))).ShouldContain("port", Case.Insensitive);
        }
    }

    [Fact]
    public async Task A_host_has_a_place_a_port_and_a_bridge_of_its_own()
    {
        var placed = await site.Send(
            await site.Get("/Wires?host=wren"),
            "form[action$=HostLeg]",
            ("network", "cameras"),
            ("address", "10.40.20.3")
        );
        placed.QuerySelector("#panel")!.TextContent.ShouldContain("10.40.20.3");
        Refused(await site.Send(placed, "form[action$=HostLeg]", ("network", "cameras"), ("address", "a place"))).ShouldContain("a place");
        var page = await site.Send(placed, "form[action$=HostListen]", ("port", "9443"), ("page", "true"));
        Said(page).ShouldBe("wren answers on 8443/tcp, 9443/tcp", "the one it has stays");
        var less = await site.Send(page, "button[aria-label='Not any more: 9443']");
        Said(less).ShouldBe("wren answers on 8443/tcp");
        var bridge = await site.Send(
            less,
            "form[action$=Bridge]:has([name=carries])",
            ("name", "br9"),
            ("carries", "cameras"),
            ("aware", "true")
        );
        bridge.QuerySelector("#panel")!.TextContent.ShouldContain("br9");
        (await site.Send(bridge, "button[aria-label='Take out br9']")).QuerySelector("#panel")!.TextContent.ShouldNotContain("br9");
    }

    [Fact]
    public async Task A_guest_is_numbered_and_has_further_names()
    {
        var named = await site.Send(
            await site.Get("/Wires?guest=tinker"),
            "form[action$=Names]",
            ("further", "Workbench, things"),
            ("number", "45"),
            ("autostart", "true")
        );
        var form = (IHtmlFormElement)named.QuerySelector("form[action$=Names]")!;
        form.QuerySelector<IHtmlInputElement>("[name=further]")!.Value.ShouldBe("workbench things");
        form.QuerySelector<IHtmlInputElement>("[name=number]")!.Value.ShouldBe("45");
        form.QuerySelector<IHtmlSelectElement>("[name=autostart]")!.Value.ShouldBe("true");
        Refused(await site.Send(named, "form[action$=Names]", ("further", "fine a_name"))).ShouldContain("«a_name»");
        Refused(await site.Send(named, "form[action$=Names]", ("number", "many"))).ShouldContain("number", Case.Insensitive);
    }

    [Fact]
    public async Task A_guest_is_reached_from_outside_through_the_proxy_or_through_a_tunnel_alone()
    {
        foreach (var profile in new[] { "remote-access", "reverse-proxy" })
        {
            var asked = await site.Send(
                await site.Get($"/Wants/Guest?profile={profile}"),
                "#want-form",
                ("name", profile),
                ("profile", profile)
            );
            await site.Send(await site.Get($"/Bench?guest={profile}"), "#place-wren");
            asked.QuerySelector(".refusal").ShouldBeNull();
        }

        var page = await site.Get("/Wires/Outside?guest=lantern");
        var through = await site.Send(page, "#open-proxy", ("name", " Lantern.Saltmarsh.example "));
        Said(through).ShouldContain("443/tcp from outside leads to lantern, through reverse-proxy");
        through.Body!.TextContent.ShouldContain("lantern.saltmarsh.example");
        var tunnel = await site.Send(through, "#open-tunnel", ("port", "51000"));
        Said(tunnel).ShouldContain("51000/udp from outside leads to remote-access");
        foreach (var odd in new[] { "0", "70000", "a door", "" })
        {
            Refused(await site.Send(page, "#open-tunnel", ("port", odd))).ShouldContain("port", Case.Insensitive);
        }
    }

    /// <summary>Somebody took tunnel or proxy out while the page was open: the guest itself must not be opened in their place.</summary>
    [Theory]
    [InlineData("Tunnel", "No tunnel is on a host any more.")]
    [InlineData("Proxy", "No reverse proxy is on a host any more.")]
    public async Task Where_the_way_is_gone_meanwhile_nothing_is_opened(string way, string words)
    {
        (await site.Get("/Wires/Outside?guest=lantern")).QuerySelector("#open-tunnel, #open-proxy").ShouldBeNull("the demo has neither");
        var page = await site.Get("/Wires");
        page.QuerySelector("#network-form")!.SetAttribute("action", $"/Wires/Outside?handler={way}");
        var sent = await site.Send(page, "#network-form", ("guest", "lantern"), ("port", "8090"), ("name", "lantern.example"));
        Refused(sent).ShouldContain(words);
        (await site.Get("/Wires")).QuerySelectorAll(".reach-board li").Length.ShouldBe(page.QuerySelectorAll(".reach-board li").Length);
    }

    private static string Said(IParentNode page) => page.QuerySelector("#status .said").ShouldNotBeNull(Refusal(page)).TextContent;

    private static string Refused(IParentNode page) =>
        page.QuerySelector("#status .refusal, .refusal").ShouldNotBeNull("it was not refused in words").TextContent;

    private static string Refusal(IParentNode page) => page.QuerySelector(".refusal")?.TextContent ?? "it says nothing";

    private static string[] Ports(IParentNode page) => [.. page.QuerySelectorAll("#panel .claim-list li b").Select(b => b.TextContent)];
}
