using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Formats.Answers;
using Yuntak.Formats.Definitions;
using Yuntak.Formats.Intake;

namespace Yuntak.Cli;

/// <summary><c>intake FILE --lab LAB.yaml --on HOST</c>: takes guests over from a Compose file, an OVF envelope or a list, and says of each line what was read.</summary>
internal static class DefinitionIntake
{
    public static int Run(string path, string? labPath, string hostName, bool stands, bool json)
    {
        if (labPath is null)
        {
            Shared.Refuse(["--on names a host of a lab; say which with --lab LAB.yaml."], json);
            return Shared.CouldNotRead;
        }

        using var stream = Shared.Open(path, json);
        if (stream is null || Shared.ReadLab(labPath, json) is not { } lab)
        {
            return Shared.CouldNotRead;
        }

        if (lab.Hosts.FirstOrDefault(h => string.Equals(h.Name, hostName, StringComparison.OrdinalIgnoreCase)) is not { } host)
        {
            Shared.Refuse(
                [$"{labPath} has no host called «{Names.Short(hostName)}»; it has {string.Join(", ", lab.Hosts.Select(h => h.Name))}."],
                json
            );
            return Shared.CouldNotRead;
        }

        var text = TextDecoder.Read(stream, out var problem);
        if (problem is not null)
        {
            Shared.Refuse([problem], json);
            return Shared.CouldNotRead;
        }

        var reading = DefinitionReader.Read(
            text ?? "",
            path == "-" ? null : Path.GetFileName(Path.GetDirectoryName(Path.GetFullPath(path)))
        );
        if (reading.Guests.Count > 0 && !TakeOver(lab, host, reading, labPath, stands, json))
        {
            return Shared.CouldNotRead;
        }

        if (json)
        {
            Console.WriteLine(DefinitionAnswer.Of(reading));
        }
        else
        {
            Print(reading, host);
        }

        return reading.Guests.Count > 0 ? 0 : Shared.CouldNotRead;
    }

    private static bool TakeOver(Lab lab, Host host, DefinitionReading reading, string path, bool stands, bool json)
    {
        try
        {
            var taken = TakeOverEdits.Take(host.Id, [.. reading.Guests.Select(g => g with { Stands = stands })], stands)(lab).Lab;
            return Shared.WriteLab(path, taken, json);
        }
        catch (Refused refused)
        {
            Shared.Refuse([refused.Message + " The lab file was not changed."], json);
            return false;
        }
    }

    private static void Print(DefinitionReading reading, Host host)
    {
        Console.WriteLine($"{reading.Words()}; on {host.Name}.");
        foreach (var guest in reading.Guests)
        {
            var image = guest.Image is null ? "" : $", {guest.Image}";
            Console.WriteLine($"  {guest.Name}: {guest.Kind.Words()}, taken as {guest.Wants[0].ProfileId}{image}");
        }

        foreach (var line in reading.Lines)
        {
            (line.Read ? Console.Out : Console.Error).WriteLine(line.Text);
        }
    }
}
