using AngleSharp.Dom;

namespace Yuntak.Web.Tests.Http;

/// <summary>What a person meets first: asking and placing in one go, typing folders and disks as people write them, finding anything, handing a device over from the guest.</summary>
public sealed class AtTheDoorTests(Site site) : IClassFixture<Site>
{
    [Fact]
    public async Task Asking_for_a_service_and_placing_it_places_it_where_there_is_room()
    {
        var form = await site.Get("/Wants/Guest?profile=message-broker");
        var bench = await site.Send(form, "#save-place", ("name", "townhall"), ("then", "bench"));
        bench.QuerySelector("#status .said")!.TextContent.ShouldContain("it goes on ");
        bench.QuerySelectorAll(".tray .chip").Select(c => c.TextContent).ShouldNotContain("townhall");
        (await site.Client.GetStringAsync("/files/lab.yaml")).ShouldContain("name: townhall");

        var large = await site.Send(
            await site.Get("/Wants/Guest?profile=file-cloud"),
            "#save-place",
            ("name", "too large"),
            ("then", "bench"),
            ("load-0-people", "200"),
            ("load-0-quota", "20000")
        );
        large.QuerySelectorAll(".tray .chip").Select(c => c.TextContent).ShouldContain("too large", "no host has room; it waits");
        await site.Send(await site.Get("/Wants/Guest/too-large"), "#remove-guest");
        await site.Send(await site.Get("/Wants/Guest/townhall"), "#remove-guest");
    }

    [Fact]
    public async Task An_app_stack_shows_image_and_folders_at_once_and_reads_the_everyday_line()
    {
        var form = await site.Get("/Wants/Guest?profile=wiki");
        form.QuerySelector("textarea[name=folders]")!.Closest("details").ShouldBeNull();
        form.QuerySelector("input[name=image]")!.Closest("details").ShouldBeNull();
        await site.Send(
            form,
            "#save",
            ("name", "recipes"),
            ("image", "registry.example/recipes:2.1"),
            ("folders", "/srv/a:/data:ro\n/srv/b:/more"),
            ("ports", "3000")
        );
        var again = await site.Get("/Wants/Guest/recipes");
        again.QuerySelector("textarea[name=folders]")!.TextContent.ShouldBe("/srv/a:/data:ro\n/srv/b:/more");
        again.QuerySelector("input[name=ports]")!.GetAttribute("value").ShouldBe("3000");
        var compose = await site.Client.GetStringAsync("/files/compose/recipes");
        compose.ShouldContain("read_only: true");
        compose.ShouldContain("published: 3000");
        compose.ShouldContain("reservations:");
        await site.Send(again, "#remove-guest");
    }

    [Fact]
    public async Task A_home_for_app_stacks_does_not_offer_itself_as_a_stack_inside_another()
    {
        var form = await site.Get("/Wants/Guest?profile=app-engine");
        form.QuerySelector("input[name=kind][value=app-stack]").ShouldBeNull();
        form.QuerySelectorAll(".ways th[scope=row]").Select(w => w.TextContent.Trim()).ShouldBe(["machine", "system container"]);
    }

    [Fact]
    public async Task A_host_typed_by_hand_says_that_its_address_stays_and_that_it_powers_on()
    {
        var form = await site.Get("/Kit/Host");
        await site.Send(
            form,
            "#keep-host",
            ("name", "shed"),
            ("address-fixed", "yes"),
            ("powers-on", "no"),
            ("disks", "64GB:card boot\n2 x 4 TB spinning\n1x1.92TB nvme-flash")
        );
        var file = await site.Client.GetStringAsync("/files/lab.yaml");
        file.ShouldContain("address-fixed: true");
        file.ShouldContain("powers-on: false");
        (await site.Get("/Kit/Ready/shed")).QuerySelectorAll(".ready li").Length.ShouldBeGreaterThan(5);
        await site.Send(await site.Get("/Kit/Host/shed"), "#remove-host");
    }

    [Theory]
    [InlineData("6x20TB", "6 disks")]
    [InlineData("2 x 4 TB spinning", "mirror of 2 disks")]
    [InlineData("2 x 1.92 TB NVMe flash", "mirror of 2 disks")]
    public async Task Disks_are_understood_as_people_write_them(string typed, string says) =>
        (await site.Get($"/Disks/Layouts?disks={Uri.EscapeDataString(typed)}"))
            .QuerySelector("#recommended")!
            .TextContent.ShouldContain(says);

    [Fact]
    public async Task Flash_and_spinning_disks_together_get_no_recommendation_but_a_reason()
    {
        var page = await site.Get("/Disks/Layouts?disks=2x4TB,2x4TB:sata-flash");
        page.QuerySelector("#recommended")!.TextContent.ShouldContain("pools of their own");
        page.QuerySelectorAll("tr.chosen").ShouldBeEmpty();
    }

