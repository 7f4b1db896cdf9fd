using System.Net;
using AngleSharp.Dom;
using Yuntak.Core.Labs;

namespace Yuntak.Web.Tests.Http;

/// <summary>The Kit station without script: things opened and corrected, hosts read again, the readiness list gone through.</summary>
public sealed class KitTests : IAsyncLifetime
{
    private const string Disk = "/Kit?host=kiln&look=disks%2Fwwn-0x0000000000030001";
    private static readonly string Bundle = File.ReadAllText(Path.Combine(Repository.Root, "demo", "kiln-bundle.txt"));
    private readonly Site site = new();

    public ValueTask InitializeAsync() => site.InitializeAsync();

    public ValueTask DisposeAsync() => site.DisposeAsync();

    [Fact]
    public async Task Every_thing_drawn_can_be_opened_and_says_where_it_is_known_from()
    {
        var kit = await site.Get("/Kit");
        var links = kit.QuerySelectorAll("#kit-board-kiln svg a").Select(a => a.GetAttribute("href")!).Distinct().ToList();
        links.Count.ShouldBeGreaterThan(20);
        foreach (var link in links)
        {
            var panel = (await site.Get(link)).QuerySelector(".thing-panel").ShouldNotBeNull(link);
            panel.QuerySelectorAll(".thing-facts > div").Length.ShouldBeGreaterThan(0);
            panel.QuerySelector(".usual-origin")!.TextContent.ShouldContain("read: ");
        }
    }

    [Fact]
    public async Task What_is_drawn_is_to_scale_and_named()
    {
        var kit = await site.Get("/Kit");
        kit.QuerySelectorAll("#kit-board-kiln .for-narrow .disk").Length.ShouldBe(9, "a phone sees every disk too");
        var board = kit.QuerySelector("#kit-board-kiln .for-wide")!;
        board.QuerySelectorAll(".disk").Length.ShouldBe(9);
        board.QuerySelectorAll(".core").Length.ShouldBe(8);
        board.QuerySelectorAll(".usb-port").Length.ShouldBe(10 + 4 + 4 + 4);
        board
            .QuerySelectorAll(".usb-port.used")
            .Length.ShouldBe(4, "keyboard, hub, serial adapter and AI stick; the card reader is in the hub");
        double Height(string disk) =>
            double.Parse(
                board
                    .QuerySelectorAll(".thing")
                    .Single(t => t.QuerySelector("title")?.TextContent.StartsWith(disk + ":") == true)
                    .QuerySelector(".disk")!
                    .GetAttribute("height")!
            );
        // The width is the same, so that heights go with the square root of the size and areas with what the eye compares.
        (Height("nvme0n1") / Height("sdb")).ShouldBe(Math.Sqrt(1.92 / 8), 0.01);
        foreach (var name in new[] { "AI stick", "Keyboard", "Card reader", "enp5s0", "X16-1", "M2-1", "A2" })
        {
            board.TextContent.ShouldContain(name);
        }
    }

    [Theory]
    [InlineData("heat", "46 °C, limit 95 °C")]
    [InlineData("firmware", "2023-04-18")]
    [InlineData("power", "141")]
    [InlineData("USB/3", "04:00.0")]
    public async Task What_is_not_drawn_is_opened_from_the_line_below(string look, string shows) =>
        (await site.Get($"/Kit?host=kiln&look={Uri.EscapeDataString(look)}"))
            .QuerySelector(".thing-panel")!
            .TextContent.ShouldContain(shows);

    [Fact]
    public async Task Speeds_that_were_measured_join_the_host()
    {
        const string Run =
            """{"fio version":"fio-3.33","jobs":[{"jobname":"seq","job options":{"rw":"read","bs":"1M"},"read":{"bw_bytes":220000000,"iops":209.8}}]}""";
        await site.Send(await Read(Run, "kiln"), "#accept-again");
        (await site.Get("/Kit?host=kiln&look=disk%20speed")).QuerySelector(".thing-panel")!.TextContent.ShouldContain("read 220\u202FMB/s");
    }

