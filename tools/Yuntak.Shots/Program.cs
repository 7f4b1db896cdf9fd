using Yuntak.Browser;

// Makes the pictures in docs/screenshots from the demo: one for each main view, and a few for dark, phone and print widths.
if (args.Length != 1)
{
    Console.Error.WriteLine("Say into which folder.");
    return 2;
}

var folder = Directory.CreateDirectory(args[0]).FullName;
(string Name, string Path, int Width, int Height, bool Dark)[] shots =
[
    ("bench", "/Bench", 1280, 800, false),
    ("bench-guest", "/Bench?guest=reelroom", 1280, 800, false),
    ("bench-dark", "/Bench", 1280, 800, true),
    ("bench-phone", "/Bench", 390, 844, false),
    ("kit", "/Kit", 1280, 960, false),
    ("kit-thing", "/Kit?host=kiln&look=cards%2F0000:01:00.0", 1280, 800, false),
    ("kit-reading", "/Kit/Reading/1", 1280, 1080, false),
    ("kit-ready", "/Kit/Ready/cellar", 1280, 960, false),
    ("kit-dark", "/Kit?host=cellar&look=disks%2Fwwn-0x0000000000040002", 1280, 800, true),
    ("kit-host", "/Kit/Host/kiln", 1280, 960, false),
    ("wants", "/Wants", 1280, 900, false),
    ("want-form", "/Wants/Guest/owlwatch", 1280, 900, false),
    ("disks", "/Disks?host=kiln&pool=clay", 1280, 1000, false),
    ("layouts", "/Disks/Layouts?disks=6x20TB&price=400", 1280, 1200, false),
    ("profile", "/Wants/Profile/media-library", 1280, 1100, false),
    ("runbook", "/Runbook", 1280, 900, false),
    ("runbook-phone", "/Runbook", 390, 844, true),
    ("history", "/History", 1280, 800, false),
    ("lab", "/Lab", 1280, 800, false),
];
await using var site = await RunningSite.StartAsync(demo: true);
using (var giver = new BrowserWindow(1280, 800, dark: false))
{
    // The demo's tower read again, for the picture of what that would change.
    giver.Driver.Navigate().GoToUrl(site.Address + "/Kit");
    giver.Driver.ExecuteScript(
        "document.querySelector('#paste').value = arguments[0]",
        File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "demo", "kiln-bundle.txt"))
    );
    giver.Driver.ExecuteScript("document.querySelector('#read').click()");
    new OpenQA.Selenium.Support.UI.WebDriverWait(giver.Driver, TimeSpan.FromSeconds(20)).Until(d =>
        d.FindElements(OpenQA.Selenium.By.CssSelector("#accept-again")).Count > 0
    );
}

foreach (var group in shots.GroupBy(s => s.Dark))
{
    using var browser = new BrowserWindow(1280, 800, group.Key);
    foreach (var shot in group)
    {
        browser.Resize(shot.Width, shot.Height);
        browser.Driver.Navigate().GoToUrl(site.Address + shot.Path);
        browser.Driver.ExecuteAsyncScript("document.fonts.ready.then(arguments[0])");
        browser.Picture(Path.Combine(folder, shot.Name + ".png"));
        Console.WriteLine($"{shot.Name}.png");
    }
}

return 0;
