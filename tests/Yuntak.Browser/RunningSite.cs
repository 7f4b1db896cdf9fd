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

    public string Address => app.Urls.Single();

    /// <summary>Starts it.</summary>
    /// <param name="demo">With demo data, or empty.</param>
    public static async Task<RunningSite> StartAsync(bool demo)
    {
        var data = Directory.CreateTempSubdirectory("yuntak-site-");
        string[] where = ["--urls", "http://127.0.0.1:0", "--data", Path.Combine(data.FullName, "data")];
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
