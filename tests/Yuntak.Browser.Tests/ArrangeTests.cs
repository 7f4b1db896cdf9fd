using OpenQA.Selenium;

namespace Yuntak.Browser.Tests;

/// <summary>Arranging in a real browser: with the keyboard alone, and on a phone.</summary>
public class ArrangeTests
{
    [Fact]
    public async Task The_whole_job_is_done_with_the_keyboard()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Bench/Arrange");
        person.TabTo("#arrange");
        person.Keys(Keys.Enter);
        person.Sees("#found-title", "Proven: nothing better is to be had");
        // A part only is first shown with what it does by itself.
        person.TabTo("#take-pressbook");
        person.Keys(Keys.Space);
        person.TabTo("#accept");
        person.Keys(Keys.Enter);
        person.Sees(".mixture", "clay on kiln is too small");
        person.TabTo("#take-pressbook");
        person.Keys(Keys.Space);
        person.TabTo("#accept");
        person.Keys(Keys.Enter);
        person.Sees("#status .said", "arranged: pressbook moved kiln → cellar, reelroom put on kiln");
        person.Chord(Keys.Control, "z");
        person.Sees("#status .said", "taken back: arranged");
        person.Complaints().ShouldBeEmpty();
    }

    [Fact]
    public async Task On_a_phone_nothing_is_cut_and_the_ghosts_are_drawn_for_its_width()
    {
        await using var person = await SliceSession.OpenAsync(demo: true, width: 390);
        person.Go("/Bench/Away?host=wren");
        person.Script<long>("return document.documentElement.scrollWidth").ShouldBeLessThanOrEqualTo(390);
        person.All(".ghost-ruler").Where(r => r.Displayed).Select(r => r.GetDomAttribute("viewBox")!.Split(' ')[2]).ShouldBe(["344"]);
    }
}
