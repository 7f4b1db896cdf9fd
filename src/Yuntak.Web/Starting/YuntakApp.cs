using Microsoft.Extensions.FileProviders;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Data.Opening;
using Yuntak.Formats.LabFiles;
using Yuntak.Web.Door;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Starting;

/// <summary>Puts the application together.</summary>
public static class YuntakApp
{
    /// <summary>The longest request that is looked at before it is answered; longer ones get a plain page.</summary>
    public const long LongestRequest = 64L << 20;

    /// <summary>The version of this Yuntak.</summary>
    public static string Version { get; } = typeof(YuntakApp).Assembly.GetName().Version!.ToString(3);

    /// <summary>Builds the application from what was typed after <c>start</c> or <c>demo</c>. Null when it cannot start; the reason is on standard error.</summary>
    public static WebApplication? Build(string[] args)
    {
        FolderLock? taken = null;
        try
        {
            var options = StartCommand.Read(args);
            taken = TakeFolder(options);
            IncomingFiles.Prepare();
            SentBackups.Clear(options.Data);
            // The data is opened while the rest is put together: two things that take their time and do not need each other.
            var opening = Task.Run(() => OpenData(options));
            var app = Put(options, taken);
            try
            {
                opening.GetAwaiter().GetResult();
            }
            catch
            {
                app.DisposeAsync().AsTask().GetAwaiter().GetResult();
                throw;
            }

            return app;
        }
        catch (Refused refused)
        {
            foreach (var line in refused.Message.Split('\n'))
            {
                Console.Error.WriteLine(Names.Clean(line));
            }
        }
        catch (Exception e)
            when (e is Microsoft.Data.Sqlite.SqliteException or IOException or UnauthorizedAccessException or NotSupportedException)
        {
            Console.Error.WriteLine($"Yuntak could not start: {Trouble.Words(e) ?? e.Message} Nothing was changed.");
        }

        taken?.Dispose();
        return null;
    }

    /// <summary>Takes the data folder, and clears it for the demo.</summary>
    /// <exception cref="Refused">It cannot be had.</exception>
    private static FolderLock TakeFolder(StartOptions options)
    {
        var folder = options.Data;
        try
        {
            var taken =
                FolderLock.Take(folder)
                ?? throw new Refused(
                    $"Another Yuntak is running on {folder}. Stop it first, or name another folder with --data. Nothing was changed."
                );
            if (!options.Demo)
            {
                DataPlaces.Keep(folder);
            }
            else if (DataPlaces.ClearDemo(folder) is { } refusal)
            {
                taken.Dispose();
                throw new Refused(refusal);
            }

            return taken;
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            throw new Refused($"The folder {folder} cannot be used: {e.Message} Name another with --data.", e);
        }
    }

    /// <exception cref="Refused">The data cannot be used.</exception>
    private static void OpenData(StartOptions options)
    {
        var folder = options.Data;
        var opening = new DataOpening(folder, TimeProvider.System, Version);
        try
        {
            IReadOnlyList<string> said;
            try
            {
                said = opening.OpenAsync(() => First(options.Demo)).GetAwaiter().GetResult();
            }
            catch (Damaged) when (options.Recover)
            {
                said =
                [
                    .. Recovery.GoOnAsync(folder, TimeProvider.System).GetAwaiter().GetResult(),
                    .. opening.OpenAsync(() => First(options.Demo)).GetAwaiter().GetResult(),
                ];
            }

            foreach (var sentence in said)
            {
                Console.Error.WriteLine(sentence);
            }
        }
        catch (Damaged damaged)
        {
            throw new Refused(
                $"The data in {folder} cannot be used: {damaged.Message}. Nothing in it was changed.\n"
                    + $"To go on from {Recovery.Offer(folder)}, with the damaged file kept beside it:  ./yuntak start --recover --data {folder}",
                damaged
            );
        }
        catch (Refused refused)
        {
            throw new Refused($"The data in {folder} cannot be used: {refused.Message} Nothing in it was changed.", refused);
        }
    }

    private static WebApplication Put(StartOptions options, FolderLock taken)
    {
        // Empty: nothing is read from settings files or from variables that other programs use too.
        var builder = WebApplication.CreateEmptyBuilder(
            new WebApplicationOptions
            {
                // Pages and files are found beside this assembly, whoever started the process: the launcher, a test or a benchmark.
                ApplicationName = typeof(YuntakApp).Assembly.GetName().Name,
                ContentRootPath = AppContext.BaseDirectory,
                WebRootPath = Path.Combine(AppContext.BaseDirectory, "wwwroot"),
                EnvironmentName = Environments.Production,
            }
        );
        builder.Environment.WebRootFileProvider = new StillFiles(builder.Environment.WebRootFileProvider);
        builder.Logging.AddSimpleConsole(c => c.SingleLine = true).SetMinimumLevel(LogLevel.Warning);
        builder
            .Logging.AddFilter("Microsoft.Extensions.Hosting", LogLevel.None)
            .AddFilter("Microsoft.AspNetCore.DataProtection", LogLevel.Error);
        builder.Services.Configure<Microsoft.Extensions.Logging.Console.ConsoleLoggerOptions>(c =>
            c.LogToStandardErrorThreshold = LogLevel.Trace
        );
        var certificate =
            !options.Tls ? null
            : options.Certificate is { } named ? Certificates.Load(named)
            : Certificates.Own(options.Data, options.Hosts, TimeProvider.System.GetUtcNow());
        Listening.Add(builder.WebHost, options, certificate);
        // The container gives the folder back when the application ends.
        builder.Services.AddSingleton(_ => taken);
        builder.Services.AddSingleton(options);
        if (certificate is not null)
        {
            builder.Services.AddSingleton(certificate);
        }

        YuntakServices.Add(builder.Services, options);
        var app = builder.Build();
        app.Services.GetRequiredService<FolderLock>();
        Use(app);
        return app;
    }

    private static (Lab Draft, Lab AsBuilt) First(bool demo) =>
        demo ? (ReadDemo("saltmarsh-draft.yaml"), ReadDemo("saltmarsh-as-built.yaml")) : (Lab.Empty("My lab"), Lab.Empty("My lab"));

    private static Lab ReadDemo(string file)
    {
        var reading = LabFile.Read(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "demo", file)));
        return reading.Lab ?? throw new InvalidDataException($"{file}: {reading.Problems[0]}");
    }

    private static void Use(WebApplication app)
    {
        app.UseMiddleware<SafetyMiddleware>();
        app.UseMiddleware<AddressMiddleware>();
        app.UseMiddleware<CrossSiteMiddleware>();
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
        app.UseMiddleware<DoorMiddleware>();
        app.UseRouting();
        app.MapRazorPages();
        FileEndpoints.Map(app);
    }
}
