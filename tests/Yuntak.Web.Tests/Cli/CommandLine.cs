using System.Diagnostics;
using System.Reflection;

namespace Yuntak.Web.Tests.Cli;

/// <summary>The command line as somebody calls it.</summary>
internal static class CommandLine
{
    /// <summary>A file of the demo.</summary>
    public static string Demo(string name) => Path.Combine(Repository.Root, "demo", name);

    /// <summary>How a call ended, and what it said on both lines. One that is given nothing to read is made within this process, which is a second quicker.</summary>
    public static (int Ended, string Said, string Problem) Run(string? input, params string[] args) =>
        input is null ? Within(args) : Alone(input, args);

    private static (int Ended, string Said, string Problem) Within(string[] args)
    {
        var ended = 0;
        var (said, problem) = ("", "");
        // What is set for the call alone goes with the task that makes it.
        Task.Run(() =>
            {
                var (line, errors) = (OwnConsole.Out.Begin(), OwnConsole.Error.Begin());
                ended = (int)Assembly.Load("Yuntak.Cli").EntryPoint!.Invoke(null, [args])!;
                (said, problem) = (line.ToString(), errors.ToString());
            })
            .GetAwaiter()
            .GetResult();
        return (ended, said, problem);
    }

    /// <summary>In a process of its own, as the launcher makes it.</summary>
    private static (int Ended, string Said, string Problem) Alone(string input, string[] args)
    {
        var start = new ProcessStartInfo("dotnet", [Path.Combine(AppContext.BaseDirectory, "Yuntak.Cli.dll"), .. args])
        {
            UseShellExecute = false,
            RedirectStandardInput = true,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
        };
        using var process = Process.Start(start)!;
        process.StandardInput.Write(input);
        process.StandardInput.Close();
        var problem = process.StandardError.ReadToEndAsync();
        var said = process.StandardOutput.ReadToEnd();
        process.WaitForExit();
        return (process.ExitCode, said, problem.Result);
    }
}