    [Theory]
    [InlineData("graphics", "/Kit?host=kiln")]
    [InlineData("Saltpan", "/Kit?host=")]
    [InlineData("wants.processors-short", "/Rules#wants.processors-short")]
    [InlineData("Shut it down", "/Runbook#step-")]
    public async Task Devices_steps_and_rules_are_found(string words, string leads)
    {
        var found = await site.Get($"/Find?q={Uri.EscapeDataString(words)}");
        found.QuerySelectorAll(".found a").Select(a => a.GetAttribute("href")!).ShouldContain(h => h.StartsWith(leads), words);
    }

    [Fact]
    public async Task A_device_is_handed_over_and_taken_back_from_the_guest()
    {
        var page = await site.Get("/Wants/Guest/tinker");
        var devices = page.QuerySelector("#devices").ShouldNotBeNull();
        devices.TextContent.ShouldContain("disks of pool", Case.Sensitive, "what the host needs is not offered");
        var button = devices.QuerySelectorAll("button").First(b => b.TextContent == "hand over");
        var address = button.Closest("form")!.QuerySelector("input[name=address]")!.GetAttribute("value");
        var after = await site.Send(page, $"#devices form:has(input[value='{address}']) button");
        after.QuerySelector("#devices")!.TextContent.ShouldContain("it has it");
        var back = await site.Send(after, $"#devices form:has(input[value='{address}']) button");
        back.QuerySelector("#devices")!.TextContent.ShouldNotContain("it has it");
    }

    [Fact]
    public async Task The_status_line_takes_no_room_while_there_is_nothing_to_say()
    {
        await using var fresh = new Site();
        await fresh.InitializeAsync();
        var page = await fresh.Get("/Bench");
        page.QuerySelector("#status")!.ClassList.ShouldContain("silent");
        page.QuerySelector("#status")!.TextContent.Trim().ShouldBeEmpty();
    }

    [Fact]
    public async Task The_runbook_is_shown_for_one_host_and_a_section_is_ticked_at_once()
    {
        await using var own = new Site();
        await own.InitializeAsync();
        var all = await own.Get("/Runbook");
        var wren = await own.Get("/Runbook?host=wren");
        var sections = wren.QuerySelectorAll("section.steps").Length;
        sections.ShouldBeInRange(1, all.QuerySelectorAll("section.steps").Length - 1);
        wren.QuerySelectorAll("section.steps").ShouldAllBe(s => s.TextContent.Contains("wren"));

        // A section that is stopped cannot be ticked.
        var title = all.QuerySelectorAll("section.steps")
            .First(s => s.QuerySelector(".tick-all") is not null)
            .QuerySelector("h2")!
            .TextContent;
        var after = await own.Send(all, ".tick-all button");
        after.Body!.TextContent.ShouldContain("at once");
        after.QuerySelectorAll("section.steps h2").Select(h => h.TextContent).ShouldNotContain(title);
        var taken = await own.Send(after, "#untick");
        taken.QuerySelectorAll("section.steps h2").Select(h => h.TextContent).ShouldContain(title);
    }

    [Fact]
    public async Task A_way_that_does_not_fit_says_why()
    {
        var form = await site.Get("/Wants/Guest/hearth");
        form.QuerySelectorAll(".why-not")
            .Select(w => w.TextContent)
            .ShouldContain("No on cellar: virtualisation is off on cellar, and this is a machine.");
        form.QuerySelector("h1")!.TextContent.ShouldBe("hearth");
        (await site.Get("/Wants/Guest?profile=automation-hub")).QuerySelector("h1")!.TextContent.ShouldBe("An automation hub");
    }

    [Fact]
    public async Task The_rule_book_says_the_limit_of_every_rule()
    {
        var rules = (await site.Get("/Rules")).QuerySelectorAll(".rules li");
        rules.ShouldAllBe(r => r.QuerySelector(".rule-limit")!.TextContent.Length > 8);
        rules.Single(r => r.Id == "bench.memory-tight").TextContent.ShouldContain("over 90\u202F% of the memory");
    }

    [Fact]
    public async Task The_assumption_about_batches_is_kept_and_a_wrong_one_is_named()
    {
        var lab = await site.Get("/Lab");
        var kept = await site.Send(lab, "input[name=batch-times]", ("batch-times", "5"));
        kept.QuerySelector("input[name=batch-times]")!.GetAttribute("value").ShouldBe("5");
        (await site.Client.GetStringAsync("/files/lab.yaml")).ShouldContain("batch-times: 5");
        var refused = await site.Send(kept, "input[name=batch-times]", ("batch-times", "0.5"));
        refused.Body!.TextContent.ShouldContain("a number from 1 to 1,000, not «0.5»");
        await site.Send(await site.Get("/Lab"), "input[name=batch-times]", ("batch-times", "10"));
    }