    [Fact]
    public async Task A_figure_is_corrected_and_dropped_again()
    {
        var panel = await site.Send(await site.Get(Disk), "input[value$='/hours']", ("value", "50000"));
        panel.QuerySelector("#status")!.TextContent.ShouldContain("hours run 21400 → 50000");
        var fact = panel.QuerySelectorAll(".thing-facts > div").Single(d => d.QuerySelector("dt")!.TextContent == "hours run");
        fact.TextContent.ShouldContain("the tools said 21400");
        panel.QuerySelector(".findings")!.TextContent.ShouldContain("1 disk in kiln is past five years");

        var dropped = await site.Send(panel, "form[action='/Kit?handler=Drop']");
        dropped.QuerySelector(".thing-facts")!.TextContent.ShouldContain("21400");
        dropped.QuerySelector("form[action='/Kit?handler=Drop']").ShouldBeNull();
    }

    [Fact]
    public async Task A_wrong_correction_is_refused_and_what_was_typed_stays()
    {
        var panel = await site.Send(await site.Get(Disk), "input[value$='/hours']", ("value", "many"));
        panel.QuerySelector(".refusal")!.TextContent.ShouldContain("not «many»");
        panel.QuerySelector("details.correct[open] input[name=value]")!.GetAttribute("value").ShouldBe("many");
    }

    [Fact]
    public async Task Reading_a_host_again_shows_the_difference_before_it_is_accepted()
    {
        var reading = await Read(Bundle);
        reading.QuerySelector("#update h2")!.TextContent.ShouldContain("kiln");
        reading.QuerySelector(".diff-went")!.TextContent.ShouldContain("disk sdd, 8\u202FTB spinning gone");
        reading.QuerySelector(".diff-came")!.TextContent.ShouldContain("Radio stick");
        reading.QuerySelector(".diff-changed")!.TextContent.ShouldContain("memory 64 → 80\u202FGiB");
        reading
            .QuerySelector("#effects")!
            .TextContent.ShouldContain("clay misses 1 of its 6 disks: it survives 1 more. On it: lantern, pressbook, owlwatch.");
        (await site.Client.GetStringAsync("/files/lab.yaml")).ShouldContain("64 GiB", Case.Sensitive, "nothing was accepted yet");

        var kit = await site.Send(reading, "#accept-again");
        kit.QuerySelector("#status .said")!.TextContent.ShouldStartWith("kiln read again: ");
        kit.QuerySelector("#kit-board-kiln")!.TextContent.ShouldContain("80\u202FGiB");
        (await site.Send(kit, "#undo")).QuerySelector("#kit-board-kiln")!.TextContent.ShouldContain("64\u202FGiB");
    }

    [Fact]
    public async Task The_same_text_twice_says_that_nothing_matters()
    {
        await site.Send(await Read(Bundle), "#accept-again");
        (await Read(Bundle)).QuerySelector("#no-change").ShouldNotBeNull();
    }

    [Fact]
    public async Task A_text_can_be_said_to_be_of_another_host_or_a_new_one()
    {
        (await Read(Bundle, "wren")).QuerySelector("#update h2")!.TextContent.ShouldContain("wren");
        var fresh = await Read(Bundle, "new");
        fresh.QuerySelector("#update").ShouldBeNull();
        fresh.QuerySelector("input[name=name]")!.GetAttribute("value").ShouldBe("kiln");
        var refused = await site.Send(fresh, "#accept");
        refused.QuerySelector(".refusal")!.TextContent.ShouldContain("already a host called kiln");
        var taken = await site.Send(refused, "#accept", ("name", "second"));
        taken.QuerySelector("h1")!.TextContent.ShouldBe("What runs on second?");
        (await site.Get("/Kit")).QuerySelector("#kit-board-second")!.TextContent.ShouldContain("AI stick");
    }

    [Fact]
    public async Task One_part_alone_brings_a_host_up_to_date()
    {
        var reading = await Read("/sys/class/net/enp6s0/speed:1000\n", "kiln");
        reading.QuerySelector(".diff-changed")!.TextContent.ShouldContain("network port enp6s0 speed unknown → 1\u202FGbit/s");
        var kit = await site.Send(reading, "#accept-again");
        kit.QuerySelector("#kit-board-kiln")!.TextContent.ShouldContain("enp5s0", Case.Sensitive, "the other port stays");
    }

