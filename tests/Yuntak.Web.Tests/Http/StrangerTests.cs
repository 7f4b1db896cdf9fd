using System.Net;
using System.Net.Http.Headers;
using System.Net.Sockets;
using System.Text;
using Yuntak.Core.Base;
using Yuntak.Data;
using Yuntak.Web.Door;
using Yuntak.Web.Shared;
using Yuntak.Web.Starting;

namespace Yuntak.Web.Tests.Http;

/// <summary>What somebody can do who is not signed in, who comes through another program, or whose page belongs to another site.</summary>
public class StrangerTests
{
    [Theory]
    [InlineData("/SignIn")]
    [InlineData("/Pass")]
    [InlineData("/History?handler=Undo")]
    public async Task Of_who_is_not_signed_in_no_more_is_read_than_a_phrase_takes(string path)
    {
        await using var house = await Household.OpenAsync();
        new PassFile(house.Data).Set(Household.Phrase);
        var phone = house.Elsewhere(follow: false);

        var large = new StringContent(
            "phrase=" + new string('x', DoorMiddleware.MostOfStrangers),
            Encoding.UTF8,
            "application/x-www-form-urlencoded"
        );
        (await phone.PostAsync(path, large)).StatusCode.ShouldBe(HttpStatusCode.RequestEntityTooLarge);

        // The same without a length said before.
        using var request = new HttpRequestMessage(HttpMethod.Post, path)
        {
            Content = new StreamContent(new MemoryStream(new byte[1 << 20])),
        };
        request.Content.Headers.ContentType = new MediaTypeHeaderValue("application/x-www-form-urlencoded");
        request.Headers.TransferEncodingChunked = true;
        try
        {
            ((int)(await phone.SendAsync(request)).StatusCode).ShouldBeOneOf([400, 401, 413]);
        }
        catch (HttpRequestException)
        {
            // The connection was closed while it was still sending: no more was read either.
        }

        using var parts = new MultipartFormDataContent { { new StringContent("x"), "phrase" } };
        (await phone.PostAsync(path, parts)).StatusCode.ShouldBe(HttpStatusCode.UnsupportedMediaType);
    }

    [Fact]
    public async Task What_is_sent_half_leaves_no_file_behind_where_it_was_kept()
    {
        await using var house = await Household.OpenAsync("--open");
        var own = Directory.EnumerateDirectories(Path.GetTempPath(), $"yuntak-incoming-{Environment.ProcessId}").Single();
        File.GetUnixFileMode(own).ShouldBe(DataFolder.OwnFolder);
        using (var socket = new TcpClient())
        {
            await socket.ConnectAsync(IPAddress.Loopback, house.At().Port);
            var stream = socket.GetStream();
            await stream.WriteAsync(
                Encoding.ASCII.GetBytes(
                    $"POST /Kit/Reading HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: multipart/form-data; boundary=b\r\nContent-Length: 40000000\r\n\r\n--b\r\nContent-Disposition: form-data; name=\"file\"; filename=\"a\"\r\n\r\n{new string('x', 300_000)}"
                )
            );
        }

        // The connection is gone: so is what came over it.
        await Until(() => Directory.EnumerateFiles(own).Any() is false);
    }

    [Theory]
    [InlineData("Content-Length: 4000")]
    [InlineData("Transfer-Encoding: chunked")]
    public async Task A_body_that_comes_too_slowly_is_not_waited_for(string length)
    {
        await using var house = await Household.OpenAsync("--open");
        using var socket = new TcpClient();
        await socket.ConnectAsync(IPAddress.Loopback, house.At().Port);
        var stream = socket.GetStream();
        await stream.WriteAsync(
            Encoding.ASCII.GetBytes(
                $"POST /Lab?handler=Read HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/x-www-form-urlencoded\r\n{length}\r\n\r\n"
            )
        );
        // Nothing more is sent. The server answers that it did not arrive whole, or hangs up: either way the reading here ends by itself.
        using var answer = new StreamReader(stream, Encoding.ASCII);
        var said = await answer.ReadToEndAsync().WaitAsync(TimeSpan.FromSeconds(30));
        said.Split('\n')[0].Trim().ShouldBeOneOf("", "HTTP/1.1 408 Request Timeout", "HTTP/1.1 400 Bad Request");
    }

