using System.CommandLine;
using Yuntak.Core.Labs;
using Yuntak.Formats.Answers;
using Yuntak.Formats.Intake;

namespace Yuntak.Cli;

/// <summary><c>intake FILE|-</c>: reads a host from its own tools' output and says what was read.</summary>
internal static class IntakeCommand
{
    public static Command Make()
    {
        var file = new Argument<string>("FILE")
        {
            Description = "Output of lscpu -J, lsblk -J -b, /proc/meminfo, or all of them in one; - for standard input.",
        };
        var json = Shared.Json();
        var command = new Command("intake", "Read a host from the output of its own tools.") { file, json };
        command.SetAction(parsed => Run(parsed.GetValue(file)!, parsed.GetValue(json)));
        return command;
    }

    private static int Run(string path, bool json)
    {
        using var stream = Shared.Open(path, json);
        if (stream is null)
        {
            return Shared.CouldNotRead;
        }

        var reading = IntakeReader.Read(stream);
        if (json)
        {
            Console.WriteLine(JsonAnswers.Intake(reading));
            return reading.HasAnything ? 0 : Shared.CouldNotRead;
        }

        Console.WriteLine($"Read: {reading.Words()}.");
        foreach (var disk in reading.Disks)
        {
            var mounted = disk.MountedAt.Count == 0 ? "nothing mounted" : "mounted at " + string.Join(", ", disk.MountedAt);
            Console.WriteLine($"  {disk.Name}: {disk.Size.ToDecimalString()} {disk.Kind.Words()}, {disk.Id}, {mounted}");
        }

        foreach (var problem in reading.Problems)
        {
            Console.Error.WriteLine(problem);
        }

        return reading.HasAnything ? 0 : Shared.CouldNotRead;
    }
}
