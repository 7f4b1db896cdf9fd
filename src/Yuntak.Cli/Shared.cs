using System.CommandLine;
using System.Globalization;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Formats.Answers;
using Yuntak.Formats.Intake;
using Yuntak.Formats.LabFiles;

namespace Yuntak.Cli;

/// <summary>What the commands have in common.</summary>
internal static class Shared
{
    /// <summary>How a command ends when its input could not be read.</summary>
    public const int CouldNotRead = 2;

    public static Option<bool> Json() => new("--json") { Description = "Answer in JSON." };

    public static Option<string?> From() =>
        new("--from") { Description = "A lab file of what stands today; without it, exactly what the lab file marks with «stands: true»." };

    /// <summary>What stands and what is planned: two files, or one that marks what stands; null when one cannot be read, which has been said.</summary>
    public static (Lab Stands, Lab Draft)? ReadPair(string path, string? from, bool json)
    {
        if (ReadLab(path, json) is not { } draft)
        {
            return null;
        }

        return (from is null ? Standing.Of(draft) : ReadLab(from, json)) is { } stands ? (stands, draft) : null;
    }

    public static Argument<string> LabArgument() => new("LAB") { Description = "A lab file, YAML or JSON; - for standard input." };

    /// <summary>Opens a file, or standard input for «-». Says why when it cannot.</summary>
    public static Stream? Open(string path, bool json)
    {
        if (path == "-")
        {
            return Console.OpenStandardInput();
        }

        try
        {
            return File.OpenRead(path);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException or ArgumentException or NotSupportedException)
        {
            Refuse(
                [
                    Directory.Exists(path)
                        ? $"{path} is a folder, not a file."
                        : $"{path} cannot be opened. Is the name right, and may you read it?",
                ],
                json
            );
            return null;
        }
    }

    /// <summary>Reads a lab file. Names every problem when it cannot.</summary>
    public static Lab? ReadLab(string path, bool json)
    {
        if (ReadText(path, json) is not { } text)
        {
            return null;
        }

        var reading = LabFile.Read(text);
        if (reading.Lab is null)
        {
            Refuse([.. reading.Problems.Select(p => $"{path}: {p}")], json);
        }

        return reading.Lab;
    }

    /// <summary>The profiles that come with Yuntak and those of a file, if one is named. Names every problem when it cannot be read.</summary>
    public static ProfileBook? ReadBook(string? path, bool json)
    {
        if (path is null)
        {
            return ProfileBook.Standard;
        }

        if (ReadText(path, json) is not { } text)
        {
            return null;
        }

        var reading = ProfileFile.Read(text);
        if (reading.Profiles is { } profiles)
        {
            return ProfileBook.With(profiles);
        }

        Refuse([.. reading.Problems.Select(p => $"{path}: {p}")], json);
        return null;
    }

    private static string? ReadText(string path, bool json)
    {
        using var stream = Open(path, json);
        if (stream is null)
        {
            return null;
        }

        var text = TextDecoder.Read(stream, out var problem);
        if (problem is null)
        {
            return text;
        }

        Refuse([$"{path}: {problem}"], json);
        return null;
    }

    /// <summary>Writes a lab file beside the old one and puts it in its place; the old one stays with <c>.before</c> at its end. Says why when it cannot.</summary>
    public static bool WriteLab(string path, Lab lab, bool json)
    {
        try
        {
            var fresh = path + ".new";
            File.WriteAllText(
                fresh,
                path.EndsWith(".json", StringComparison.OrdinalIgnoreCase) ? LabFile.ToJson(lab) : LabFile.ToYaml(lab)
            );
            if (File.Exists(path))
            {
                File.Copy(path, path + ".before", overwrite: true);
            }

            File.Move(fresh, path, overwrite: true);
            return true;
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException or ArgumentException or NotSupportedException)
        {
            Refuse([$"{path} cannot be written: {e.Message} It was not changed."], json);
            return false;
        }
    }

    /// <summary>Says what is wrong: as JSON on standard output, else in plain lines on standard error.</summary>
    public static void Refuse(IReadOnlyList<string> problems, bool json)
    {
        if (json)
        {
            Console.WriteLine(JsonAnswers.Problems(problems));
            return;
        }

        foreach (var problem in problems)
        {
            // What is quoted may hold codes that make a terminal do things.
            Console.Error.WriteLine(Names.Clean(problem));
        }
    }

    /// <summary>A day, as it was typed.</summary>
    /// <exception cref="Refused">It is none.</exception>
    public static DateOnly Day(string text) =>
        DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day)
            ? day
            : throw new Refused($"«{Names.Short(text)}» is no day. Write it like 2027-12-31.");
}
