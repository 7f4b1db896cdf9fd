using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using Yuntak.Web.Rooms;

namespace Yuntak.Browser;

/// <summary>Debian's headless Chromium with a fresh profile, told to reach for nothing by itself.</summary>
public sealed class BrowserWindow : IDisposable
{
    private readonly string profile = Directory.CreateTempSubdirectory("yuntak-browser-").FullName;

    /// <summary>Starts the browser.</summary>
    /// <param name="width">Width of the page in pixels.</param>
    /// <param name="height">Height of the page in pixels.</param>
    /// <param name="dark">Whether the system asks for dark.</param>
    /// <param name="acceptOwnCertificates">Whether a certificate nobody vouches for is taken, as by a person who compared its fingerprint.</param>
    public BrowserWindow(int width, int height, bool dark, bool acceptOwnCertificates = false)
    {
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium", AcceptInsecureCertificates = acceptOwnCertificates };
        options.AddArguments(
            "--headless=new",
            "--no-sandbox",
            "--disable-gpu",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--no-first-run",
            "--hide-scrollbars",
            "--force-device-scale-factor=1",
            $"--user-data-dir={profile}"
        );
        options.SetLoggingPreference(LogType.Browser, LogLevel.All);
        var service = ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver");
        service.SuppressInitialDiagnosticInformation = true;
        Driver = new ChromeDriver(service, options, TimeSpan.FromSeconds(120));
        Resize(width, height);
        Driver.ExecuteCdpCommand(
            "Emulation.setEmulatedMedia",
            new Dictionary<string, object?>
            {
                ["features"] = new object[]
                {
                    new Dictionary<string, object?> { ["name"] = "prefers-color-scheme", ["value"] = dark ? "dark" : "light" },
                    new Dictionary<string, object?> { ["name"] = "prefers-reduced-motion", ["value"] = "reduce" },
                },
            }
        );
    }

    public ChromeDriver Driver { get; }

    /// <summary>Sets the size of the page itself, also below what a window can be.</summary>
    public void Resize(int width, int height) =>
        Driver.ExecuteCdpCommand(
            "Emulation.setDeviceMetricsOverride",
            new Dictionary<string, object?>
            {
                ["width"] = width,
                ["height"] = height,
                ["deviceScaleFactor"] = 1,
                ["mobile"] = false,
            }
        );

    /// <summary>Takes the line of the browser away, or brings it back.</summary>
    /// <remarks>Requests are only held back while the network is watched; otherwise the page is merely told that it has no line.</remarks>
    public void Line(bool away)
    {
        Driver.ExecuteCdpCommand("Network.enable", []);
        Driver.ExecuteCdpCommand(
            "Network.emulateNetworkConditions",
            new Dictionary<string, object?>
            {
                ["offline"] = away,
                ["latency"] = 0,
                ["downloadThroughput"] = -1,
                ["uploadThroughput"] = -1,
            }
        );
    }

    /// <summary>A picture of what is seen.</summary>
    public void Picture(string file) => Driver.GetScreenshot().SaveAsFile(file);

    public void Dispose()
    {
        Driver.Quit();
        Driver.Dispose();
        Directory.Delete(profile, recursive: true);
    }
}
