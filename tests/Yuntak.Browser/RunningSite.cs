using Microsoft.AspNetCore.Builder;
using Yuntak.Web.Starting;

namespace Yuntak.Browser;

/// <summary>The real application on a port of its own, with data of its own.</summary>
public sealed class RunningSite : IAsyncDisposable
{
    private readonly DirectoryInfo folder;
    private readonly WebApplication app;

    private RunningSite(DirectoryInfo folder, WebApplication app)
    {
        this.folder = folder;
        this.app = app;
    }

    /// <summary>Where pages are; the secured address where there is one.</summary>
    public string Address => app.Urls.OrderByDescending(u => u.StartsWith("https:", StringComparison.Ordinal)).First();

    /// <summary>Everywhere it listens.</summary>
    public IReadOnlyCollection<string> Addresses => [.. app.Urls];

    /// <summary>Starts it.</summary>
    /// <param name="demo">With demo data, or empty.</param>
    /// <param name="urls">Where it listens.</param>
    /// <param name="more">More options.</param>
    public static async Task<RunningSite> StartAsync(bool demo, string urls = "http://127.0.0.1:0", params string[] more)
    {
        var data = Directory.CreateTempSubdirectory("yuntak-site-");
        string[] where = ["--urls", urls, "--data", Path.Combine(data.FullName, "data"), .. more];
        var started =
            YuntakApp.Build(demo ? [.. where, "--demo"] : where) ?? throw new InvalidOperationException("The application did not start.");
        await started.StartAsync();
        return new RunningSite(data, started);
    }

    public async ValueTask DisposeAsync()
    {
        await app.DisposeAsync();
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        folder.Delete(recursive: true);
    }
}
