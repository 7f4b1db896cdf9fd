using System.Xml;
using System.Xml.Linq;

namespace Yuntak.Data.Opening;

/// <summary>The keys that sign what browsers carry. One that cannot be read would stop every page; a new one is made when it is out of the way.</summary>
internal static class KeyFiles
{
    /// <summary>Makes the folder when it is missing, and puts files that cannot be read out of the way.</summary>
    /// <returns>What was found, in sentences.</returns>
    public static IReadOnlyList<string> Mend(string folder)
    {
        Directory.CreateDirectory(folder, DataFolder.OwnFolder);
        List<string> said = [];
        foreach (var file in Directory.GetFiles(folder, "*.xml"))
        {
            if (Readable(file))
            {
                continue;
            }

            var aside = file + ".damaged";
            File.Move(file, aside, overwrite: true);
            said.Add(
                $"The key file {file} was damaged. It is kept as {Path.GetFileName(aside)}, and a new one is made; pages that are open ask to be loaded again."
            );
        }

        return said;
    }

    private static bool Readable(string file)
    {
        try
        {
            return XDocument.Load(file).Root is { Name.LocalName: "key" or "revocation" };
        }
        catch (XmlException)
        {
            return false;
        }
    }
}
