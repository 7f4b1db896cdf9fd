using OpenQA.Selenium;
using OpenQA.Selenium.Support.UI;

namespace Yuntak.Browser.Tests;

/// <summary>The first visit from the machine itself, signing out and in again by keyboard, over TLS, at the width of a phone.</summary>
public sealed class FrontDoorTests : IAsyncLifetime
{
    private const string Phrase = "four clay pots drying";
    private RunningSite site = null!;
    private BrowserWindow window = null!;

    private IWebDriver Driver => window.Driver;

    public async ValueTask InitializeAsync()
    {
        // 127.0.0.2 stands for an address of the house; whoever comes from 127.0.0.1 sits at the machine itself.
        site = await RunningSite.StartAsync(demo: true, "http://127.0.0.2:0", "--tls");
        window = new BrowserWindow(390, 844, dark: false, acceptOwnCertificates: true);
    }

    public async ValueTask DisposeAsync()
    {
        window.Dispose();
        await site.DisposeAsync();
    }

    [Fact]
    public void A_phrase_is_set_at_the_first_visit_and_opens_the_door_again_after_signing_out()
    {
        // The plain address leads to the secured one.
        Driver.Navigate().GoToUrl(site.Addresses.Single(a => a.StartsWith("http:", StringComparison.Ordinal)) + "/Runbook");
        Driver.Url.ShouldStartWith("https://127.0.0.2:");
        Driver.FindElement(By.TagName("h1")).Text.ShouldBe("Pass phrase");

        Type("phrase", "short");
        Type("again", "short" + Keys.Enter);
        Driver.FindElement(By.TagName("h1")).Text.ShouldBe("Pass phrase", "the browser itself holds the length");

        Type("phrase", Phrase);
        Type("again", Phrase + Keys.Enter);
        Until(d => d.Url.EndsWith("/Lab", StringComparison.Ordinal));
        Driver.FindElement(By.CssSelector("#reach .qr")).Displayed.ShouldBeTrue();
        Driver.FindElement(By.CssSelector("#reach .address")).Text.ShouldStartWith("https://127.0.0.2:");
        Driver.FindElement(By.CssSelector("#reach .print")).Text.Length.ShouldBe(95);

        Driver.FindElement(By.XPath("//button[text()='Sign out']")).Click();
        Until(d => d.FindElements(By.Name("phrase")).Count == 1);
        Driver.Navigate().GoToUrl(site.Address + "/Runbook");
        Type("phrase", "not the right one" + Keys.Enter);
        Until(d => d.FindElements(By.CssSelector(".refusal")).Count == 1);
        Type("phrase", Phrase + Keys.Enter);
        Until(d => d.Url.EndsWith("/Runbook", StringComparison.Ordinal));
        Driver.FindElement(By.TagName("h1")).Text.ShouldBe("Runbook");

        // Signed out while at the rack without a line: what was ticked waits until somebody is known again, and is not lost.
        Driver.Manage().Cookies.DeleteAllCookies();
        window.Line(away: true);
        Driver.FindElement(By.CssSelector("#step-1-1 .tick-box")).SendKeys(Keys.Space);
        Until(d => d.FindElements(By.CssSelector("#step-1-1.waits")).Count == 1);
        window.Line(away: false);
        Until(_ =>
            true.Equals(window.Driver.ExecuteScript("return document.getElementById('offline').textContent.includes('signed out')"))
        );
        Driver.Navigate().GoToUrl(site.Address + "/Runbook");
        Type("phrase", Phrase + Keys.Enter);
        Until(_ =>
            true.Equals(
                window.Driver.ExecuteScript("return document.querySelector('.history')?.textContent.includes('Wire kiln') ?? false")
            )
        );
    }

    private void Type(string field, string text)
    {
        var box = Driver.FindElement(By.Name(field));
        box.Clear();
        box.SendKeys(text);
    }

    private void Until(Func<IWebDriver, bool> holds) => new WebDriverWait(Driver, TimeSpan.FromSeconds(40)).Until(holds);
}
