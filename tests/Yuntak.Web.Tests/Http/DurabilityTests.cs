using System.Diagnostics;
using AngleSharp.Html.Parser;

namespace Yuntak.Web.Tests.Http;

/// <summary>What was acknowledged is there after the process is killed without warning.</summary>
public class DurabilityTests
{
    [Fact]
    public async Task A_killed_process_never_loses_an_acknowledged_change()
    {
        using var folder = new TempFolder();
        for (var n = 1; n <= 3; n++)
        {
            using var server = await Server.StartAsync(folder.File("data"));
            using var client = new HttpClient(new HttpClientHandler { AllowAutoRedirect = false }) { BaseAddress = server.Address };
            var parser = new HtmlParser();
            var form = parser.ParseDocument(await client.GetStringAsync("/Kit/Host")).QuerySelector("#host-form")!;
            var fields = form.QuerySelectorAll("input[type=hidden]")
                .Select(i => KeyValuePair.Create(i.GetAttribute("name")!, i.GetAttribute("value")!))
                .ToList();
            fields.AddRange([
                new("name", $"host {n}"),
                new("cores", "4"),
                new("threads", "8"),
                new("sockets", "1"),
                new("memory", "16 GiB"),
            ]);

            var answer = await client.PostAsync("/Kit/Host", new FormUrlEncodedContent(fields));
            server.Kill();

            ((int)answer.StatusCode).ShouldBe(302);
        }

        using var last = await Server.StartAsync(folder.File("data"));
        using var reader = new HttpClient { BaseAddress = last.Address };
        var yaml = await reader.GetStringAsync("/files/lab.yaml");
        yaml.ShouldContain("name: host 1");
        yaml.ShouldContain("name: host 2");
        yaml.ShouldContain("name: host 3");
        last.Kill();
    }

    /// <summary>Killed at every 300 ms of a first and of a later start; by hand it was done 200 times at every 50 ms.</summary>
    [Fact]
    public async Task A_start_that_is_cut_off_can_be_started_again()
    {
        for (var after = 150; after <= 1_050; after += 300)
        {
            using var folder = new TempFolder();
            foreach (var start in new[] { "first", "later" })
            {
                using var cut = Server.Launch("--data", folder.File("data"), "--urls", "http://127.0.0.1:0");
                // The process itself says when it is over, if it is quicker.
                cut.WaitForExit(after).ShouldBeFalse($"{start} start, {after} ms");
                cut.Kill();
                await cut.WaitForExitAsync();
            }

            using var again = await Server.StartAsync(folder.File("data"));
            again.Kill();
        }
    }

    [Fact]
    public async Task It_ends_within_five_seconds_whatever_a_slow_client_does()
    {
        using var folder = new TempFolder();
        using var server = await Server.StartAsync(folder.File("data"));
        using var slow = new System.Net.Sockets.TcpClient("127.0.0.1", server.Address.Port);
        await slow.GetStream()
            .WriteAsync(
                "POST /Lab?handler=Read HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/x-www-form-urlencoded\r\nContent-Length: 1000000\r\n\r\nabc"u8.ToArray()
            );
        var watch = Stopwatch.StartNew();
        using var told = Process.Start("kill", ["-TERM", server.Id.ToString(System.Globalization.CultureInfo.InvariantCulture)]);

        await server.EndedAsync().WaitAsync(TimeSpan.FromSeconds(20));

        watch.Elapsed.ShouldBeLessThan(TimeSpan.FromSeconds(5));
    }

    [Fact]
    public async Task A_demo_that_is_carried_on_is_never_thrown_away()
    {
        using var folder = new TempFolder();
        using (var demo = Server.Launch("--demo", "--data", folder.File("data"), "--urls", "http://127.0.0.1:0"))
        {
            (await demo.StandardOutput.ReadLineAsync()).ShouldStartWith("Yuntak is at");
            demo.Kill();
            await demo.WaitForExitAsync();
        }

        using (var carried = await Server.StartAsync(folder.File("data")))
        {
            carried.Kill();
        }

        using var again = Server.Launch("--demo", "--data", folder.File("data"), "--urls", "http://127.0.0.1:0");
        (await again.StandardError.ReadToEndAsync()).ShouldContain("holds something that is not demo data");
        await again.WaitForExitAsync();
    }

