using System.Security.Cryptography.X509Certificates;
using Yuntak.Web.Door;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Starting;

/// <summary>Serves pages until it is told to stop.</summary>
internal static class Serve
{
    /// <summary>How it ends when an address it is to listen on is not there: it may come yet, as while a machine starts (EX_TEMPFAIL of sysexits.h).</summary>
    public const int NotYet = 75;

    /// <returns>0, 1 when it could not start, or <see cref="NotYet"/>; the reason is on standard error.</returns>
    public static async Task<int> RunAsync(string[] args)
    {
        var app = YuntakApp.Build(args);
        if (app is null)
        {
            return 1;
        }

        await using var until = app;
        // The first page is asked for at once, most of the time; what it shows is worked out while the server begins to listen.
        _ = Task.Run(() => app.Services.GetRequiredService<DeskService>().LoadAsync());
        try
        {
            await app.StartAsync();
        }
        catch (Exception e) when (e is IOException or System.Net.Sockets.SocketException)
        {
            Console.Error.WriteLine(
                $"Yuntak could not start: {e.Message.TrimEnd('.')}. Is it running already? Another address: --urls http://127.0.0.1:5481"
            );
            return IsAddressMissing(e) ? NotYet : 1;
        }

        Say(app);
        await app.WaitForShutdownAsync();
        return 0;
    }

    private static bool IsAddressMissing(Exception? e) =>
        e is System.Net.Sockets.SocketException { SocketErrorCode: System.Net.Sockets.SocketError.AddressNotAvailable }
        || (e?.InnerException is { } inner && IsAddressMissing(inner));

    private static void Say(WebApplication app)
    {
        var options = app.Services.GetRequiredService<StartOptions>();
        Console.WriteLine($"Yuntak is at {string.Join(" and ", app.Urls)}  (stop with Ctrl+C)");
        if (app.Services.GetRequiredService<OwnAddress>().ForTheHouse is { } house)
        {
            Console.WriteLine($"From other machines in the house: {house}");
        }

        if (app.Services.GetService<X509Certificate2>() is { } certificate)
        {
            Console.WriteLine($"Certificate, SHA-256: {Certificates.Fingerprint(certificate)}");
        }

        var pass = app.Services.GetRequiredService<PassFile>();
        if (options.Open && options.Wide)
        {
            Console.Error.WriteLine("WARNING: --open: whoever reaches this address can read and change everything, without a pass phrase.");
        }
        else if (options.Wide && !pass.IsSet)
        {
            Console.Error.WriteLine(
                "No pass phrase is set, so nobody else comes in yet. Set one:  ./yuntak pass   or at the first visit from this machine."
            );
        }

        if (pass.IsDamaged)
        {
            Console.Error.WriteLine("The file with the pass phrase is damaged, so nobody comes in. Set a new one:  ./yuntak pass");
        }

        if (options.Wide && !options.Tls)
        {
            Console.Error.WriteLine("Pages go over the wire unencrypted; --tls changes that.");
        }
    }
}
