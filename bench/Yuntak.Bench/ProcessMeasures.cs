using System.Diagnostics;
using System.Globalization;

namespace Yuntak.Bench;

/// <summary>What starting costs, measured from outside: the command line and the site to its first page, as ratios to a program that does nothing.</summary>
internal static class ProcessMeasures
{
    /// <summary>What this program is called with to do nothing.</summary>
    public const string Nothing = "--nothing";

    private const int Times = 5;

    /// <summary>Measures and prints. The programs are those the launcher has compiled ahead.</summary>
    /// <param name="root">The repository.</param>
    public static void Print(string root)
    {
        var empty = Median(() => Ended("dotnet", typeof(ProcessMeasures).Assembly.Location, Nothing));
        Console.WriteLine();
        Say("a program that does nothing", empty, empty);
        var cli = Path.Combine(root, "artifacts", "Cli", "Yuntak.Cli.dll");
        var web = Path.Combine(root, "artifacts", "Web", "Yuntak.Web.dll");
        if (!File.Exists(cli) || !File.Exists(web))
        {
            Console.WriteLine("The programs compiled ahead are not there; ./yuntak size --list and ./yuntak start make them.");
            return;
        }

        Say("command line: size --list", Median(() => Ended("dotnet", cli, "size", "--list")), empty);
        Say(
            "command line: check of the demo",
            Median(() => Ended("dotnet", cli, "check", Path.Combine(root, "demo", "saltmarsh-draft.yaml"))),
            empty
        );
        var data = Directory.CreateTempSubdirectory("yuntak-bench-");
        var (first, _) = FirstPage(web, data.FullName);
        Say("first start to the first page", first, empty);
        var memory = 0L;
        Say(
            "later start to the first page",
            Median(() =>
            {
                (var took, memory) = FirstPage(web, data.FullName);
                return took;
            }),
            empty
        );
        Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{"memory then, resident", -62} {memory / 1048576.0, 7:0} MiB"));
        data.Delete(recursive: true);
    }

    private static void Say(string what, double milliseconds, double empty) =>
        Console.WriteLine(
            string.Create(CultureInfo.InvariantCulture, $"{what, -62} {milliseconds, 7:0} ms {milliseconds / empty, 8:0.0}×")
        );

    private static double Median(Func<double> measure) => Enumerable.Range(0, Times).Select(_ => measure()).Order().ElementAt(Times / 2);

    private static double Ended(string program, params string[] args)
    {
        var watch = Stopwatch.StartNew();
        using var process = Process.Start(
            new ProcessStartInfo(program, args)
            {
                UseShellExecute = false,
                RedirectStandardOutput = true,
                RedirectStandardError = true,
            }
        )!;
        process.StandardOutput.ReadToEnd();
        process.WaitForExit();
        return watch.Elapsed.TotalMilliseconds;
    }

    private static (double Milliseconds, long Memory) FirstPage(string web, string data)
    {
        var watch = Stopwatch.StartNew();
        using var process = Process.Start(
            new ProcessStartInfo("dotnet", [web, "--data", data, "--urls", "http://127.0.0.1:0"])
            {
                UseShellExecute = false,
                RedirectStandardOutput = true,
            }
        )!;
        var address = process.StandardOutput.ReadLine()!.Split(' ').First(w => w.StartsWith("http", StringComparison.Ordinal));
        using var client = new HttpClient();
        client.GetStringAsync(address + "/Bench").GetAwaiter().GetResult();
        var took = watch.Elapsed.TotalMilliseconds;
        process.Refresh();
        var memory = process.WorkingSet64;
        process.Kill();
        process.WaitForExit();
        return (took, memory);
    }
}
