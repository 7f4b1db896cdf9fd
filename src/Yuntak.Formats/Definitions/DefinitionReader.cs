using Yuntak.Core.Base;
using Yuntak.Formats.LabFiles;

namespace Yuntak.Formats.Definitions;

/// <summary>Reads definitions of guests that run already. Never throws on what it is given: each line that says something is told of.</summary>
public static class DefinitionReader
{
    /// <summary>Reads a text by what it looks like: an envelope begins with «&lt;», a Compose file names services, a list has columns.</summary>
    /// <param name="text">The text.</param>
    /// <param name="name">What it is called where it came from, for a project without a name; null when nobody knows.</param>
    public static DefinitionReading Read(string text, string? name = null)
    {
        if (text.Length > LabFileLimits.LongestFile.Bytes)
        {
            return Nothing($"longer than {LabFileLimits.LongestFile}, the most that is read");
        }

        var start = text.AsSpan().TrimStart(" \t\r\n\uFEFF");
        return start.IsEmpty ? Nothing("there is nothing in it")
            : start[0] == '<' ? EnvelopeReader.Read(text)
            : ComposeReader.Is(text) ? ComposeReader.Read(text, name is null ? null : Names.Clean(name))
            : GuestListReader.Read(text);
    }

    /// <summary>Whether a text is a definition rather than the output of a host's tools.</summary>
    public static bool Is(string text)
    {
        var start = text.AsSpan().TrimStart(" \t\r\n\uFEFF");
        return EnvelopeReader.Is(start) || ComposeReader.Is(text) || GuestListReader.Is(text);
    }

    private static DefinitionReading Nothing(string why) => new("definition", [], [new DefinitionLine(1, why, Read: false)]);
}
