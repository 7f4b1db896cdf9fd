using OpenQA.Selenium;

namespace Yuntak.Browser.Tests;

/// <summary>The runbook at the rack: on a phone, with the line away for a while, and on paper; and the play head by keyboard.</summary>
public sealed class RackTests
{
    [Fact]
    public async Task Ticks_wait_while_there_is_no_line_and_are_sent_when_it_is_back()
    {
        await using var person = await SliceSession.OpenAsync(demo: true, width: 390);
        person.Go("/Runbook");
        person.Find(".next-step a");
        person.Line(away: true);
        person.Click("#step-1-1 .tick-box");
        person.Find("#step-1-1.waits");
        person.Sees("#offline", "1 tick waits here for the line.");
        person.Click("#step-2-1 .tick-box");
        person.Sees("#offline", "2 ticks wait here for the line.");

        person.Line(away: false);
        person.Sees("#offline", "what waited is ticked");
        person.Count(".waits", 0);
        person.Sees(".history", "Wire kiln");
        person.Sees(".history", "Reserve addresses");
        person.Script<bool>("return document.documentElement.scrollWidth <= innerWidth").ShouldBeTrue("nothing sticks out sideways");
    }

    [Fact]
    public async Task What_somebody_else_ticked_meanwhile_is_said_and_not_ticked_over()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Runbook");
        person.Line(away: true);
        person.Click("#step-1-1 .tick-box");
        person.Find("#step-1-1.waits");
        await using (var other = person.SomebodyElse())
        {
            other.Go("/Runbook");
            other.Click("#step-1-1 .tick-box");
            other.Sees(".history", "Wire kiln");
        }

        person.Line(away: false);
        person.Sees("#offline", "Not ticked:");
        person.Sees("#offline", "somebody has ticked it already or the plan has changed");
        person.Count(".waits", 0);
    }

    [Fact]
    public async Task Ticks_made_in_two_tabs_without_a_line_are_all_sent()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Runbook");
        var first = person.Driver.CurrentWindowHandle;
        person.Driver.SwitchTo().NewWindow(WindowType.Tab);
        person.Go("/Runbook");
        var second = person.Driver.CurrentWindowHandle;
        Without(person, first, "#step-1-1");
        Without(person, second, "#step-2-1");
        person.Sees("#offline", "2 ticks wait here for the line.");

        // Each tab has its own line; the second gets its line back first and sends what the first keeps too.
        person.Line(away: false);
        person.Sees("#offline", "what waited is ticked");
        person.Driver.SwitchTo().Window(first);
        person.Line(away: false);
        person.Count(".waits", 0);
        person.Go("/Runbook");
        person.Sees(".history", "Wire kiln");
        person.Sees(".history", "Reserve addresses");
        person.Script<string?>("return localStorage.getItem('yuntak-waiting-ticks')").ShouldBe("[]");
    }

    [Fact]
    public async Task A_line_that_is_said_to_be_back_but_does_not_carry_yet_is_tried_again_by_itself()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Runbook");
        person.Line(away: true);
        person.Click("#step-1-1 .tick-box");
        person.Find("#step-1-1.waits");
        Deafen(person);
        person.Script<object?>("window.dispatchEvent(new Event('online'))");
        person.Sees("#offline", "The line is not back yet.");
        person.Line(away: false);
        person.Sees("#offline", "what waited is ticked");
        person.Sees(".history", "Wire kiln");
        person.Sees("#offline", "what waited is ticked");
    }

    [Fact]
    public async Task A_photo_is_made_smaller_before_it_is_sent()
    {
        await using var person = await SliceSession.OpenAsync(demo: true, width: 1800);
        person.Go("/Runbook");
        var file = Path.Combine(Path.GetTempPath(), $"screen-{Guid.NewGuid():N}.png");
        await File.WriteAllBytesAsync(
            file,
            ((ITakesScreenshot)person.Driver).GetScreenshot().AsByteArray,
            TestContext.Current.CancellationToken
        );
        try
        {
            person.Click("#step-1-1 details.write summary");
            person.Find("#step-1-1 input[type=file]").SendKeys(file);
            person.Until(
                "return document.querySelector('#step-1-1 input[type=file]').files[0].name === 'photo.jpg'",
                "it was not made smaller"
            );
            person.Click("#step-1-1 form[action*=Photo] button");
            person.Find("#step-1-1 .photos img");
            person.Until("return document.querySelector('.photos img').naturalWidth === 1600", "it is not as wide as it was made");
        }
        finally
        {
            File.Delete(file);
        }
    }

    [Fact]
    public async Task The_play_head_moves_by_arrows()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Runbook/Rehearsal");
        person.Find(".lanes");
        person.Keys(Keys.ArrowRight);
        person.Sees("#head h2", "1.1");
        person.Keys(Keys.ArrowRight);
        person.Sees("#head h2", "2.1");
        person.Keys(Keys.ArrowLeft);
        person.Sees("#head h2", "1.1");
        person.Complaints().ShouldBeEmpty();
    }

    [Fact]
    public async Task The_runbook_prints_with_every_step_open_and_without_the_frame()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Runbook");
        var media = new Dictionary<string, object?> { ["media"] = "print" };
        ((OpenQA.Selenium.Chrome.ChromeDriver)person.Driver).ExecuteCdpCommand("Emulation.setEmulatedMedia", media);

        // The driver takes whatever is in a closed box for hidden; the browser knows better what it prints.
        const string Hidden = "return [...document.querySelectorAll('.step dl.values, .step p')].filter(e => !e.checkVisibility()).length";
        person.Script<long>(Hidden).ShouldBe(0);
        person.All(".topbar, .route, .side").ShouldAllBe(e => !e.Displayed);
        person
            .Script<long>("return document.querySelectorAll('.step details:not([open])').length")
            .ShouldBeGreaterThan(0, "or there is nothing to unfold");
    }

    /// <summary>Ticks a step in a tab whose line is away.</summary>
    private static void Without(SliceSession person, string tab, string step)
    {
        person.Driver.SwitchTo().Window(tab);
        person.Line(away: true);
        person.Click($"{step} .tick-box");
        person.Find($"{step}.waits");
    }

    /// <summary>The line is there again without the browser noticing.</summary>
    private static void Deafen(SliceSession person) =>
        person.Script<object?>("window.addEventListener('online', e => { if (e.isTrusted) e.stopImmediatePropagation(); }, true)");
}
