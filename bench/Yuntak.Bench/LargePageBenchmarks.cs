using BenchmarkDotNet.Attributes;
using Microsoft.AspNetCore.Builder;
using Microsoft.Extensions.DependencyInjection;
using Yuntak.Core.Edits;
using Yuntak.Data;
using Yuntak.Web.Starting;

namespace Yuntak.Bench;

/// <summary>Pages of a lab of 20 hosts with 500 guests and 40 jobs, over a real connection, against a trivial page of the same server. How large they are is said too.</summary>
public class LargePageBenchmarks
{
    private const int LargestPage = 300 << 10;

    private static readonly HashSet<string> TooLarge = [];

    /// <summary>Whether no page that was fetched was larger than promised.</summary>
    internal static bool AllSmall => TooLarge.Count == 0;

    private DirectoryInfo folder = null!;
    private WebApplication app = null!;
    private HttpClient client = null!;
    private int host;

    [GlobalSetup]
    public void Start()
    {
        folder = Directory.CreateTempSubdirectory("yuntak-bench-");
        app = YuntakApp.Build(["--urls", "http://127.0.0.1:0", "--data", Path.Combine(folder.FullName, "data")])!;
        app.StartAsync().GetAwaiter().GetResult();
        var store = app.Services.GetRequiredService<LabStore>();
        var head = store.HeadAsync(Pointer.Draft).GetAwaiter().GetResult();
        store
            .CommitAsync(Pointer.Draft, head.Revision, LabEdits.Replace(LargeLabs.Of(20, 500).WithCopies(jobs: 40)))
            .GetAwaiter()
            .GetResult();
        client = new HttpClient { BaseAddress = new Uri(app.Urls.Single()) };
        foreach (var path in Pages)
        {
            var length = client.GetStringAsync(path).GetAwaiter().GetResult().Length;
            if (length > LargestPage && TooLarge.Add(path))
            {
                Console.WriteLine($"{path} of 20 hosts and 500 guests has {length >> 10} KiB; 300 are promised: MISSED");
            }
        }
    }

    [GlobalCleanup]
    public void Stop()
    {
        client.Dispose();
        app.DisposeAsync().AsTask().GetAwaiter().GetResult();
        folder.Delete(recursive: true);
    }

    public static IEnumerable<string> Pages =>
        [
            "/Kit",
            "/Wants",
            "/Wants/Guest/g3",
            "/Disks",
            "/Bench",
            "/Bench?guest=g3",
            "/Devices",
            "/Devices?host=h3&guest=g3",
            "/Devices/All",
            "/Keeping",
            "/Keeping/Plan",
            "/Runbook",
            "/Runbook/Rehearsal",
            "/History",
        ];

    [Benchmark(Baseline = true)]
    public Task<string> Trivial_page_beside_500_guests() => client.GetStringAsync("/yuntak.svg");

    [Benchmark]
    [Limit(100)]
    [ArgumentsSource(nameof(Pages))]
    public Task<string> Page_of_500_guests(string path) => client.GetStringAsync(path);

    [Benchmark]
    [Limit(100)]
    public async Task<string> Edit_of_500_guests_and_the_next_page()
    {
        var page = await client.GetStringAsync("/History");
        host = (host + 1) % 20;
        using var form = new FormUrlEncodedContent([
            new("guest", "g3"),
            new("host", $"h{host}"),
            new("based-on", HiddenField.Of(page, "based-on")),
            new("__RequestVerificationToken", HiddenField.Of(page, "__RequestVerificationToken")),
        ]);
        var answer = await client.PostAsync("/Bench?handler=Place", form);
        return await answer.Content.ReadAsStringAsync();
    }
}
