using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Formats.Answers;
using Yuntak.Formats.Intake;
using Yuntak.Formats.Wires;

namespace Yuntak.Cli;

/// <summary><c>intake FILE --addresses --lab LAB.yaml</c>: takes a hosts file, ethers lines or a table of reservations over.</summary>
internal static class AddressesIntake
{
    public static int Run(string path, string? labPath, bool json)
    {
        if (labPath is null)
        {
            Shared.Refuse(["--addresses lays a list into a lab; say which with --lab LAB.yaml."], json);
            return Shared.CouldNotRead;
        }

        using var stream = Shared.Open(path, json);
        if (stream is null || Shared.ReadLab(labPath, json) is not { } lab)
        {
            return Shared.CouldNotRead;
        }

        var text = TextDecoder.Read(stream, out var problem);
        if (problem is not null)
        {
            Shared.Refuse([problem], json);
            return Shared.CouldNotRead;
        }

        var reading = AddressIntake.Read(text ?? "");
        try
        {
            var changed = AddressEdits.Take(reading.Found)(lab);
            if (!Shared.WriteLab(labPath, changed.Lab, json))
            {
                return Shared.CouldNotRead;
            }

            Console.WriteLine(json ? JsonAnswers.Problems([.. reading.Problems]) : changed.Sentence);
        }
        catch (Refused refused)
        {
            Shared.Refuse([refused.Message + " The lab file was not changed.", .. reading.Problems], json);
            return Shared.CouldNotRead;
        }

        if (!json)
        {
            foreach (var left in reading.Problems)
            {
                Console.WriteLine(left);
            }
        }

        return 0;
    }
}
