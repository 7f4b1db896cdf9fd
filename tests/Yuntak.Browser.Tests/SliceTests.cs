using OpenQA.Selenium;
using Yuntak.Web.Rooms;

namespace Yuntak.Browser.Tests;

/// <summary>The whole slice in a real browser: by mouse, by keyboard, in light and dark, wide and narrow.</summary>
public class SliceTests
{
    private const string Kit =
        """{"lscpu":[{"field":"Architecture:","data":"x86_64"},{"field":"CPU(s):","data":"8"},{"field":"Thread(s) per core:","data":"2"},{"field":"Core(s) per socket:","data":"4"},{"field":"Socket(s):","data":"1"},{"field":"Virtualization:","data":"yes"}]}"""
        + "\nMemTotal: 16384000 kB\n"
        + """{"blockdevices":[{"name":"sda","type":"disk","size":240057409536,"rota":false,"mountpoints":["/"]},{"name":"nvme0n1","type":"disk","size":1000204886016,"rota":false,"tran":"nvme","mountpoints":[null]}]}""";

    /// <summary>A screen by day and a phone by night: each width and each look once, as nothing that is pressed hangs on both.</summary>
    public static TheoryData<int, bool> Looks() => new() { { 1280, false }, { 390, true } };

    [Theory]
    [MemberData(nameof(Looks))]
    public async Task By_mouse_from_a_pasted_text_to_a_ticked_runbook(int width, bool dark)
    {
        await using var person = await SliceSession.OpenAsync(demo: false, width, dark);
        person.Go("/");
        person.Click(".empty .do");
        person.Find("#paste");
        person.Script<object?>("document.querySelector('#paste').value = arguments[0]", Kit);
        person.Click("#read");
        person.Sees("#read-words", "4 cores, 8 threads");
        person.Type("input[name=name]", "brick");
        person.Click("#accept");
        person.Sees("#status .said", "host brick added");

        foreach (
            var (profile, name, kind) in new[]
            {
                ("automation-hub", "lights", "machine"),
                ("media-library", "films", "system-container"),
                ("file-cloud", "papers", "app-stack"),
            }
        )
        {
            person.Click("[data-station=Wants]");
            person.Click("#ask");
            person.Click($"#profile-{profile}");
            person.Type("input[name=name]", name);
            if (profile == "media-library")
            {
                person.Type("input[name=load-0-library]", "0.1");
            }

            person.Click($"input[name=kind][value={kind}]");
            person.Sees(
                "tr.chosen",
                kind == "machine" ? "machine"
                    : kind == "app-stack" ? "app stack"
                    : "system container"
            );
            person.Click("#save");
            person.Sees("#status .said", $"{name} asked for");
        }

        person.Click("[data-station=Bench]");
        if (width > 500)
        {
            person.Drag("#tray-lights", ".board[data-drop=brick] .columns");
        }
        else
        {
            person.Click("#tray-lights");
            person.Click("#place-brick");
        }

        person.Sees("#status .said", "lights put on brick");
        person.Sees("#status .verdict", "fits");
        person.Click("#tray-films");
        person.Click("#place-brick");
        person.Sees("#status .said", "films put on brick");
        person.Click("#undo");
        person.Sees("#status .said", "taken back: films put on brick");
        person.Click("#redo");
        person.Sees("#status .said", "done again: films put on brick");

        person.Click("[data-station=Runbook]");
        person.Sees("#open-steps", "steps, about");
        // The pool over the empty disk is one step and gone with its tick; then the first step of a guest.
        var sections = person.All("section.steps").Count;
        person.Click(".tick-box:not([disabled])");
        person.Count("section.steps", sections - 1);
        person.Click(".tick-box:not([disabled])");
        person.Count(".step.done", 1);
        person.Script<bool>("return document.documentElement.scrollWidth <= innerWidth").ShouldBeTrue("nothing sticks out sideways");
        person.Complaints().ShouldBeEmpty();
    }

