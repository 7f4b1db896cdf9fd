using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace Yuntak.Browser.Tests;

/// <summary>The Wants station in a real browser: the day painted, engines nested, many changed at once.</summary>
public class WantsTests
{
    [Theory]
    [InlineData(1280)]
    [InlineData(390)]
    public async Task The_day_of_a_profile_is_painted_by_dragging_and_set_by_arrow_keys(int width)
    {
        await using var person = await SliceSession.OpenAsync(demo: true, width);
        person.Go("/Wants/Profile/wiki");
        var from = person.Find("input[name='hour.3']");
        var to = person.Find("input[name='hour.6']");
        person.Script<object?>("arguments[0].scrollIntoView({block: 'center'})", from);
        var height = from.Size.Height;
        new Actions(person.Driver)
            .MoveToElement(from, 0, height / 2 - 8)
            .ClickAndHold()
            .MoveToElement(person.Find("input[name='hour.4']"), 0, 0)
            .MoveToElement(person.Find("input[name='hour.5']"), 0, -height / 4)
            .MoveToElement(to, 0, -height / 2 + 2)
            .Release()
            .Perform();
        long[] hours =
        [
            .. Enumerable.Range(3, 4).Select(n => person.Script<long>($"return +document.querySelector(\"input[name='hour.{n}']\").value")),
        ];
        hours[0].ShouldBeLessThan(15);
        hours[1].ShouldBeInRange(40, 60);
        hours[2].ShouldBeInRange(65, 85);
        hours[3].ShouldBeGreaterThan(90);

        person.Script<object?>("document.querySelector(\"input[name='hour.12']\").focus()");
        var before = person.Script<long>("return +document.activeElement.value");
        person.Keys(before < 50 ? Keys.ArrowUp : Keys.ArrowDown);
        Math.Abs(person.Script<long>("return +document.activeElement.value") - before).ShouldBe(1);

        person.Click("#keep-profile");
        person.Sees("#status .said", "own profile wiki and notes kept");
        person.Script<bool>("return document.documentElement.scrollWidth <= innerWidth").ShouldBeTrue("nothing sticks out sideways");
        person.Click("#undo");
        person.Sees("#status .said", "taken back");
        person.Complaints().ShouldBeEmpty();
    }

    [Fact]
    public async Task An_app_stack_is_nested_from_the_bench_and_dragged_out_again()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Bench?guest=signpost");
        person.Find("select[name=engine] option[value='+system-container']").Click();
        person.Click("#nest");
        person.Sees("#status .said", "signpost runs in a system container of its own now, app engine");
        person.Go("/Bench?guest=app-engine");
        person.Find("#ruler-app-engine .inside");
        person.Drag("#inside-signpost", ".board[data-drop=wren]");
        person.Sees("#status .said", "signpost taken out of app engine and put on wren");
        person.Find("#ruler-signpost");
        person.Complaints().ShouldBeEmpty();
    }

    [Fact]
    public async Task By_keyboard_two_guests_are_ticked_and_changed_at_once()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Wants");
        person.TabTo("#tick-lantern");
        person.Keys(Keys.Space);
        person.TabTo("#tick-owlwatch");
        person.Keys(Keys.Space);
        person.TabTo("#bulk-change");
        person.Keys("may");
        person.TabTo("#bulk-go");
        person.Keys(Keys.Enter);
        person.Sees("#status .said", "lantern, owlwatch: may wait");
        person.Chord(Keys.Control, "z");
        person.Sees("#status .said", "taken back: lantern, owlwatch: may wait");
    }

    [Fact]
    public async Task Sizes_follow_while_the_profile_is_typed()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Wants/Profile/wiki");
        person.Sees("#usual", "640");
        person.Type("input[name='memory.0.amount']", "3");
        person.Keys(Keys.Tab);
        // 3 GiB × 1.15 = 3.45 GiB, up to the next 256 MiB.
        person.Sees("#usual", "3.5");
        person.Type("input[name='memory.0.amount']", "much");
        person.Keys(Keys.Tab);
        person.Sees("#usual .problems", "a number belongs here, not «much»");
    }
}
