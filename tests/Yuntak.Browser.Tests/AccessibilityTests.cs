using Yuntak.Web.Rooms;

namespace Yuntak.Browser.Tests;

/// <summary>Every page against WCAG 2.2 AA as axe-core checks it, wide in light and narrow in dark: contrast hangs on the one, sizes and reflow on the other.</summary>
public abstract class AccessibilityTests(int width, bool dark)
{
    [Fact]
    public async Task Every_page_passes()
    {
        var axe = await File.ReadAllTextAsync(Path.Combine(AppContext.BaseDirectory, "lib", "axe.min.js"));
        await using var person = await SliceSession.OpenAsync(demo: true, width, dark);
        person.Go("/Kit");
        person.Script<object?>("document.querySelector('#paste').value = arguments[0]", KitTests.Bundle);
        person.Click("#read");
        person.Find("#accept-again");
        List<string> found = [];
        foreach (var path in House.Pages.Where(p => p.IsView).OrderBy(p => p.AfterReading).Select(p => p.Path))
        {
            person.Go(path);
            // Run by the driver, not by the page: the page's own policy stays as strict as it is.
            person.Script<object?>(axe);
            var answer = person.Driver.ExecuteAsyncScript(
                "const done = arguments[0]; axe.run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'], resultTypes: ['violations'] }).then(r => done(r.violations.map(v => v.id + ': ' + v.nodes.slice(0, 3).map(n => n.html.slice(0, 160) + ' ' + (n.any[0]?.message ?? '')).join(' | '))))"
            );
            found.AddRange(((IReadOnlyCollection<object>)answer!).Select(v => $"{path}: {v}"));
            person
                .Script<bool>("return document.documentElement.scrollWidth <= innerWidth")
                .ShouldBeTrue($"{path} sticks out sideways at {width}");
        }

        found.ShouldBeEmpty();
    }
}
