using AngleSharp.Dom;
using AngleSharp.Html.Dom;

namespace Yuntak.Web.Tests.Http;

/// <summary>Guests and pools that are there already, taken over without script.</summary>
public sealed class TakeOverTests : IAsyncLifetime
{
    private const string Page = "/Kit/TakeOver/wren";
    private static readonly string Bundle = File.ReadAllText(Path.Combine(Repository.Root, "demo", "kiln-bundle.txt"));
    private readonly Site site = new();

    public ValueTask InitializeAsync() => site.InitializeAsync();

    public ValueTask DisposeAsync() => site.DisposeAsync();

    [Fact]
    public async Task A_list_is_read_line_by_line_and_what_is_chosen_stands()
    {
        var steps = await Steps();
        var read = await site.Send(
            await site.Get(Page),
            "#read",
            ("text", "moth, app stack, 512 MiB, 1, 8 GiB\n<b>owl</b>, machine, lots, 1, 8 GiB\n")
        );
        read.QuerySelector("#lines")!.TextContent.ShouldContain("memory «lots»: not read");
        read.QuerySelectorAll("#lines b").ShouldBeEmpty("text of people is shown, not run");
        var taken = await site.Send(read, "#take", ("guest", "0"));
        taken.QuerySelector("#on-it")!.TextContent.ShouldContain("moth");
        taken.QuerySelectorAll("#on-it li").Single(l => l.TextContent.Contains("moth")).TextContent.ShouldContain("stands");
        (await Steps()).ShouldBe(steps, "what is there is not built");
    }

    [Fact]
    public async Task Undo_takes_back_what_was_taken_over_and_that_it_stood_and_redo_brings_both_back()
    {
        var steps = await Steps();
        var taken = await site.Send(await site.Get(Page), "#take-one", ("name", "moth"), ("memory", "512 MiB"));
        var undone = await site.Send(taken, "#undo");
        undone.QuerySelector("#on-it")!.TextContent.ShouldNotContain("moth");
        (await Steps()).ShouldBe(steps, "no step takes away what runs");
        var again = await site.Send(undone, "#redo");
        again.QuerySelectorAll("#on-it li").Single(l => l.TextContent.Contains("moth")).TextContent.ShouldContain("stands");
        (await Steps()).ShouldBe(steps);
    }

    [Fact]
    public async Task One_by_hand_that_makes_no_sense_keeps_all_that_was_typed()
    {
        var refused = await site.Send(
            await site.Get(Page),
            "#take-one",
            ("name", "moth"),
            ("kind", "app-stack"),
            ("memory", "much"),
            ("processors", "2")
        );
        refused.QuerySelector(".refusal")!.TextContent.ShouldContain("much");
        refused.QuerySelector("#one-form input[name=name]")!.GetAttribute("value").ShouldBe("moth");
        refused.QuerySelector<IHtmlSelectElement>("#one-form select[name=kind]")!.Value.ShouldBe("app-stack");
        var taken = await site.Send(refused, "#take-one", ("memory", "512 MiB"));
        taken.QuerySelector("#on-it")!.TextContent.ShouldContain("moth");
    }

    [Fact]
    public async Task A_definition_pasted_as_a_host_is_told_where_it_belongs_and_nothing_at_all_is_said_so()
    {
        var said = await site.Send(await site.Get("/Kit"), "#read", ("text", "services:\n  moth:\n    image: registry.example/moth:1\n"));
        said.QuerySelector("#problems")!.TextContent.ShouldContain("What runs on it");
        (await site.Send(await site.Get(Page), "#read")).QuerySelector("#problems")!.TextContent.ShouldContain("paste");
        (await site.Client.GetAsync("/Kit/TakeOver/nobody")).StatusCode.ShouldBe(System.Net.HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_layout_that_was_worked_out_is_set_right_before_it_stands_or_after_and_no_step_comes_of_it()
    {
        var kit = await site.Get("/Kit");
        var reading = await site.Send(kit, "#read", ("text", Bundle), ("of", "new"));
        reading.QuerySelector<IHtmlSelectElement>("select[name='layout:1']")!.Value.ShouldBe("parity1");
        var before = await Steps();
        await site.Send(reading, "#accept", ("name", "oven"), ("layout:1", "parity2"));
        var panel = await site.Get("/Disks?host=oven&pool=clay");
        panel.QuerySelector("#panel")!.TextContent.ShouldContain("double parity of 5 disks");

        var form = panel.QuerySelector("#pool-form")!;
        form.QuerySelector<IHtmlInputElement>("#is-so")!.ShouldNotBeNull();
        await site.Send(panel, "#keep-pool", ("layout", "parity3"), ("is-so", "true"));
        (await site.Get("/Disks?host=oven&pool=clay")).QuerySelector("#panel")!.TextContent.ShouldContain("triple parity");
        (await Steps()).ShouldBe(before, "it was so all along");

        await site.Send(await site.Get("/Disks?host=oven&pool=clay"), "#keep-pool", ("layout", "parity1"));
        (await Steps()).ShouldBeGreaterThan(before, "this is a plan, and it is work");
    }

    [Fact]
    public async Task A_folder_is_shared_counted_once_and_shared_no_longer()
    {
        var panel = await site.Get("/Disks?host=kiln&pool=clay");
        var shared = await site.Send(
            panel,
            "#share-folder",
            ("name", "films"),
            ("size", "900 GB"),
            ("path", "/films"),
            ("guest", "lantern")
        );
        shared.QuerySelector("#panel")!.TextContent.ShouldContain("counted once");
        (await site.Get("/Disks")).Body!.TextContent.ShouldContain("Nobody's backup takes the folder films along");
        var refused = await site.Send(shared, "#share-folder", ("name", "films"), ("size", "1 GB"), ("guest", "lantern"));
        refused.QuerySelector(".refusal")!.TextContent.ShouldContain("already");
        var gone = await site.Send(shared, "button[aria-label='Share films no longer']");
        gone.QuerySelector("#panel")!.TextContent.ShouldNotContain("a folder of 900");
    }

    [Fact]
    public async Task A_host_typed_in_that_runs_stands_with_its_pools()
    {
        var form = await site.Get("/Kit/Host");
        var before = await Steps();
        form.QuerySelector("#does-it-run")!.TextContent.ShouldContain("Does it already run?");
        await site.Send(
            form,
            "#keep-host",
            ("name", "shed"),
            ("type", "board"),
            ("stands", "yes"),
            ("disks", "64 GB card boot\n1 TB sata-flash")
        );
        (await Steps()).ShouldBe(before);
        (await site.Get("/Kit")).QuerySelector("#kit-board-shed")!.TextContent.ShouldContain("single board");
        (await site.Get("/Kit/Ready/shed")).QuerySelector("#virtualisation").ShouldBeNull("it has no such switch");
    }

    private async Task<int> Steps() => (await site.Get("/Runbook?part=0")).QuerySelectorAll(".tick-form").Length;
}
