using System.Text;
using AngleSharp.Dom;
using AngleSharp.Html.Dom;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;

namespace Yuntak.Web.Tests.Http;

/// <summary>The whole slice without script: a host is read, services are asked for and placed, the runbook is ticked off.</summary>
public sealed class SliceTests : IAsyncLifetime
{
    private const string Kit = """
        {"lscpu":[{"field":"Architecture:","data":"x86_64"},{"field":"CPU(s):","data":"8"},{"field":"Thread(s) per core:","data":"2"},
        {"field":"Core(s) per socket:","data":"4"},{"field":"Socket(s):","data":"1"},{"field":"Virtualization:","data":"yes"}]}
        MemTotal:       16384000 kB
        {"blockdevices":[{"name":"sda","type":"disk","size":240057409536,"rota":false,"mountpoints":["/"]},
        {"name":"nvme0n1","type":"disk","size":1000204886016,"rota":false,"tran":"nvme","wwn":"eui.0000000000020009","mountpoints":[null]}]}
        """;

    private readonly Site site = new() { Demo = false };

    public ValueTask InitializeAsync() => site.InitializeAsync();

    public ValueTask DisposeAsync() => site.DisposeAsync();

    [Fact]
    public async Task An_empty_lab_says_how_to_begin()
    {
        var page = await site.Get("/");
        page.QuerySelector(".empty")!.TextContent.ShouldContain("No host yet");
        (await site.Get("/Wants")).Body!.TextContent.ShouldContain("Nothing is asked for yet");
        (await site.Get("/Runbook")).Body!.TextContent.ShouldContain("What stands is what is planned");
    }

    [Fact]
    public async Task From_a_pasted_text_to_a_finished_runbook()
    {
        await AddHost("brick");
        await Ask("automation-hub", "ember lights");
        await Ask("media-library", "films", ("load-0-library", "0.2"), ("kind", "system-container"));
        await Ask("file-cloud", "papers", ("load-0-quota", "20"), ("kind", "app-stack"), ("image", "registry.example/papers:1.0"));
        foreach (var guest in new[] { "ember-lights", "films", "papers" })
        {
            var open = await site.Get($"/Bench?guest={guest}");
            var placed = await site.Send(open, "#place-brick");
            placed.QuerySelector("#status .said")!.TextContent.ShouldContain("put on brick");
            placed.QuerySelector("#status .host-verdict")!.TextContent.ShouldContain("spare");
        }

        var runbook = await site.Get("/Runbook");
        var steps = runbook.QuerySelectorAll(".step").Length;
        steps.ShouldBeGreaterThan(25);
        for (var left = steps; left > 0; left--)
        {
            runbook.QuerySelector("#open-steps")!.TextContent.ShouldStartWith($"{left} step");
            runbook = await site.Send(runbook, ".tick-box:not([disabled])");
        }

        runbook.QuerySelector("#open-steps")!.TextContent.ShouldBe("nothing to do");
        runbook.QuerySelector(".rev")!.TextContent.ShouldContain("as built");
        (await site.Client.GetStringAsync("/files/compose/papers")).ShouldContain("registry.example/papers:1.0");
        (await site.Client.GetStringAsync("/files/as-built.yaml")).ShouldContain("name: papers");
    }

    [Fact]
    public async Task The_last_tick_can_be_taken_back()
    {
        await AddHost("brick");
        (await site.Get("/Runbook")).Body!.TextContent.ShouldNotContain(
            "Make brick ready",
            Case.Sensitive,
            "a host that was read runs already"
        );
        await site.Send(await site.Get("/Wants/Guest?profile=wiki"), "#save-place", ("name", "leaves"), ("then", "bench"));
        // The pool over the empty disk is one step and gone with its tick; the guest that waits for it has several.
        await site.Send(await site.Get("/Runbook"), ".tick-box:not([disabled])");
        var runbook = await site.Send(await site.Get("/Runbook"), ".tick-box:not([disabled])");
        runbook.QuerySelectorAll(".step.done").Length.ShouldBe(1);
        (await site.Send(runbook, "#untick")).QuerySelectorAll(".step.done").ShouldBeEmpty();
    }

