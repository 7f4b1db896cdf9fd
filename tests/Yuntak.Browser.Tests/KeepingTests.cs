using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Yuntak.Browser.Tests;

/// <summary>The Keeping station in a real browser: dragged along the night, moved by keyboard, and on a phone.</summary>
public class KeepingTests
{
    [Fact]
    public async Task An_onward_copy_is_dragged_along_the_night_and_taken_back_by_keyboard()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Keeping");
        var bar = person.Find(".for-wide [data-night=onward] .night-bar");
        new Actions(person.Driver).MoveToElement(bar).ClickAndHold().MoveByOffset(-20, 0).MoveByOffset(-25, 0).Release().Perform();
        person.Sees("#status .said", "strongroom to boathouse begins every day at 23:");
        person.Chord(Keys.Control, "z");
        person.Sees("#status .said", "taken back: strongroom to boathouse begins");
        person.Complaints().ShouldBeEmpty();
    }

    [Fact]
    public async Task By_keyboard_a_volume_is_put_into_a_job_and_its_stop_is_gone()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Keeping");
        person.Count(".findings li.stop", 1);
        person.TabTo(".findings .fix");
        person.Keys(Keys.Enter);
        person.Sees("#status .said", "job nightly changed");
        person.Count(".findings li.stop", 0);
        person.Complaints().ShouldBeEmpty();
    }
}