    [Fact]
    public void What_a_killed_process_left_goes_at_the_next_start()
    {
        // A number no process has: past the most there are (proc(5), pid_max).
        var left = Path.Combine(Path.GetTempPath(), "yuntak-incoming-4194999");
        Directory.CreateDirectory(left);
        File.WriteAllText(Path.Combine(left, "part"), "x");
        IncomingFiles.Prepare();
        Directory.Exists(left).ShouldBeFalse();
    }

    [Fact]
    public async Task One_other_machine_cannot_hold_all_connections()
    {
        var limits = new ConnectionLimits();
        var held = new TaskCompletionSource();
        var open = 0;
        var counted = limits.Counted(_ =>
        {
            open++;
            return held.Task;
        });
        Task From(string address) =>
            counted(
                new Microsoft.AspNetCore.Connections.DefaultConnectionContext
                {
                    RemoteEndPoint = new IPEndPoint(IPAddress.Parse(address), 4_000),
                }
            );

        var all = Enumerable.Range(0, ConnectionLimits.MostOfOne + 20).Select(_ => From("192.0.2.7")).ToList();
        open.ShouldBe(ConnectionLimits.MostOfOne);
        all.Add(From("::ffff:192.0.2.7"));
        open.ShouldBe(ConnectionLimits.MostOfOne, "an address in another dress is the same machine");
        all.Add(From("192.0.2.8"));
        all.AddRange(Enumerable.Range(0, 100).Select(_ => From("127.0.0.1")));
        open.ShouldBe(ConnectionLimits.MostOfOne + 101, "others and this machine come in all the same");

        held.SetResult();
        await Task.WhenAll(all);
        await From("192.0.2.7");
        open.ShouldBe(ConnectionLimits.MostOfOne + 102, "what is closed is free again");
    }

    [Theory]
    [InlineData("X-Real-IP", "192.0.2.9")]
    [InlineData("X-Client-IP", "192.0.2.9")]
    [InlineData("X-Forwarded-Proto", "https")]
    [InlineData("Forwarded", "for=192.0.2.9")]
    [InlineData("Via", "1.1 proxy")]
    [InlineData("X-Original-Host", "lab.home.example")]
    public async Task Through_a_reverse_proxy_nobody_comes_in_before_a_phrase_is_set(string header, string value)
    {
        await using var house = await Household.ListenAsync("http://127.0.0.1:0");
        (await house.Here().GetAsync("/Bench")).StatusCode.ShouldBe(HttpStatusCode.OK);
        var through = house.Here();
        through.DefaultRequestHeaders.Add(header, value);
        var answer = await through.GetAsync("/Bench");
        answer.StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        (await answer.Content.ReadAsStringAsync()).ShouldContain("Set a pass phrase first");

        new PassFile(house.Data).Set(Household.Phrase);
        (await through.GetStringAsync("/Bench")).ShouldContain("Come in");
    }

    [Fact]
    public async Task A_proxy_that_adds_no_header_is_known_by_the_name_it_is_asked_by()
    {
        await using var house = await Household.ListenAsync("http://127.0.0.1:0", "--hosts", "lab.home.example");
        var through = house.Here();
        through.DefaultRequestHeaders.Host = "lab.home.example";
        (await through.GetAsync("/Bench")).StatusCode.ShouldBe(HttpStatusCode.Forbidden);
    }

    [Fact]
    public async Task Of_many_who_set_the_first_phrase_at_once_one_does_and_the_others_are_told()
    {
        using var folder = new TempFolder();
        var said = await Task.WhenAll(
            Enumerable
                .Range(0, 20)
                .Select(n =>
                    Task.Run(() =>
                    {
                        try
                        {
                            // Each as a process of its own would.
                            new PassFile(folder.Path).SetFirst($"four clay pots number {n}");
                            return n;
                        }
                        catch (Refused)
                        {
                            return -1;
                        }
                    })
                )
        );
        var set = said.Where(n => n >= 0).ShouldHaveSingleItem();
        new PassFile(folder.Path).Opens($"four clay pots number {set}").ShouldBeTrue();
    }

