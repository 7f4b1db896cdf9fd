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
    ("kit-host", "/Kit/Host/kiln", 1280, 960, false),
    ("wants", "/Wants", 1280, 900, false),
    ("want-form", "/Wants/Guest/owlwatch", 1280, 900, false),
    ("runbook", "/Runbook", 1280, 900, false),
    ("runbook-phone", "/Runbook", 390, 844, true),
    ("history", "/History", 1280, 800, false),
    ("lab", "/Lab", 1280, 800, false),
];
await using var site = await RunningSite.StartAsync(demo: true);
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