    [Fact]
    public async Task Every_change_can_be_undone_and_done_again()
    {
        await AddHost("brick");
        var undone = await site.Send(await site.Get("/Kit"), "#undo");
        undone.QuerySelectorAll(".kit-board").ShouldBeEmpty();
        undone.QuerySelector("#status")!.TextContent.ShouldContain("taken back: host brick added");
        (await site.Send(undone, "#redo")).QuerySelectorAll(".kit-board").Length.ShouldBe(1);
    }

    [Fact]
    public async Task A_host_is_typed_in_by_hand_corrected_and_removed()
    {
        var kit = await site.Send(
            await site.Get("/Kit/Host"),
            "#keep-host",
            ("name", "loft"),
            ("disks", "240 GB sata-flash boot\n2 x 4 TB spinning")
        );
        kit.QuerySelector(".kit-board h2")!.TextContent.ShouldBe("loft");
        var host = await site.Get("/Kit/Host/loft");
        host.QuerySelectorAll(".disks-table tbody tr").Length.ShouldBe(3);
        host.QuerySelector(".pool-list")!.TextContent.ShouldContain("mirror");

        await site.Send(host, "#keep-host", ("memory", "32 GiB"), ("hours:loft-disk-2", "50000"));
        (await site.Get("/Kit")).Body!.TextContent.ShouldContain("past five years");

        (await site.Send(await site.Get("/Kit/Host/loft"), "#remove-host")).QuerySelectorAll(".kit-board").ShouldBeEmpty();
    }

    [Fact]
    public async Task Pools_are_made_and_taken_apart()
    {
        await site.Send(await site.Get("/Kit/Host"), "#keep-host", ("name", "loft"), ("disks", "4 x 4 TB spinning"), ("propose", ""));
        var host = await site.Get("/Kit/Host/loft");
        var disks = host.QuerySelectorAll("input[name=disk]").Select(d => ("disk", d.GetAttribute("value")!)).ToArray();
        disks.Length.ShouldBe(4);
        host = await site.Send(host, "select[name=layout]", [("pool", "clay"), ("layout", "parity2"), .. disks]);
        host.QuerySelector(".pool-list")!.TextContent.ShouldContain("double parity");
        host = await site.Send(host, ".pool-list button");
        host.QuerySelector("#pools")!.TextContent.ShouldContain("None yet");
    }

    [Theory]
    [InlineData("name", "", "Give the host a name")]
    [InlineData("cores", "many", "Cores: a whole number")]
    [InlineData("threads", "2", "4 cores have 4 to 32 threads")]
    [InlineData("memory", "16 XB", "a size such as «4 GiB»")]
    [InlineData("disks", "two big ones", "belongs here, perhaps with one of spinning")]
    [InlineData("network-ports", "-1", "Network ports: a whole number")]
    public async Task A_wrong_entry_is_named_and_everything_typed_is_kept(string field, string value, string says)
    {
        var page = await site.Send(
            await site.Get("/Kit/Host"),
            "#keep-host",
            ("description", "under the stairs"),
            ("name", "loft"),
            (field, value)
        );

        page.QuerySelector("#status .refusal")!.TextContent.ShouldContain(says);
        ((IHtmlInputElement)page.QuerySelector("input[name=description]")!).Value.ShouldBe("under the stairs");
        (await site.Get("/Kit")).QuerySelectorAll(".kit-board").ShouldBeEmpty();
    }

    [Theory]
    [InlineData("load-0-cameras", "lots", "Cameras: a number from 1 to 64")]
    [InlineData("load-0-cameras", "65", "Cameras: 1 to 64; 65 was given")]
    [InlineData("memory", "plenty", "Memory: a size")]
    [InlineData("vcpu", "0", "Processors: a whole number")]
    [InlineData("image", "a b", "without spaces")]
    [InlineData("folders", "data", "/folder/on/host:/folder/in/container")]
    [InlineData("name", "", "Give the guest a name")]
    public async Task A_want_that_makes_no_sense_is_named_and_kept(string field, string value, string says)
    {
        var form = await site.Get("/Wants/Guest?profile=camera-recorder");
        var page = await site.Send(form, "#save", ("name", "owls"), ("load-0-days", "30"), (field, value));

        page.Body!.TextContent.ShouldContain(says);
        ((IHtmlInputElement)page.QuerySelector("input[name=load-0-days]")!).Value.ShouldBe("30");
        (await site.Get("/Wants")).QuerySelectorAll(".wants li").ShouldBeEmpty();
    }

