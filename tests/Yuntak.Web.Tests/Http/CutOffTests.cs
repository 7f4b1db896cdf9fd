using Microsoft.AspNetCore.Builder;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.DependencyInjection;
using Yuntak.Core.Edits;
using Yuntak.Data;
using Yuntak.Web.Door;
using Yuntak.Web.Starting;
using Yuntak.Web.Tests.Cli;

namespace Yuntak.Web.Tests.Http;

/// <summary>A power cut leaves files cut off anywhere: each start afterwards works, or says in a sentence what to do, and doing it works.</summary>
public sealed class CutOffTests : IDisposable
{
    private const int Starts = 60;
    private readonly TempFolder folder = new();

    [Fact]
    public async Task After_sixty_power_cuts_each_start_works_or_says_what_to_do()
    {
        await FillAsync(folder.File("whole"));
        var (worked, told) = (0, 0);
        for (var n = 0; n < Starts; n++)
        {
            var cut = folder.File($"cut-{n}");
            var where = Cut(folder.File("whole"), cut, new Random(n));
            if (await StartAsync(cut) is not { } refusal)
            {
                worked++;
            }
            else
            {
                told++;
                refusal.ShouldNotContain("   at ", customMessage: where);
                if (refusal.Contains("--recover", StringComparison.Ordinal))
                {
                    (await StartAsync(cut, "--recover")).ShouldBeNull(where);
                }
                else
                {
                    // The phrase is the one thing that is not made anew by itself: then the house would be open.
                    refusal.ShouldContain("./yuntak pass", customMessage: where);
                }
            }

            Directory.Delete(cut, recursive: true);
        }

        worked.ShouldBeGreaterThan(Starts / 6, "or too much is cut for anything to be tried");
        told.ShouldBeGreaterThan(Starts / 6, "or too little");
    }

    public void Dispose() => folder.Dispose();

    /// <summary>A house that has run for a while: changes, keys, a certificate, a phrase; and as a power cut finds it, with changes that are only in the log beside the database.</summary>
    private async Task FillAsync(string data)
    {
        var living = folder.File("living");
        await using var app = YuntakApp
            .Build(["--data", living, "--urls", "http://127.0.0.1:0;https://127.0.0.1:0", "--tls"])
            .ShouldNotBeNull();
        await app.StartAsync();
        new PassFile(living).Set(Household.Phrase);
        var store = app.Services.GetRequiredService<LabStore>();
        for (var n = 0; n < 30; n++)
        {
            await store.CommitAsync(
                Pointer.Draft,
                (await store.HeadAsync(Pointer.Draft)).Revision,
                lab => new Changed(lab with { Name = $"change {n}" }, $"change {n}")
            );
        }

        Copy(living, data);
    }

    private static void Copy(string from, string to)
    {
        // The lock is a file that one process holds, empty and nobody else's.
        foreach (var file in Directory.EnumerateFiles(from, "*", SearchOption.AllDirectories).Where(f => Path.GetFileName(f) != "in-use"))
        {
            var copy = Path.Combine(to, Path.GetRelativePath(from, file));
            Directory.CreateDirectory(Path.GetDirectoryName(copy)!);
            File.Copy(file, copy);
        }
    }

    /// <summary>A copy of a data folder in which one to three files end too soon. What was done is returned, for a failure to say.</summary>
    private static string Cut(string from, string to, Random random)
    {
        Copy(from, to);
        var files = Directory.EnumerateFiles(to, "*", SearchOption.AllDirectories).Order(StringComparer.Ordinal).ToArray();
        List<string> said = [];
        for (var cuts = random.Next(1, 4); cuts > 0; cuts--)
        {
            using var file = File.OpenWrite(files[random.Next(files.Length)]);
            file.SetLength(random.Next(4) == 0 ? 0 : random.NextInt64(file.Length + 1));
            said.Add($"{Path.GetRelativePath(to, file.Name)} at {file.Length}");
        }

        return string.Join(", ", said);
    }

    /// <summary>Starts on a folder, asks for a page, and ends.</summary>
    /// <returns>Why it did not start; null when it did.</returns>
    private static async Task<string?> StartAsync(string data, params string[] more)
    {
        var said = OwnConsole.Error.Begin();
        WebApplication? app = null;
        try
        {
            app = YuntakApp.Build(["--data", data, "--urls", "http://127.0.0.1:0;https://127.0.0.1:0", "--tls", .. more]);
            if (app is null)
            {
                return said.ToString();
            }

            await app.StartAsync();
            using var client = new HttpClient(new HttpClientHandler { AllowAutoRedirect = false })
            {
                BaseAddress = new Uri(app.Urls.First(u => u.StartsWith("http:", StringComparison.Ordinal))),
            };
            var answer = await client.GetAsync("/SignIn");
            ((int)answer.StatusCode).ShouldBeLessThan(500, said.ToString());
            return null;
        }
        finally
        {
            if (app is not null)
            {
                await app.DisposeAsync();
            }

            SqliteConnection.ClearAllPools();
        }
    }
}