    [Fact]
    public async Task A_home_that_runs_is_taken_over_without_a_step()
    {
        await using var home = new Site { Demo = false };
        await home.InitializeAsync();
        var bundle = await File.ReadAllTextAsync(Path.Combine(Repository.Root, "demo", "kiln-bundle.txt"));
        var reading = await home.Send(await home.Get("/Kit"), "#paste", ("text", bundle));
        reading
            .QuerySelector("#does-it-run input[value=yes]")!
            .HasAttribute("checked")
            .ShouldBeTrue("read from its own tools, it stands by default");
        await home.Send(reading, "#accept", ("name", "tower"));
        (await home.Get("/Runbook")).QuerySelectorAll(".step").ShouldBeEmpty();
        var tower = await home.Get("/Kit/Host/tower");
        tower.QuerySelector("#to-build").ShouldNotBeNull();

        await home.Send(await home.Get("/Wants/Guest?profile=wiki"), "#save-place", ("name", "leaves"), ("then", "bench"));
        (await home.Get("/Runbook")).QuerySelectorAll(".step").ShouldNotBeEmpty();
        var wants = await home.Send(await home.Get("/Wants"), "#bulk-go", ("guests", "leaves"), ("change", "stand"));
        wants.QuerySelector(".stands-mark").ShouldNotBeNull();
        (await home.Get("/Runbook")).QuerySelectorAll(".step").ShouldBeEmpty("it runs already");
        (await home.Client.GetStringAsync("/files/lab.yaml")).Split("stands: true").Length.ShouldBeGreaterThan(2);

        await home.Send(await home.Get("/Wants"), "#bulk-go", ("guests", "leaves"), ("change", "to-build"));
        (await home.Get("/Runbook")).QuerySelectorAll(".step").ShouldNotBeEmpty();
        await home.Send(await home.Get("/Kit/Host/tower"), "#to-build");
        var stops = (await home.Get("/Runbook"))
            .QuerySelectorAll(".step")
            .Where(s => s.TextContent.Contains("Stop: Install onto"))
            .ToList();
        stops.ShouldHaveSingleItem().TextContent.ShouldContain("mounted at /");
        (await home.Get("/Kit/Host/tower"))
            .QuerySelector("#full-disks")!
            .TextContent.ShouldContain("mounted at /", Case.Sensitive, "to build it anew its boot disk may be said to go");
        await home.Send(await home.Get("/Kit/Host/tower"), "#stands");
        (await home.Get("/Runbook")).Body!.TextContent.ShouldNotContain("Install onto");
    }

    [Fact]
    public async Task A_lab_begins_from_a_file_read_as_what_stands()
    {
        await using var home = new Site { Demo = false };
        await home.InitializeAsync();
        var file = await File.ReadAllTextAsync(Path.Combine(Repository.Root, "demo", "saltmarsh-as-built.yaml"));
        await home.Send(await home.Get("/Lab"), "textarea[name=text]", ("text", file), ("stands", "all"));
        (await home.Get("/Runbook")).QuerySelectorAll(".step").ShouldBeEmpty();
        (await home.Client.GetStringAsync("/files/as-built.yaml")).ShouldContain("name: gatehouse");

        await using var marked = new Site { Demo = false };
        await marked.InitializeAsync();
        await marked.Send(await marked.Get("/Lab"), "textarea[name=text]", ("text", await home.Client.GetStringAsync("/files/lab.yaml")));
        (await marked.Get("/Runbook")).QuerySelectorAll(".step").ShouldBeEmpty("the file says what stands");
    }

    [Fact]
    public async Task What_is_on_a_disk_goes_only_after_somebody_said_so()
    {
        await using var home = new Site { Demo = false };
        await home.InitializeAsync();
        var bundle = await File.ReadAllTextAsync(Path.Combine(Repository.Root, "demo", "kiln-bundle.txt"));
        await home.Send(await home.Send(await home.Get("/Kit"), "#paste", ("text", bundle)), "#accept", ("name", "tower"), ("pool", "9"));
        var page = await home.Get("/Kit/Host/tower");
        var disks = page.QuerySelectorAll("#full-disks li").Length;
        disks.ShouldBeGreaterThan(0);
        var said = await home.Send(page, "#full-disks button");
        said.QuerySelector("#full-disks")!.TextContent.ShouldContain("may be wiped, said on ");
        (await home.Client.GetStringAsync("/files/lab.yaml")).ShouldContain("may-be-wiped: ");
        var back = await home.Send(said, "#full-disks form:has(input[name=may]) button");
        back.QuerySelector("#full-disks")!.TextContent.ShouldNotContain("said on");
    }
}