    [Fact]
    public async Task Sizes_follow_the_load_before_anything_is_kept()
    {
        var form = await site.Get("/Wants/Guest?profile=camera-recorder");
        var outcome = form.QuerySelector("#outcome")!.GetAttribute("hx-post");
        form.QuerySelector("#want-form")!.SetAttribute("action", outcome!);
        var sized = await site.Send(form, "#save", ("load-0-cameras", "8"), ("load-0-days", "14"));
        sized.QuerySelector("#sizes")!.TextContent.ShouldContain("4.84");
        (await site.Get("/Wants")).QuerySelectorAll(".wants li").ShouldBeEmpty();
    }

    [Fact]
    public async Task An_override_is_shown_beside_the_advice()
    {
        await Ask("router", "gate", ("memory", "4 GiB"));
        var form = await site.Get("/Wants/Guest/gate");
        form.QuerySelector(".own-figure")!.TextContent.Replace("\u202F", " ").ShouldBe("yours: 4 GiB");
        await site.Send(form, "#save", ("memory", ""));
        (await site.Get("/Wants/Guest/gate")).QuerySelector(".own-figure").ShouldBeNull();
    }

    [Fact]
    public async Task A_guest_gets_a_second_thing_to_do_and_is_split_again()
    {
        await Ask("database", "glazelog");
        var form = await site.Send(await site.Get("/Wants/Guest/glazelog"), "#also", ("also", "wiki"), ("load-0-data", "33"));
        form.QuerySelectorAll("input[name=profile]").Select(p => p.GetAttribute("value")).ShouldBe(["database", "wiki"]);
        form.QuerySelector("input[name=load-0-data]")!.GetAttribute("value").ShouldBe("33", "what was typed stays");
        await site.Send(form, "#save");
        (await site.Get("/Wants")).QuerySelectorAll(".wants li").Length.ShouldBe(1);

        var split = await site.Send(await site.Get("/Wants/Guest/glazelog"), "button[name=want][value='1']");
        split.QuerySelector("#status")!.TextContent.ShouldContain("glazelog split");
        split.QuerySelectorAll(".wants li").Length.ShouldBe(2);
    }

    [Fact]
    public async Task Enter_in_a_field_keeps_and_does_nothing_else()
    {
        await Ask("database", "glazelog");
        var form = await site.Send(await site.Get("/Wants/Guest/glazelog"), "#also", ("also", "wiki"));
        // A browser presses the first button of a form when somebody presses Enter in a field.
        var first = form.QuerySelector("#want-form button")!;
        first.GetAttribute("formaction").ShouldBeNull();
        await site.Send(form, "#want-form button");
        (await site.Get("/Wants")).QuerySelectorAll(".wants li").Length.ShouldBe(1);
    }

    [Fact]
    public async Task A_service_is_asked_for_by_typing_it()
    {
        var found = await site.Get("/Find?q=add%20cameras%206");
        var link = found.QuerySelector(".found a")!;
        link.TextContent.ShouldContain("ask for: camera recorder, 6 cameras");
        var form = await site.Get(link.GetAttribute("href")!);
        form.QuerySelector("input[name=load-0-cameras]")!.GetAttribute("value").ShouldBe("6");
        form.QuerySelector("#steps-more")!.TextContent.ShouldContain("cameras 6 → 7");
        form.QuerySelector("#advice")!.TextContent.ShouldContain("Advised: app stack.");
    }

    [Theory]
    [InlineData("this is a letter", "nothing here is the output of")]
    [InlineData("<!doctype html><p>x", "web page")]
    [InlineData("", "nothing in it")]
    public async Task What_cannot_be_read_is_said_and_stays_in_the_box(string text, string says)
    {
        var page = await site.Send(await site.Get("/Kit"), "#read", ("text", text));
        page.QuerySelector("#problems")!.TextContent.ShouldContain(says);
        page.QuerySelector("#paste")!.TextContent.Trim().ShouldBe(text);
    }

