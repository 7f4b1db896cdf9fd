using OpenQA.Selenium;

namespace Yuntak.Browser.Tests;

/// <summary>The Devices station in a real browser: what lights up together, by keyboard, and as a list on a phone.</summary>
public class DevicesTests
{
    [Fact]
    public async Task By_keyboard_the_collision_is_opened_settled_and_taken_back()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Devices");
        person.TabTo(".loom a[href*='guest=glazelog']");
        // With the focus on a guest all that its claim touches is lit, and what it does not touch is not.
        person.Until(
            "return document.querySelectorAll('.wire.lit').length === 1 && document.querySelector('.loom a[href*=\"guest=glazelog\"]').classList.contains('lit')",
            "the wire of glazelog is not lit"
        );
        person.Keys(Keys.Enter);
        person.Sees("#panel-title", "serial adapter → glazelog");
        person.TabTo(".ways button[aria-label$='by its USB port']");
        person.Keys(Keys.Enter);
        person.Sees("#status .said", "glazelog: serial adapter 3-1, by its USB port");
        person.Count(".wire.usb", 1);
        person.Chord(Keys.Control, "z");
        person.Sees("#status .said", "taken back: glazelog: serial adapter 3-1");
        person.Complaints().ShouldBeEmpty();
    }

    [Fact]
    public async Task On_a_phone_the_loom_is_a_list_and_nothing_sticks_out()
    {
        await using var person = await SliceSession.OpenAsync(demo: true, 390);
        foreach (var path in new[] { "/Devices?host=kiln&guest=glazelog", "/Devices/All", "/Devices/Find?host=kiln" })
        {
            person.Go(path);
            person.Find("main, #page");
            person
                .Script<bool>("return document.documentElement.scrollWidth <= innerWidth")
                .ShouldBeTrue($"{path}: nothing sticks out sideways");
        }

        person.Go("/Devices");
        person.Script<bool>("return getComputedStyle(document.querySelector('.loom').parentElement).display === 'none'").ShouldBeTrue();
        person.Click(".claim-list a[href*='guest=owlwatch']");
        person.Sees("#panel-title", "AI accelerator → owlwatch");
        person.Complaints().ShouldBeEmpty();
    }
}