    [Theory]
    [InlineData("{\"Hash\":\"not base 64 !!\",\"Stamp\":\"x\"}")]
    [InlineData("{\"Hash\":\"AQAA\",\"Stamp\":\"x\"}")]
    [InlineData("nonsense")]
    [InlineData("")]
    public async Task A_damaged_pass_file_is_named_and_never_a_fault(string content)
    {
        await using var house = await Household.OpenAsync();
        File.WriteAllText(Path.Combine(house.Data, "pass"), content);
        var answer = await Household.SendAsync(house.Elsewhere(), "/SignIn", ("phrase", Household.Phrase));
        answer.StatusCode.ShouldBe(HttpStatusCode.Forbidden);
        if (content != "{\"Hash\":\"AQAA\",\"Stamp\":\"x\"}")
        {
            (await answer.Content.ReadAsStringAsync()).ShouldContain("is damaged");
        }
    }

    [Fact]
    public async Task A_cookie_that_was_copied_is_worth_nothing_once_its_owner_has_signed_out()
    {
        await using var house = await Household.OpenAsync();
        new PassFile(house.Data).Set(Household.Phrase);
        var phone = house.Elsewhere(follow: false);
        var cookie = (await Household.SendAsync(phone, "/SignIn", ("phrase", Household.Phrase)))
            .Headers.GetValues("Set-Cookie")
            .Single(c => c.StartsWith("yuntak-in="))
            .Split(';')[0];
        async Task<HttpStatusCode> Copied()
        {
            using var request = new HttpRequestMessage(HttpMethod.Get, "/Bench");
            request.Headers.Add("Cookie", cookie);
            return (await house.Elsewhere(follow: false).SendAsync(request)).StatusCode;
        }

        (await Copied()).ShouldBe(HttpStatusCode.OK);
        await Household.SendAsync(house.Elsewhere(follow: false), "/SignIn", ("phrase", Household.Phrase));
        (await Copied()).ShouldBe(HttpStatusCode.OK, "others who sign in or out are another matter");
        await Household.SendAsync(phone, "/SignIn?handler=Out");
        (await Copied()).ShouldBe(HttpStatusCode.Redirect);
        // Also after a start: it is remembered in the data folder.
        var visit = File.ReadAllText(Path.Combine(house.Data, "signed-out")).Split(' ')[0];
        new Visits(house.Data, TimeProvider.System).IsOver(visit).ShouldBeTrue();
    }

    [Fact]
    public async Task Headers_keep_other_sites_out_and_over_tls_say_that_it_stays_so()
    {
        await using var house = await Household.OpenAsync("--tls", "--open");
        var phone = house.Elsewhere();
        phone.BaseAddress = house.At("https");
        var page = await phone.GetAsync("/Lab");
        page.Headers.GetValues("Cross-Origin-Resource-Policy").Single().ShouldBe("same-origin");
        page.Headers.GetValues("Strict-Transport-Security").Single().ShouldStartWith("max-age=");
        page.Headers.GetValues("Set-Cookie").ShouldAllBe(c => c.Contains("secure", StringComparison.OrdinalIgnoreCase));
    }

    [Theory]
    [InlineData("/files/backup", "cross-site", HttpStatusCode.Forbidden)]
    [InlineData("/files/lab.yaml", "same-site", HttpStatusCode.Forbidden)]
    [InlineData("/files/lab.yaml", "same-origin", HttpStatusCode.OK)]
    [InlineData("/files/lab.yaml", "none", HttpStatusCode.OK)]
    [InlineData("/Bench", "cross-site", HttpStatusCode.OK)]
    public async Task A_page_of_another_site_makes_no_copy_and_takes_no_file(string path, string from, HttpStatusCode status)
    {
        await using var house = await Household.OpenAsync("--open");
        var phone = house.Elsewhere();
        phone.DefaultRequestHeaders.Add("Sec-Fetch-Site", from);
        (await phone.GetAsync(path)).StatusCode.ShouldBe(status);
    }

