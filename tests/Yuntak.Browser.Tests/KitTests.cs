using OpenQA.Selenium;

namespace Yuntak.Browser.Tests;

/// <summary>The Kit station in a real browser: by mouse and by keyboard, wide and narrow.</summary>
public class KitTests
{
    /// <summary>The demo's tower, read again.</summary>
    public static readonly string Bundle = File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "demo", "kiln-bundle.txt"));

    [Theory]
    [InlineData(1280)]
    [InlineData(390)]
    public async Task By_mouse_a_disk_is_opened_and_corrected_and_the_host_read_again(int width)
    {
        await using var person = await SliceSession.OpenAsync(demo: true, width);
        person.Go("/Kit");
        person.Click($"#kit-board-kiln {(width > 700 ? ".for-wide" : ".for-narrow")} a[href$='wwn-0x0000000000030001'] .disk");
        person.Sees("#panel-title", "disk sdb");
        person.Until(
            "const box = document.querySelector('#panel').getBoundingClientRect(); return box.top >= -1 && box.top < innerHeight",
            "what was opened is in sight"
        );
        person.Click("summary[aria-label='Correct: hours run']");
        person.Type("input[aria-label='hours run']", "50000");
        person.Click(".correct[open] button");
        person.Sees("#status .said", "hours run 21400 → 50000");
        person.Sees(".thing-facts", "the tools said 21400");

        person.Click("#again-kiln");
        person.Find("select[name=of] option[value=kiln]:checked");
        person.Script<object?>("document.querySelector('#paste').value = arguments[0]", Bundle);
        person.Click("#read");
        person.Sees("#update", "disk sdd, 8\u202FTB spinning gone");
        person.Sees("#effects", "clay misses 1 of its 6 disks");
        person.Click("#accept-again");
        person.Sees("#status .said", "kiln read again");
        person.Click("#undo");
        person.Sees("#status .said", "taken back: kiln read again");
        person.Script<bool>("return document.documentElement.scrollWidth <= innerWidth").ShouldBeTrue("nothing sticks out sideways");
        person.Complaints().ShouldBeEmpty();
    }

    [Fact]
    public async Task By_keyboard_a_thing_is_opened_and_the_readiness_list_answered()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Kit");
        person.TabTo("#kit-board-kiln a[href$='look=memory']");
        person.Keys(Keys.Enter);
        person.Sees("#panel-title", "memory");
        person.TabTo("summary[aria-label^='Correct: memory']");
        person.Keys(Keys.Enter);
        person.TabTo("input[name=value]");
        person.Chord(Keys.Control, "a");
        person.Keys("62 GiB" + Keys.Enter);
        person.Sees("#status .said", "memory the kernel can use 64 → 62 GiB");
        person.Chord(Keys.Control, "z");
        person.Sees("#status .said", "taken back");

        person.Go("/Kit/Ready/cellar");
        person.TabTo("#address button[value=true]");
        person.Keys(Keys.Enter);
        person.Sees("#address", "ticked");
        person.TabTo("#firmware-date .tick-box");
        person.Keys(Keys.Space);
        person.Find("#firmware-date .tick-box[aria-pressed=true]");
        person.Complaints().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_long_file_shows_how_far_it_has_come_and_is_read()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        var file = Path.Combine(Path.GetTempPath(), $"yuntak-{Guid.NewGuid():N}.txt");
        try
        {
            await File.WriteAllTextAsync(
                file,
                Bundle + string.Concat(Enumerable.Repeat("nothing of interest on this line of the text\n", 400_000))
            );
            person.Go("/Kit");
            person.Script<object?>(
                "window.seen = 0; document.addEventListener('htmx:xhr:progress', () => { if (!document.getElementById('upload-progress').hidden) window.seen++; })"
            );
            person.Find("#upload").SendKeys(file);
            person.Click("#read");
            person.Sees("#update h2", "kiln");
            person.Script<long>("return window.seen").ShouldBeGreaterThan(0);
        }
        finally
        {
            File.Delete(file);
        }
    }

    [Fact]
    public async Task What_cannot_be_read_is_said_beside_the_text_that_stays()
    {
        await using var person = await SliceSession.OpenAsync(demo: true);
        person.Go("/Kit");
        person.Type("#paste", "no output of any tool");
        person.Click("#read");
        person.Sees("#problems", "nothing here is the output");
        person.Script<string>("return document.querySelector('#paste').value").ShouldBe("no output of any tool");
    }
}
