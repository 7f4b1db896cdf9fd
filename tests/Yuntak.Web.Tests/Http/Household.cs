using System.Net;
using System.Security.Cryptography.X509Certificates;
using AngleSharp.Html.Parser;
using Microsoft.AspNetCore.Builder;
using Yuntak.Web.Door;
using Yuntak.Web.Starting;

namespace Yuntak.Web.Tests.Http;

/// <summary>
/// Yuntak listening for the whole house, on 127.0.0.1, and people at two machines: this one, and another, for which 127.0.0.2 stands. Yuntak takes only 127.0.0.1
/// and ::1 for its own machine.
/// </summary>
internal sealed class Household : IAsyncDisposable
{
    public const string Phrase = "four clay pots drying";

    private readonly List<HttpClient> clients = [];
    private readonly WebApplication app;

    private Household(TempFolder folder, WebApplication app) => (Folder, this.app) = (folder, app);

    public TempFolder Folder { get; }

    public string Data => Folder.File("data");

    /// <summary>The addresses it listens at, by their scheme.</summary>
    public Uri At(string scheme = "http") => new(app.Urls.First(u => u.StartsWith(scheme + ":")).Replace("0.0.0.0", "127.0.0.1"));

    public static Task<Household> OpenAsync(params string[] more) => ListenAsync("http://0.0.0.0:0", more);

    public static async Task<Household> ListenAsync(string urls, params string[] more)
    {
        var folder = new TempFolder();
        string[] where = ["--data", folder.File("data"), "--urls", urls];
        var built = YuntakApp.Build([.. where, .. more]).ShouldNotBeNull();
        await built.StartAsync();
        return new Household(folder, built);
    }

    /// <summary>A browser at another machine.</summary>
    public HttpClient Elsewhere(bool follow = true) => Browser(IPAddress.Parse("127.0.0.2"), follow);

    /// <summary>A browser at this machine.</summary>
    public HttpClient Here(bool follow = true) => Browser(IPAddress.Loopback, follow);

    /// <summary>Fills the form of a page that was asked for and sends it.</summary>
    public static async Task<HttpResponseMessage> SendAsync(HttpClient browser, string path, params (string Name, string Value)[] fields)
    {
        var page = new HtmlParser().ParseDocument(await browser.GetStringAsync(path));
        var token = page.QuerySelector("input[name=__RequestVerificationToken]")!.GetAttribute("value")!;
        return await browser.PostAsync(
            path,
            new FormUrlEncodedContent([
                new("__RequestVerificationToken", token),
                .. fields.Select(f => KeyValuePair.Create(f.Name, f.Value)),
            ])
        );
    }

    public async ValueTask DisposeAsync()
    {
        clients.ForEach(c => c.Dispose());
        await app.DisposeAsync();
        Folder.Dispose();
    }

    /// <summary>As a person who compares the fingerprint.</summary>
    private bool IsOurs(X509Certificate? shown)
    {
        using var ours = Certificates.Load(Path.Combine(Data, "tls.pem"));
        return shown is X509Certificate2 certificate && Certificates.Fingerprint(certificate) == Certificates.Fingerprint(ours);
    }

    private HttpClient Browser(IPAddress from, bool follow)
    {
        var handler = new SocketsHttpHandler
        {
            AllowAutoRedirect = follow,
            ConnectCallback = async (context, cancel) =>
            {
                var socket = new System.Net.Sockets.Socket(System.Net.Sockets.SocketType.Stream, System.Net.Sockets.ProtocolType.Tcp);
                socket.Bind(new IPEndPoint(from.MapToIPv6(), 0));
                await socket.ConnectAsync(IPAddress.Loopback.MapToIPv6(), context.DnsEndPoint.Port, cancel);
                return new System.Net.Sockets.NetworkStream(socket, ownsSocket: true);
            },
            SslOptions = new() { RemoteCertificateValidationCallback = (_, shown, _, _) => IsOurs(shown) },
        };
        var client = new HttpClient(handler) { BaseAddress = At() };
        clients.Add(client);
        return client;
    }
}