    [Fact]
    public async Task A_backup_is_taken_while_it_runs_and_comes_back_into_an_empty_folder()
    {
        using var folder = new TempFolder();
        using (var server = await Server.StartAsync(folder.File("data")))
        {
            (await Server.RunAsync("backup", folder.File("all"), "--data", folder.File("data"))).Ended.ShouldBe(0);
            using var client = new HttpClient { BaseAddress = server.Address };
            await File.WriteAllBytesAsync(folder.File("fetched"), await client.GetByteArrayAsync("/files/backup"));
            server.Kill();
        }

        foreach (var backup in new[] { "all", "fetched" })
        {
            (await Server.RunAsync("restore", folder.File(backup), "--data", folder.File("from " + backup))).Ended.ShouldBe(0);
            using var restored = await Server.StartAsync(folder.File("from " + backup));
            restored.Kill();
        }

        var twice = await Server.RunAsync("restore", folder.File("all"), "--data", folder.File("from all"));
        twice.Ended.ShouldBe(2);
        twice.Said.ShouldContain("has data already");
        (await Server.RunAsync("backup", folder.File("all"), "--data", folder.File("data"))).Said.ShouldContain("nothing is written over");
        (await Server.RunAsync("restore", folder.File("none"), "--data", folder.File("new"))).Said.ShouldContain("is not there");
        (await Server.RunAsync("backup")).Ended.ShouldBe(2);
    }

    [Fact]
    public async Task Settings_come_from_variables_that_begin_with_its_name_and_no_others()
    {
        using var folder = new TempFolder();
        using var own = Server.Launch(
            new Dictionary<string, string>
            {
                ["YUNTAK_URLS"] = "http://127.0.0.1:0",
                ["YUNTAK_DATA"] = folder.File("data"),
                ["ASPNETCORE_URLS"] = "http://*:1",
                ["URLS"] = "http://*:2",
                ["DATA"] = folder.File("other"),
                ["AllowedHosts"] = "*",
            }
        );
        (await own.StandardOutput.ReadLineAsync()).ShouldStartWith("Yuntak is at http://127.0.0.1:");
        own.Kill();
        await own.WaitForExitAsync();
        Directory.Exists(folder.File("data")).ShouldBeTrue();
        Directory.Exists(folder.File("other")).ShouldBeFalse();
    }

    [Fact]
    public async Task The_demo_never_clears_a_folder_it_did_not_make()
    {
        using var folder = new TempFolder();
        await File.WriteAllTextAsync(folder.File("photos.txt"), "mine");
        using var process = Server.Launch("--demo", "--data", folder.Path, "--urls", "http://127.0.0.1:0");
        var said = await process.StandardError.ReadToEndAsync();
        await process.WaitForExitAsync();

        process.ExitCode.ShouldBe(1);
        said.ShouldContain("Nothing was changed");
        Directory.GetFileSystemEntries(folder.Path).ShouldBe([folder.File("photos.txt")]);
    }

    [Fact]
    public async Task A_folder_that_is_a_file_is_said_in_one_line()
    {
        using var folder = new TempFolder();
        await File.WriteAllTextAsync(folder.File("data"), "not a folder");
        using var process = Server.Launch("--data", folder.File("data"), "--urls", "http://127.0.0.1:0");
        var said = await process.StandardError.ReadToEndAsync();
        await process.WaitForExitAsync();

        process.ExitCode.ShouldBe(1);
        said.ShouldContain("cannot be used");
        said.ShouldNotContain("   at ");
    }

