using OpenQA.Selenium;

namespace Yuntak.Browser.Tests;

/// <summary>The Wires station in a real browser: dragged from rail to rail and along a ruler, by keyboard, and as a list on a phone.</summary>
public class WiresTests
{
    [Fact]
    public async Task A_guest_is_dragged_to_another_rail_and_along_the_ruler_and_taken_back_by_keyboard()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Wires");
        person.Drag(".net-rails a[data-name=tinker] .block", ".ruler-row[data-ruler=household] .for-wide .bed");
        person.Sees("#status .said", "tinker: handed out → 10.40.7.12");
        person.Go("/Wires");
        person.Drag(".net-rails a[data-name=strongroom] .block", "[data-rail=cameras] .net-hit");
        person.Sees("#status .said", "strongroom: household → cameras, 10.40.7.25 → 10.40.20.1");
        person.Chord(Keys.Control, "z");
        person.Sees("#status .said", "taken back: strongroom: household → cameras");
        person.Complaints().ShouldBeEmpty();
    }

    [Fact]
    public async Task By_keyboard_an_address_is_given_and_the_clash_is_settled()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Wires");
        person.TabTo(".net-rails a[data-name=tinker]");
        person.Keys(Keys.Enter);
        person.Sees("#panel-title", "tinker");
        person.TabTo("button[aria-label='Next free address, household']");
        person.Keys(Keys.Enter);
        person.Sees("#status .said", "tinker: handed out → 10.40.7.2");
        // A box that is not ticked sends nothing, and that is an answer too.
        person.Click(".panel .add-form summary");
        person.Type(".panel form[action$='handler=Listen'] input[name=port]", "8088");
        person.Click(".panel form[action$='handler=Listen'] button");
        person.Sees("#status .said", "tinker answers on 8088/tcp");
        person.Go("/Wires");
        person.TabTo(".findings .fix");
        person.Keys(Keys.Enter);
        person.Sees("#status .said", "signpost answers on");
        person.Count(".findings li.stop", 1);
        person.Complaints().ShouldBeEmpty();
    }

    [Fact]
    public async Task On_a_phone_and_at_1024_nothing_sticks_out_and_every_station_is_one_touch_away()
    {
        foreach (var width in new[] { 390, 1024 })
        {
            await using var person = await SliceSession.OpenAsync(demo: true, width);
            foreach (
                var path in new[]
                {
                    "/Wires?guest=owlwatch",
                    "/Wires?network=household",
                    "/Wires?host=kiln",
                    "/Wires/Plan",
                    "/Wires/Outside?guest=pressbook",
                    "/Wires/Boot",
                }
            )
            {
                person.Go(path);
                person.Find("main, #page");
                person
                    .Script<bool>("return document.documentElement.scrollWidth <= innerWidth")
                    .ShouldBeTrue($"{path} at {width}: nothing sticks out sideways");
            }

            // As it will be with the stations that are to come: all ten in sight, each as large as a finger needs (WCAG 2.2, 2.5.8).
            person
                .Script<bool>(
                    """
                    const route = document.querySelector(".route");
                    while (route.children.length < 10) route.append(route.children[1].cloneNode(true));
                    return document.documentElement.scrollWidth <= innerWidth
                        && [...route.children].every(s => s.getBoundingClientRect().right <= innerWidth && s.getBoundingClientRect().width >= 24 && s.getBoundingClientRect().height >= 24);
                    """
                )
                .ShouldBeTrue($"ten stations at {width}");
            person.Complaints().ShouldBeEmpty();
        }
    }
}
