using System.Text.RegularExpressions;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;

namespace Yuntak.Formats.Intake;

/// <summary>Reads <c>ss -H -tuln</c>: addresses and ports that are taken.</summary>
internal static partial class ListenerReader
{
    /// <summary>Whether a line is one of it.</summary>
    public static bool Is(string line) => Line().IsMatch(line);

    public static void Read(RawPart part, IntakeDraft draft)
    {
        var read = 0;
        foreach (var (line, _) in part.Lines())
        {
            var match = Line().Match(line);
            if (
                match.Success
                && int.TryParse(match.Groups["port"].Value, out var port)
                && port is > 0 and <= 65_535
                && draft.Listeners.Add(
                    // The interface an address is bound to is written behind it, after a percent sign.
                    new Listener(match.Groups["protocol"].Value, Address(match.Groups["address"].Value), port)
                )
            )
            {
                read++;
            }
        }

        draft.Log.Add(KitParts.Listeners, read, part.Line);
    }

    private static string Address(string text)
    {
        var bare = text.Split('%')[0];
        return bare is "0.0.0.0" or "[::]" or "" ? "*" : bare;
    }

    [GeneratedRegex(
        @"^(?<protocol>tcp|udp)\s+(LISTEN|UNCONN)\s+[0-9]+\s+[0-9]+\s+(?<address>\S{1,90}):(?<port>[0-9]{1,5})\s",
        RegexOptions.ExplicitCapture,
        1_000
    )]
    private static partial Regex Line();
}