    [Theory]
    [MemberData(nameof(Looks))]
    public async Task By_keyboard_alone(int width, bool dark)
    {
        await using var person = await SliceSession.OpenAsync(demo: false, width, dark);
        person.Go("/Kit");
        person.TabTo("#paste");
        person.Script<object?>("document.querySelector('#paste').value = arguments[0]", Kit);
        person.TabTo("#read");
        person.Keys(Keys.Enter);
        person.Sees("#read-words", "4 cores, 8 threads");
        person.TabTo("input[name=name]");
        person.Keys("brick" + Keys.Enter);
        person.Sees("#status .said", "host brick added");

        person.Keys("/");
        person.Find("dialog#find[open]");
        person.Keys("router");
        person.Sees("#found", "ask for: router");
        person.Keys(Keys.Enter);
        person.Sees("h1", "router and firewall");
        person.Find("input[name=name]:focus");
        person.Keys("gate");
        person.TabTo("#save-place");
        person.Keys(Keys.Enter);
        person.Sees("#panel-title", "gate");
        person.Sees("#status .said", "it goes on brick");

        var ruler = width > 700 ? "#ruler-gate" : "#ruler-narrow-gate";
        person.TabTo(ruler);
        person.Keys("0");
        person.Sees("#status .said", "gate taken off brick");
        person.TabTo("#tray-gate");
        person.Keys("1");
        person.Sees("#status .said", "gate put on brick");
        person.Find(ruler);
        person.Chord(Keys.Control, "z");
        person.Sees("#status .said", "taken back: gate put on brick");
        person.Chord(Keys.Control, "y");
        person.Sees("#status .said", "done again: gate put on brick");
        person.TabTo(ruler);
        person.Keys("0");
        person.Sees("#status .said", "gate taken off brick");
        person.TabTo("#place-brick");
        person.Keys(Keys.Enter);
        person.Sees("#status .said", "gate put on brick");

        person.Keys("]");
        person.Sees("[data-station=Runbook].here", "Runbook");
        var sections = person.All("section.steps").Count;
        person.TabTo(".tick-box:not([disabled])");
        person.Keys(Keys.Space);
        person.Count("section.steps", sections - 1);

        person.TabTo(".tick-box:not([disabled])");
        person.Keys(Keys.Space);
        person.Count(".step.done", 1);
        person.Keys("[");
        person.Sees("[data-station=Bench].here", "Bench");
        person.Keys("?");
        person.Find("dialog#keys[open]");
        person.Keys(Keys.Escape);
        person.Count("dialog[open]", 0);
        person.Complaints().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_guest_is_moved_and_taken_off_by_dragging_and_the_boards_say_what_would_happen()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Bench");

        person.Driver.ExecuteScript("window.scrollTo(0, 0)");
        person.Drag("#ruler-tinker", ".board[data-drop=wren] .columns");
        person.Sees("#status .said", "tinker moved kiln → wren");
        person.Find(".board[data-drop=wren] #ruler-tinker");
        person.Drag("#ruler-tinker", ".tray .quiet");
        person.Sees("#status .said", "tinker taken off wren");
        person.Find("#tray-tinker");
        person.Complaints().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_finding_is_settled_with_its_button()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Bench");
        person.Click(".findings li.stop .fix");
        person.Sees("#status .went", "Machines will not start on cellar");
        person.Count(".findings li.stop", 4);
    }

    [Fact]
    public async Task A_figure_opens_its_working_by_mouse_and_by_keyboard()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Bench");
        person.Click(".track-memory .fig summary");
        person.Sees(".fig[open] .working-formula", "host base + read cache");
        person.Click("#board-wren");
        person.Go("/Wants");
        person.TabTo(".want-size summary");
        person.Keys(Keys.Enter);
        person.Sees(".fig[open] .working-title", "memory");
        person.Keys(Keys.Escape);
        person.Count(".fig[open]", 0);
    }

    [Fact]
    public async Task Sizes_follow_the_load_while_it_is_typed()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Wants/Guest?profile=camera-recorder");
        person.Type("input[name=load-0-cameras]", "8" + Keys.Tab);
        person.Sees("#sizes", "4.84");
        person.Type("input[name=load-0-cameras]", "lots" + Keys.Tab);
        person.Sees("#sizes .refusal", "Cameras: a number from 1 to 64");
    }

    [Fact]
    public async Task Pointing_at_a_guest_lights_it_up_everywhere()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Bench");
        new OpenQA.Selenium.Interactions.Actions(person.Driver).MoveToElement(person.Find("#ruler-lantern")).Perform();
        person.Count(":not(.for-narrow) > .ruler .lit[data-guest=lantern], .columns .lit[data-guest=lantern]", 2);
        person.Count(".lit:not([data-guest=lantern])", 0);
    }

    [Fact]
    public async Task Light_and_dark_are_switched_and_remembered()
    {
        await using var person = await SliceSession.OpenAsync(demo: true, dark: true);
        person.Go("/Bench");
        person.Script<string>("return document.documentElement.dataset.bsTheme").ShouldBe("dark");
        person.Click("[data-theme-switch]");
        person.Go("/Kit");
        person.Script<string>("return document.documentElement.dataset.bsTheme").ShouldBe("light");
    }

    [Fact]
    public async Task Nothing_on_any_page_reaches_beyond_this_machine()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        foreach (var path in House.Pages.Where(p => p.IsView && !p.AfterReading).Select(p => p.Path))
        {
            person.Go(path);
            var asked = person.Script<IReadOnlyCollection<object>>(
                "return performance.getEntriesByType('resource').map(e => new URL(e.name).origin)"
            );
            asked.Cast<string>().Distinct().ShouldBe([new Uri(person.Driver.Url).GetLeftPart(UriPartial.Authority)]);
        }

        person.Complaints().ShouldBeEmpty();
    }
}