    [Fact]
    public async Task Two_backups_are_sent_at_once_and_the_next_one_is_told_to_wait()
    {
        await using var house = await Household.OpenAsync("--open");
        var photos = new PhotoStore(new DatabaseFile(DataFolder.Database(house.Data)), TimeProvider.System);
        for (var n = 0; n < 4; n++)
        {
            // More than the wire holds of what nobody reads.
            var photo = new byte[PhotoStore.Largest];
            new Random(n).NextBytes(photo);
            new byte[] { 0x89, 0x50, 0x4E, 0x47, 0x0D, 0x0A, 0x1A, 0x0A }.CopyTo(photo, 0);
            await photos.KeepAsync("step", "what", photo);
        }

        Task<HttpResponseMessage> Ask() => house.Here().GetAsync("/files/backup", HttpCompletionOption.ResponseHeadersRead);
        var slow = new[] { await Ask(), await Ask() };
        slow.ShouldAllBe(a => a.StatusCode == HttpStatusCode.OK);
        var third = await Ask();
        third.StatusCode.ShouldBe(HttpStatusCode.ServiceUnavailable);
        third.Headers.RetryAfter.ShouldNotBeNull();
        (await third.Content.ReadAsStringAsync()).ShouldContain("Wait until one of them is through");
        Directory.EnumerateFiles(house.Data, "backup-*.tmp").Count().ShouldBe(2);

        foreach (var answer in slow)
        {
            answer.Dispose();
        }

        await Until(() => !Directory.EnumerateFiles(house.Data, "backup-*").Any());
        await Until(() => Ask().GetAwaiter().GetResult().StatusCode == HttpStatusCode.OK);
    }

    [Fact]
    public void What_a_kill_left_of_a_backup_that_was_sent_goes_at_the_next_start()
    {
        using var folder = new TempFolder();
        foreach (var left in new[] { "backup-0123.tmp", "backup-0123.tmp.part", "backup-0123.tmp-journal" })
        {
            File.WriteAllText(folder.File(left), "x");
        }

        File.WriteAllText(folder.File("my backup-2026.tmp"), "x");
        SentBackups.Clear(folder.Path);
        Directory.EnumerateFiles(folder.Path).ShouldBe([folder.File("my backup-2026.tmp")]);
    }

    [Fact]
    public async Task The_script_is_shown_before_it_is_taken()
    {
        await using var house = await Household.OpenAsync("--open");
        var shown = await house.Here().GetAsync("/files/collect.sh?show=1");
        shown.StatusCode.ShouldBe(HttpStatusCode.OK);
        shown.Content.Headers.ContentDisposition.ShouldBeNull();
        (await house.Here().GetAsync("/files/collect.sh")).Content.Headers.ContentDisposition!.FileName.ShouldBe("collect.sh");
    }

    [Theory]
    [InlineData("")]
    [InlineData("cut off: -----BEGIN CERTIFICATE-----\nMII")]
    [InlineData("-----BEGIN CERTIFICATE-----\n")]
    public void A_certificate_of_its_own_that_was_cut_off_is_made_anew(string left)
    {
        using var folder = new TempFolder();
        File.WriteAllText(folder.File("tls.pem"), left);
        using var made = Certificates.Own(folder.Path, [], DateTimeOffset.UtcNow);
        made.HasPrivateKey.ShouldBeTrue();
        using var again = Certificates.Own(folder.Path, [], DateTimeOffset.UtcNow);
        Certificates.Fingerprint(again).ShouldBe(Certificates.Fingerprint(made));
        Directory.GetFiles(folder.Path).ShouldBe([folder.File("tls.pem")]);
    }

    private static async Task Until(Func<bool> holds)
    {
        using var soon = new CancellationTokenSource(TimeSpan.FromSeconds(20));
        using var tick = new PeriodicTimer(TimeSpan.FromMilliseconds(20));
        while (!holds())
        {
            await tick.WaitForNextTickAsync(soon.Token);
        }
    }
}