    [Fact]
    public async Task Uploads_that_are_no_text_or_far_too_long_are_refused_in_words()
    {
        var page = await site.Get("/Kit");
        using var zip = new ByteArrayContent([0x50, 0x4B, 3, 4, 0, 0]);
        (await site.Upload(page, "#upload", zip, "kit.zip")).QuerySelector("#problems")!.TextContent.ShouldContain("ZIP archive");

        using var large = new ByteArrayContent(Enumerable.Repeat((byte)'a', 50 << 20).ToArray());
        (await site.Upload(page, "#upload", large, "large.txt")).QuerySelector("#problems")!.TextContent.ShouldContain("longer than 32");

        using var huge = new ByteArrayContent(new byte[70 << 20]);
        using var request = new HttpRequestMessage(HttpMethod.Post, "/Kit?handler=Read") { Content = huge };
        request.Headers.ExpectContinue = true;
        var answer = await site.Client.SendAsync(request);
        ((int)answer.StatusCode).ShouldBe(413);
        (await answer.Content.ReadAsStringAsync()).ShouldContain("Nothing over 64 MiB");
    }

    [Fact]
    public async Task An_uploaded_file_is_read_like_a_pasted_text()
    {
        using var file = new ByteArrayContent(Encoding.UTF8.GetBytes(Kit.Replace("\n", "\r\n")));
        var reading = await site.Upload(await site.Get("/Kit"), "#upload", file, "kit.txt");
        reading.QuerySelector("#read-words")!.TextContent.ShouldContain("4 cores, 8 threads");
    }

    [Fact]
    public async Task Half_a_text_is_read_as_far_as_it_goes_with_the_line_named()
    {
        var reading = await site.Send(await site.Get("/Kit"), "#read", ("text", Kit[..^20]));
        reading.QuerySelector(".parts")!.TextContent.ShouldContain("breaks off");
        reading.QuerySelector("#read-words")!.TextContent.ShouldContain("1 disk");
    }

    [Theory]
    [InlineData("<script>alert(1)</script>")]
    [InlineData("\"><img src=x onerror=alert(1)>")]
    [InlineData("{{7*7}} ${7*7} @Model")]
    [InlineData("日本語の名前 & ümläut")]
    public async Task Hostile_names_do_no_harm_on_any_page(string name)
    {
        await AddHost(name);
        await Ask("file-cloud", name, ("kind", "app-stack"));
        var id = (await site.Get("/Bench")).QuerySelector(".tray .chip")!.GetAttribute("data-guest")!;
        var host = (await site.Get("/Bench")).QuerySelector(".board")!.GetAttribute("data-drop")!;
        await site.Send(await site.Get($"/Bench?guest={id}"), $"#place-{host}");
        foreach (
            var path in new[]
            {
                "/Bench",
                $"/Bench?guest={id}",
                "/Kit",
                $"/Kit/Host/{host}",
                "/Wants",
                $"/Wants/Guest/{id}",
                "/Runbook",
                "/History",
                "/Find?q=a",
            }
        )
        {
            var page = await site.Get(path);
            page.QuerySelectorAll("script:not([src]), img, [onerror]").ShouldBeEmpty(path);
            page.QuerySelectorAll("script").Length.ShouldBe(6, path);
        }

        (await site.Get("/Bench")).QuerySelector(".board h2")!.TextContent.ShouldBe(name);
    }

    [Fact]
    public async Task A_name_of_300_characters_is_refused_and_one_of_63_is_shown()
    {
        var page = await site.Send(await site.Get("/Kit/Host"), "#keep-host", ("name", new string('n', 300)));
        page.QuerySelector(".refusal")!.TextContent.ShouldContain("300 characters");
        await site.Send(page, "#keep-host", ("name", new string('n', 63)));
        (await site.Get("/Kit")).QuerySelectorAll(".kit-board").Length.ShouldBe(1);
    }

