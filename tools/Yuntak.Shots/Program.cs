using Yuntak.Browser;
using Yuntak.Web.Rooms;

// Makes the pictures in docs/screenshots from the demo: those that the rooms name beside their pages.
if (args.Length != 1)
{
    Console.Error.WriteLine("Say into which folder.");
    return 2;
}

var folder = Directory.CreateDirectory(args[0]).FullName;
var shots = House.Pages.SelectMany(p => p.Pictures.Select(s => (p.Path, Picture: s)));
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

    // And an arrangement of the demo, for its ghosts.
    giver.Driver.Navigate().GoToUrl(site.Address + "/Bench/Arrange");
    giver.Driver.ExecuteScript("document.querySelector('#arrange').click()");
    new OpenQA.Selenium.Support.UI.WebDriverWait(giver.Driver, TimeSpan.FromSeconds(20)).Until(d =>
        d.FindElements(OpenQA.Selenium.By.CssSelector("#found-title")).Count > 0
    );
}

foreach (var group in shots.GroupBy(s => s.Picture.Dark))
{
    using var browser = new BrowserWindow(1280, 800, group.Key);
    foreach (var (path, shot) in group)
    {
        browser.Resize(shot.Width, shot.Height);
        browser.Driver.Navigate().GoToUrl(site.Address + path);
        browser.Driver.ExecuteAsyncScript("document.fonts.ready.then(arguments[0])");
        browser.Picture(Path.Combine(folder, shot.Name + ".png"));
        Console.WriteLine($"{shot.Name}.png");
    }
}

return 0;