    [Fact]
    public async Task A_taken_address_is_said_in_one_line()
    {
        using var folder = new TempFolder();
        using var first = await Server.StartAsync(folder.File("one"));
        using var second = Server.Launch("--data", folder.File("two"), "--urls", first.Address.ToString());
        var said = await second.StandardError.ReadToEndAsync();
        await second.WaitForExitAsync();

        second.ExitCode.ShouldBe(1);
        said.ShouldContain("Is it running already?");
        (said + await second.StandardOutput.ReadToEndAsync()).ShouldNotContain("   at ");
    }

    [Fact]
    public async Task A_second_demo_never_throws_away_the_data_of_one_that_runs()
    {
        using var folder = new TempFolder();
        using var first = Server.Launch("--demo", "--data", folder.File("demo"), "--urls", "http://127.0.0.1:0");
        var address = (await first.StandardOutput.ReadLineAsync())!.Split(' ').First(w => w.StartsWith("http"));
        using var second = Server.Launch("--demo", "--data", folder.File("demo"), "--urls", "http://127.0.0.1:0");
        var said = await second.StandardError.ReadToEndAsync();
        await second.WaitForExitAsync();

        second.ExitCode.ShouldBe(1);
        said.ShouldContain("Another Yuntak is running");
        using var client = new HttpClient();
        (await client.GetStringAsync(address + "/Bench")).ShouldContain("Saltmarsh Pottery");
        first.Kill();
        await first.WaitForExitAsync();
    }

    [Fact]
    public async Task Damaged_data_is_left_alone_and_named()
    {
        using var folder = new TempFolder();
        await File.WriteAllTextAsync(folder.File("yuntak.db"), new string('x', 10_000));
        using var process = Server.Launch("--data", folder.Path, "--urls", "http://127.0.0.1:0");
        var said = await process.StandardError.ReadToEndAsync();
        await process.WaitForExitAsync();

        process.ExitCode.ShouldBe(1);
        said.ShouldContain($"The data in {folder.Path} cannot be used");
        (await File.ReadAllTextAsync(folder.File("yuntak.db"))).ShouldBe(new string('x', 10_000));
    }

    /// <summary>The application as a process of its own.</summary>
    private sealed class Server(Process process, Uri address) : IDisposable
    {
        public Uri Address { get; } = address;

        public int Id => process.Id;

        public Task EndedAsync() => process.WaitForExitAsync();

        /// <summary>Carries out what the application does besides serving pages.</summary>
        public static async Task<(int Ended, string Said)> RunAsync(params string[] args)
        {
            using var run = Launch(args);
            var said = await run.StandardError.ReadToEndAsync();
            await run.WaitForExitAsync();
            return (run.ExitCode, said);
        }

        public static Process Launch(params string[] args) => Launch([], args);

        public static Process Launch(Dictionary<string, string> variables, params string[] args)
        {
            var start = new ProcessStartInfo("dotnet", [Path.Combine(AppContext.BaseDirectory, "Yuntak.Web.dll"), .. args])
            {
                UseShellExecute = false,
                RedirectStandardOutput = true,
                RedirectStandardError = true,
            };
            foreach (var (name, value) in variables)
            {
                start.Environment[name] = value;
            }

            return Process.Start(start)!;
        }

        public static async Task<Server> StartAsync(string data)
        {
            var process = Launch("--data", data, "--urls", "http://127.0.0.1:0");
            var line =
                await process.StandardOutput.ReadLineAsync()
                ?? throw new InvalidOperationException(await process.StandardError.ReadToEndAsync());
            return new Server(process, new Uri(line.Split(' ').First(w => w.StartsWith("http"))));
        }

        public void Kill()
        {
            process.Kill();
            process.WaitForExit();
        }

        public void Dispose()
        {
            if (!process.HasExited)
            {
                Kill();
            }

            process.Dispose();
        }
    }
}
