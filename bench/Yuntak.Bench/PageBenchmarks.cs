using BenchmarkDotNet.Attributes;
using Microsoft.AspNetCore.Builder;
using Yuntak.Core.Shapes;
using Yuntak.Web.Rooms;
using Yuntak.Web.Starting;

namespace Yuntak.Bench;

/// <summary>Pages of the demo and an edit to its new verdict, over a real connection, against a trivial page of the same server.</summary>
public class PageBenchmarks
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

    /// <summary>The main views of the rooms, those that are pictured, as the demo has them.</summary>
    public static IEnumerable<string> Pages => House.Pages.Where(p => p.Pictures.Count > 0 && !p.AfterReading).Select(p => p.Path);

    [Benchmark]
    [Limit(50)]
    [ArgumentsSource(nameof(Pages))]
    public Task<string> Page(string path) => client.GetStringAsync(path);

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
            new("based-on", HiddenField.Of(page, "based-on")),
            new("__RequestVerificationToken", HiddenField.Of(page, "__RequestVerificationToken")),
        ]);
        var answer = await client.PostAsync("/Bench?handler=Place", form);
        return await answer.Content.ReadAsStringAsync();
    }
}
