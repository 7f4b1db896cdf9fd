using System.Collections.ObjectModel;
using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;
using OpenQA.Selenium.Support.UI;

namespace Yuntak.Browser.Tests;

/// <summary>A person at the browser. Waits are for something to be seen, never for time to pass.</summary>
internal sealed class SliceSession : IAsyncDisposable
{
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(40);
    private readonly RunningSite site;
    private readonly BrowserWindow browser;
    private readonly bool host;

    private SliceSession(RunningSite site, BrowserWindow browser, bool host)
    {
        this.site = site;
        this.browser = browser;
        this.host = host;
    }

    public WebDriver Driver => browser.Driver;

    public static async Task<SliceSession> OpenAsync(bool demo, int width = 1280, bool dark = false)
    {
        var started = await RunningSite.StartAsync(demo);
        return new SliceSession(started, new BrowserWindow(width, width < 500 ? 844 : 800, dark), host: true);
    }

    /// <summary>Somebody else at the same site, with a browser of their own. Closes only that browser when done.</summary>
    public SliceSession SomebodyElse() => new(site, new BrowserWindow(1280, 800, dark: false), host: false);

    /// <summary>Takes the line of the browser away, or brings it back.</summary>
    public void Line(bool away) => browser.Line(away);

    public void Go(string path) => Driver.Navigate().GoToUrl(site.Address + path);

    public IWebElement Find(string selector) =>
        Until(d => d.FindElements(By.CssSelector(selector)).FirstOrDefault(), $"nothing is {selector}");

    public ReadOnlyCollection<IWebElement> All(string selector) => Driver.FindElements(By.CssSelector(selector));

    /// <summary>The text of the first that is found; waits until there is one.</summary>
    public string Text(string selector) =>
        Until(_ => Script<string?>("return document.querySelector(arguments[0])?.textContent", selector), $"nothing is {selector}");

    /// <summary>
    /// Waits until the text of something holds these words. One look is one script, so that what is swapped meanwhile is never
    /// half read; what it said instead is in the failure.
    /// </summary>
    public void Sees(string selector, string words)
    {
        var said = "";
        try
        {
            Until(
                _ =>
                {
                    said = Script<string>(
                        "return [...document.querySelectorAll(arguments[0])].map(e => e.textContent).join('\\n')",
                        selector
                    );
                    return said.Contains(words) ? said : null;
                },
                $"{selector} does not say «{words}»"
            );
        }
        catch (WebDriverTimeoutException late)
        {
            throw new InvalidOperationException($"{late.Message} but «{said}»", late);
        }
    }

    /// <summary>Waits until a script answers true.</summary>
    public void Until(string script, string otherwise) =>
        Until(d => (bool?)((IJavaScriptExecutor)d).ExecuteScript(script) == true ? "so" : null, otherwise);

    public void Count(string selector, int count) =>
        Until(d => d.FindElements(By.CssSelector(selector)).Count == count ? "right" : null, $"there are not {count} {selector}");

    public void Click(string selector)
    {
        Until(
            d =>
            {
                var element = d.FindElements(By.CssSelector(selector)).FirstOrDefault();
                ((IJavaScriptExecutor)d).ExecuteScript("arguments[0]?.scrollIntoView({block: 'center'})", element);
                element?.Click();
                return element;
            },
            $"{selector} cannot be clicked"
        );
    }

    /// <summary>Empties a field and writes into it; begins anew where the field is swapped meanwhile.</summary>
    public void Type(string selector, string text) =>
        Until(
            d =>
            {
                var field = d.FindElements(By.CssSelector(selector)).FirstOrDefault();
                field?.Clear();
                field?.SendKeys(text);
                return field;
            },
            $"nothing can be typed into {selector}"
        );

    public void Keys(string keys) => new Actions(Driver).SendKeys(keys).Perform();

    public void Chord(string held, string key) => new Actions(Driver).KeyDown(held).SendKeys(key).KeyUp(held).Perform();

    /// <summary>Presses Tab until the focus is on what is wanted, as somebody without a mouse does.</summary>
    public void TabTo(string selector)
    {
        for (var presses = 0; presses < 150; presses++)
        {
            Keys(OpenQA.Selenium.Keys.Tab);
            if (Script<bool>($"return document.activeElement.matches({Quoted(selector)})"))
            {
                return;
            }
        }

        throw new InvalidOperationException($"Tab never reaches {selector}");
    }

    /// <summary>Drags from the middle of one thing to the middle of another, in small moves.</summary>
    public void Drag(string from, string to)
    {
        var start = Find(from);
        Script<object?>("arguments[0].scrollIntoView({block: 'center'})", start);
        var target = Find(to);
        new Actions(Driver)
            .MoveToElement(start)
            .ClickAndHold()
            .MoveByOffset(8, 8)
            .MoveByOffset(12, 6)
            .MoveToElement(target)
            .MoveByOffset(2, 2)
            .Perform();
        Find(".ghost");
        new Actions(Driver).Release().Perform();
    }

    public T Script<T>(string script, params object?[] args) => (T)Driver.ExecuteScript(script, args)!;

    /// <summary>What the browser complained about: script errors, refused content, anything not found.</summary>
    public IEnumerable<string> Complaints() =>
        Driver.Manage().Logs.GetLog(LogType.Browser).Where(l => l.Level >= LogLevel.Warning).Select(l => l.Message);

    public async ValueTask DisposeAsync()
    {
        browser.Dispose();
        if (host)
        {
            await site.DisposeAsync();
        }
    }

    private T Until<T>(Func<IWebDriver, T?> look, string otherwise)
        where T : class
    {
        var wait = new WebDriverWait(Driver, Patience) { Message = otherwise, PollingInterval = TimeSpan.FromMilliseconds(40) };
        wait.IgnoreExceptionTypes(
            typeof(StaleElementReferenceException),
            typeof(ElementClickInterceptedException),
            typeof(ElementNotInteractableException)
        );
        return wait.Until(look)!;
    }

    private static string Quoted(string text) => System.Text.Json.JsonSerializer.Serialize(text);
}
