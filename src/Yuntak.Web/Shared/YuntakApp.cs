using System.IO.Compression;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.ResponseCompression;
using Yuntak.Core.Labs;
using Yuntak.Data;
using Yuntak.Formats.LabFiles;

namespace Yuntak.Web.Shared;

/// <summary>Puts the application together.</summary>
public static class YuntakApp
{
    /// <summary>Where it listens unless told otherwise: on this machine only.</summary>
    public const string DefaultUrl = "http://127.0.0.1:5480";

    /// <summary>The longest request that is looked at before it is answered; longer ones get a plain page.</summary>
    public const long LongestRequest = 64L << 20;

    /// <summary>
    /// Builds the application. Options: <c>--data DIR</c> for the folder with the person's data, <c>--demo</c> for fresh demo data in a folder of its own,
    /// <c>--urls</c> for where to listen. Null when the data cannot be used; the reason is on standard error.
    /// </summary>
    public static WebApplication? Build(string[] args)
    {
        var demo = args.Contains("--demo", StringComparer.Ordinal);
        var builder = WebApplication.CreateBuilder(
            new WebApplicationOptions
            {
                Args = [.. args.Where(a => a != "--demo")],
                // Pages and files are found beside this assembly, whoever started the process: the launcher, a test or a benchmark.
                ApplicationName = typeof(YuntakApp).Assembly.GetName().Name,
                ContentRootPath = AppContext.BaseDirectory,
            }
        );
        builder.Logging.AddFilter("Microsoft.EntityFrameworkCore", LogLevel.Warning).AddFilter("Microsoft.AspNetCore", LogLevel.Warning);
        builder
            .Logging.AddFilter("Microsoft.Hosting.Lifetime", LogLevel.Warning)
            .AddFilter("Microsoft.Extensions.Hosting", LogLevel.None)
            .AddFilter("Microsoft.AspNetCore.DataProtection", LogLevel.Error);
        if (string.IsNullOrEmpty(builder.Configuration["urls"]))
        {
            builder.WebHost.UseUrls(DefaultUrl);
        }

        // A page from elsewhere must not reach this one by giving its own name this machine's address. Who listens wider is reached by other names.
        if ((builder.Configuration["urls"] ?? DefaultUrl).Split(';').All(IsLoopback))
        {
            builder.Configuration["AllowedHosts"] = "127.0.0.1;localhost;[::1]";
        }

        builder.WebHost.ConfigureKestrel(k =>
        {
            k.Limits.MaxRequestBodySize = LongestRequest;
            k.AddServerHeader = false;
        });
        var folder = Path.GetFullPath(builder.Configuration["data"] ?? DataPlaces.Usual(demo));
        if (OpenFolder(folder, demo) is not { } taken)
        {
            return null;
        }

        // The container gives it back when the application ends.
        builder.Services.AddSingleton(_ => taken);
        AddServices(builder.Services, folder);
        var app = builder.Build();
        try
        {
            app.Services.GetRequiredService<FolderLock>();
            DataFolder.Prepare(app.Services);
            First(app.Services.GetRequiredService<LabStore>(), demo);
        }
        catch (Exception e)
            when (e is Microsoft.Data.Sqlite.SqliteException or IOException or UnauthorizedAccessException or NotSupportedException)
        {
            Console.Error.WriteLine($"The data in {folder} cannot be used: {e.Message} Nothing in it was changed.");
            return null;
        }

        Use(app);
        return app;
    }

    private static bool IsLoopback(string url) => Uri.TryCreate(url, UriKind.Absolute, out var uri) && uri.IsLoopback;

    /// <summary>Takes the data folder, and clears it for the demo. Null when it cannot be had; the reason is on standard error.</summary>
    private static FolderLock? OpenFolder(string folder, bool demo)
    {
        try
        {
            var taken = FolderLock.Take(folder);
            var refusal =
                taken is null
                    ? $"Another Yuntak is running on {folder}. Stop it first, or name another folder with --data. Nothing was changed."
                : demo ? DataPlaces.ClearDemo(folder)
                : null;
            if (refusal is null)
            {
                return taken;
            }

            taken?.Dispose();
            Console.Error.WriteLine(refusal);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            Console.Error.WriteLine($"The folder {folder} cannot be used: {e.Message} Name another with --data.");
        }

        return null;
    }

    private static void AddServices(IServiceCollection services, string folder)
    {
        services.AddSingleton(TimeProvider.System);
        services.AddYuntakData(folder);
        services.AddSingleton<DeskService>();
        services.AddSingleton<ReadingDesk>();
        services.AddRazorPages(o => o.Conventions.AddPageRoute("/Bench/Index", ""));
        services.AddDataProtection().SetApplicationName("yuntak").PersistKeysToFileSystem(new DirectoryInfo(Path.Combine(folder, "keys")));
        services.AddAntiforgery(o => o.Cookie.SameSite = SameSiteMode.Strict);
        services.Configure<FormOptions>(o =>
        {
            o.MultipartBodyLengthLimit = LongestRequest;
            o.ValueLengthLimit = (int)LongestRequest;
            o.KeyLengthLimit = 4096;
            o.ValueCountLimit = 4096;
        });
        services.AddResponseCompression(o =>
        {
            o.Providers.Add<BrotliCompressionProvider>();
            o.Providers.Add<GzipCompressionProvider>();
        });
        services.Configure<BrotliCompressionProviderOptions>(o => o.Level = CompressionLevel.Fastest);
    }

    private static void First(LabStore store, bool demo)
    {
        var (draft, asBuilt) = demo
            ? (ReadDemo("saltmarsh-draft.yaml"), ReadDemo("saltmarsh-as-built.yaml"))
            : (Lab.Empty("My lab"), Lab.Empty("My lab"));
        store.CreateAsync(draft, asBuilt).GetAwaiter().GetResult();
    }

    private static Lab ReadDemo(string file)
    {
        var reading = LabFile.Read(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "demo", file)));
        return reading.Lab ?? throw new InvalidDataException($"{file}: {reading.Problems[0]}");
    }

    private static void Use(WebApplication app)
    {
        app.UseMiddleware<SafetyMiddleware>();
        app.UseStatusCodePagesWithReExecute("/Trouble", "?code={0}");
        app.UseResponseCompression();
        app.UseStaticFiles(
            new StaticFileOptions
            {
                OnPrepareResponse = c =>
                    c.Context.Response.Headers.CacheControl =
                        c.Context.Request.Query.ContainsKey("v")
                        || c.Context.Request.Path.StartsWithSegments("/lib", StringComparison.Ordinal)
                            ? "public, max-age=31536000, immutable"
                            : "no-cache",
            }
        );
        app.MapRazorPages();
        FileEndpoints.Map(app);
    }
}
