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

        public static Process Launch(params string[] args)
        {
            var start = new ProcessStartInfo("dotnet", [Path.Combine(AppContext.BaseDirectory, "Yuntak.Web.dll"), .. args])
            {
                UseShellExecute = false,
                RedirectStandardOutput = true,
                RedirectStandardError = true,
            };
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
