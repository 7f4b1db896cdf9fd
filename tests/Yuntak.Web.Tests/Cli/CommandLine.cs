using System.Diagnostics;

namespace Yuntak.Web.Tests.Cli;

/// <summary>The command line as somebody calls it.</summary>
internal static class CommandLine
{
    /// <summary>A file of the demo.</summary>
    public static string Demo(string name) => Path.Combine(Repository.Root, "demo", name);

    /// <summary>How a call ended, and what it said on both lines.</summary>
    public static (int Ended, string Said, string Problem) Run(string? input, params string[] args)
    {
        var start = new ProcessStartInfo("dotnet", [Path.Combine(AppContext.BaseDirectory, "Yuntak.Cli.dll"), .. args])
        {
            UseShellExecute = false,
            RedirectStandardInput = true,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
        };
        using var process = Process.Start(start)!;
        process.StandardInput.Write(input ?? "");
        process.StandardInput.Close();
        var problem = process.StandardError.ReadToEndAsync();
        var said = process.StandardOutput.ReadToEnd();
        process.WaitForExit();
        return (process.ExitCode, said, problem.Result);
    }
}