    [Fact]
    public async Task The_readiness_list_asks_ticks_and_answers()
    {
        var list = await site.Get("/Kit/Ready/cellar");
        list.QuerySelectorAll(".ready li").Length.ShouldBe(11);
        list.QuerySelector("#address")!.ClassList.ShouldContain("asked");
        list.QuerySelector("#virtualisation")!.TextContent.ShouldContain("Machines will not start on cellar");

        list = await site.Send(list, "#address button[value=true]");
        list.QuerySelector("#address")!.ClassList.ShouldContain("good");
        list.QuerySelector("#address")!.TextContent.ShouldContain("ticked 20");
        list = await site.Send(list, "#address button[value=false]");
        list.QuerySelector(".findings")!.TextContent.ShouldContain("The address of cellar may change");
        list = await site.Send(list, "#firmware-date .tick-box");
        list.QuerySelector(".findings")!.TextContent.ShouldNotContain("cellar's firmware");
        list.QuerySelector("#firmware-date .tick-box")!.GetAttribute("aria-pressed").ShouldBe("true");
        list = await site.Send(list, "#firmware-date .tick-box");
        list.QuerySelector("#firmware-date .tick-box")!.GetAttribute("aria-pressed").ShouldBe("false");
    }

    [Fact]
    public async Task A_host_is_begun_from_another()
    {
        var form = await site.Get("/Kit/Host?like=wren");
        form.QuerySelector("h1")!.TextContent.ShouldBe("A host like wren");
        var kit = await site.Send(form, "#keep-host", ("name", "linnet"), ("memory", "32 GiB"));
        var board = kit.QuerySelector("#kit-board-linnet")!;
        board.TextContent.ShouldContain("32\u202FGiB");
        board.QuerySelectorAll(".for-wide .disk").Length.ShouldBe(2);
    }

    [Fact]
    public async Task A_card_is_handed_to_a_machine_and_its_companions_are_named()
    {
        var panel = await site.Get("/Kit?host=kiln&look=cards%2F0000:01:00.0");
        panel.QuerySelector(".thing-panel")!.TextContent.ShouldContain("with it go audio at 0000:01:00.1");
        panel = await site.Send(panel, "select[name=guest]", ("guest", "tinker"));
        panel.QuerySelector("#status")!.TextContent.ShouldContain("tinker is handed 0000:01:00.0 of kiln whole");
        panel.QuerySelector("select[name=guest] option[selected]")!.TextContent.ShouldContain("tinker");
    }

    [Fact]
    public async Task The_script_is_there_to_take_and_to_look_at()
    {
        var taken = await site.Client.GetAsync("/files/collect.sh");
        taken.Content.Headers.ContentDisposition!.DispositionType.ShouldBe("attachment");
        (await taken.Content.ReadAsStringAsync()).ShouldBe(await File.ReadAllTextAsync(Path.Combine(Repository.Root, "collect.sh")));
        var shown = await site.Client.GetAsync("/files/collect.sh?show=true");
        shown.Content.Headers.ContentType!.MediaType.ShouldBe("text/plain");
    }

    [Fact]
    public async Task Twenty_megabytes_are_taken_in_as_a_file()
    {
        var line = "a line that is nothing to anybody, again and again and again and again and again\n";
        using var file = new StringContent(Bundle + string.Concat(Enumerable.Repeat(line, 20_000_000 / line.Length)));
        var page = await site.Upload(await site.Get("/Kit"), "#upload", file, "kiln.txt");
        page.QuerySelector("#update h2")!.TextContent.ShouldContain("kiln");
    }

    [Theory]
    [InlineData("PK\u0003\u0004", "kiln.zip", "ZIP archive")]
    [InlineData("nothing here", "notes.txt", "nothing here is the output")]
    public async Task A_file_that_is_none_is_named_and_nothing_is_kept(string content, string name, string says)
    {
        using var file = new StringContent(content);
        var page = await site.Upload(await site.Get("/Kit"), "#upload", file, name);
        page.QuerySelector("#problems")!.TextContent.ShouldContain(says);
        (await site.Client.GetAsync("/Kit/Reading/1")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    private async Task<IParentNode> Read(string text, string of = "") =>
        await site.Send(await site.Get("/Kit"), "#read", ("text", text), ("of", of));
}
