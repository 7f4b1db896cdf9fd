using System.Text.RegularExpressions;
using BenchmarkDotNet.Attributes;
using Microsoft.AspNetCore.Builder;
using Yuntak.Core.Shapes;
using Yuntak.Web.Shared;

namespace Yuntak.Bench;

/// <summary>Pages of the demo and an edit to its new verdict, over a real connection, against a trivial page of the same server.</summary>
public partial class PageBenchmarks
{
    private DirectoryInfo folder = null!;
    private WebApplication app = null!;
    private HttpClient client = null!;
    private bool onWren;

    [GlobalSetup]
    public void Start()
    {
        folder = Directory.CreateTempSubdirectory("yuntak-bench-");
        app = YuntakApp.Build(["--demo", "--urls", "http://127.0.0.1:0", "--data", Path.Combine(folder.FullName, "data")])!;
        app.StartAsync().GetAwaiter().GetResult();
        client = new HttpClient { BaseAddress = new Uri(app.Urls.Single()) };
    }

    [GlobalCleanup]
    public void Stop()
    {
        client.Dispose();
        app.DisposeAsync().AsTask().GetAwaiter().GetResult();
        folder.Delete(recursive: true);
    }

    [Benchmark(Baseline = true)]
    public Task<string> Trivial_page() => client.GetStringAsync("/yuntak.svg");

    [Benchmark]
    [Limit(50)]
    public Task<string> Bench_page() => client.GetStringAsync("/Bench");

    [Benchmark]
    [Limit(50)]
    public Task<string> Bench_page_with_a_guest_open() => client.GetStringAsync("/Bench?guest=reelroom");

    [Benchmark]
    [Limit(50)]
    public Task<string> Kit_page() => client.GetStringAsync("/Kit");

    [Benchmark]
    [Limit(50)]
    public Task<string> Kit_page_with_a_card_open() => client.GetStringAsync("/Kit?host=kiln&look=cards%2F0000:01:00.0");

    [Benchmark]
    [Limit(50)]
    public Task<string> Readiness_page() => client.GetStringAsync("/Kit/Ready/cellar");

    [Benchmark]
    [Limit(50)]
    public Task<string> Wants_page() => client.GetStringAsync("/Wants");

    [Benchmark]
    [Limit(50)]
    public Task<string> Want_page() => client.GetStringAsync("/Wants/Guest/owlwatch");

    [Benchmark]
    [Limit(50)]
    public Task<string> Profile_page() => client.GetStringAsync("/Wants/Profile/media-library");

    [Benchmark]
    [Limit(50)]
    public Task<string> Disks_page() => client.GetStringAsync("/Disks?host=kiln&pool=clay");

    [Benchmark]
    [Limit(50)]
    public Task<string> Layouts_page() => client.GetStringAsync("/Disks/Layouts?disks=6x20TB&price=400");

    [Benchmark]
    [Limit(50)]
    public Task<string> Need_page() =>
        client.GetStringAsync("/Disks/Layouts?need=80TB&survives=2&offer-0-size=20TB&offer-0-price=400&offer-1-size=8TB&offer-1-price=150");

    [Benchmark]
    [Limit(50)]
    public Task<string> Runbook_page() => client.GetStringAsync("/Runbook");

    /// <summary>The form is fetched first, as a person sees it first; then the change is sent and the page with the new verdict comes back.</summary>
    [Benchmark]
    [Limit(100)]
    public async Task<string> Edit_to_new_verdict_and_the_page_before_it()
    {
        var page = await client.GetStringAsync("/Bench");
        onWren = !onWren;
        using var form = new FormUrlEncodedContent([
            new("guest", "tinker"),
            new("host", onWren ? "wren" : "kiln"),
            new("based-on", Field(page, "based-on")),
            new("__RequestVerificationToken", Field(page, "__RequestVerificationToken")),
        ]);
        var answer = await client.PostAsync("/Bench?handler=Place", form);
        return await answer.Content.ReadAsStringAsync();
    }

    private static string Field(string page, string name) =>
        Fields().Matches(page).First(m => m.Groups["name"].Value == name).Groups["value"].Value;

    [GeneratedRegex("<input name=\"(?<name>[^\"]+)\" type=\"hidden\" value=\"(?<value>[^\"]*)\"", RegexOptions.ExplicitCapture)]
    private static partial Regex Fields();
}