    [Fact]
    public async Task Two_pages_open_at_once_never_overwrite_each_other()
    {
        await AddHost("brick");
        await Ask("wiki", "notes");
        await Ask("router", "gate");
        var mine = await site.Get("/Bench?guest=notes");
        await site.Send(await site.Get("/Bench?guest=gate"), "#place-brick");

        var clash = await site.Send(mine, "#place-brick");

        clash.Body!.TextContent.ShouldContain("Nothing was overwritten");
        clash
            .QuerySelectorAll(".card-plain li")
            .Select(l => l.TextContent)
            .ShouldBe(["gate: host none → brick", "notes: host none → brick"]);
        var both = await site.Send(clash, "#do-both");
        both.QuerySelectorAll(".for-wide .ruler .gst").Length.ShouldBe(2);
    }

    [Fact]
    public async Task Two_changes_of_the_same_guest_are_put_to_the_person()
    {
        await AddHost("brick");
        await Ask("wiki", "notes");
        var form = await site.Get("/Wants/Guest/notes");
        await site.Send(await site.Get("/Bench?guest=notes"), "#place-brick");

        var clash = await site.Send(form, "#save", ("memory", "2 GiB"));

        clash.Body!.TextContent.ShouldContain("both change notes");
        clash.QuerySelector("#do-both").ShouldBeNull();
        await site.Send(clash, "#take-mine");
        (await site.Client.GetStringAsync("/files/lab.yaml")).ShouldContain("memory: 2 GiB");
    }

    [Fact]
    public async Task A_lab_file_is_read_back_and_a_broken_one_changes_nothing()
    {
        await AddHost("brick");
        var yaml = await site.Client.GetStringAsync("/files/lab.yaml");
        var lab = await site.Get("/Lab");
        var broken = await site.Send(lab, "textarea[name=text]", ("text", yaml.Replace("cores: 4", "cores: four")));
        broken.QuerySelector(".problems")!.TextContent.ShouldContain("hosts[0].processor.cores");
        (await site.Get("/Bench")).QuerySelectorAll(".board").Length.ShouldBe(1);

        await site.Send(await site.Get("/Lab"), "textarea[name=text]", ("text", yaml.Replace("name: brick", "name: stone")));
        (await site.Get("/Bench")).QuerySelector(".board h2")!.TextContent.ShouldBe("stone");
    }

    [Fact]
    public async Task Assumptions_are_changed_in_one_place_and_followed_everywhere()
    {
        await AddHost("brick");
        await site.Send(await site.Get("/Lab"), "input[name=gain]", ("gain", "50"), ("name", "Home"));
        var kit = await site.Get("/Kit");
        kit.QuerySelector(".facts summary")!.TextContent.ShouldContain("6.0");
        kit.QuerySelector(".topbar .lab")!.TextContent.ShouldBe("Home");
        (await site.Send(await site.Get("/Lab"), "input[name=gain]", ("gain", "half")))
            .QuerySelector(".refusal")!
            .TextContent.ShouldContain("percentage");
    }

    [Fact]
    public async Task An_earlier_revision_is_brought_back_from_the_history()
    {
        await AddHost("brick");
        await Ask("wiki", "notes");
        var history = await site.Get("/History");
        var first = history.QuerySelectorAll("button[aria-label^='Bring back: begun']").Single();
        await site.Send((IParentNode)first.ParentElement!.ParentElement!, "button");
        (await site.Get("/Bench")).QuerySelector(".empty").ShouldNotBeNull();
    }

    [Fact]
    public async Task A_fix_does_what_it_says()
    {
        await AddHost("brick");
        await Ask("wiki", "notes");
        var bench = await site.Get("/Bench");
        var fixedPage = await site.Send(bench, ".findings .fix");
        fixedPage.QuerySelector("#status .said")!.TextContent.ShouldBe("notes put on brick");
        fixedPage.QuerySelector("#status .went")!.TextContent.ShouldContain("notes has no host yet");
    }

    private async Task AddHost(string name)
    {
        var reading = await site.Send(await site.Get("/Kit"), "#read", ("text", Kit));
        reading.QuerySelector("#read-words")!.TextContent.ShouldContain("2 disks");
        await site.Send(reading, "#accept", ("name", name), ("network-ports", "2"), ("battery-backup", "yes"));
    }

    private async Task Ask(string profile, string name, params (string, string)[] fields) =>
        await site.Send(await site.Get($"/Wants/Guest?profile={profile}"), "#save", [("name", name), .. fields]);
}
