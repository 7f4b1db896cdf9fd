using System.Globalization;
using System.Text.RegularExpressions;
using Yuntak.Core.Base;
using Yuntak.Core.Figures;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Formats.Intake;

/// <summary>The header lines that <c>collect.sh</c> puts before each part, and the line it begins and ends with.</summary>
internal static partial class BundleHeader
{
    /// <summary>How the script begins a line about what it did not run.</summary>
    public const string NotRun = "# not run: ";

    public static bool Is(string line) => line.StartsWith("=== yuntak ", StringComparison.Ordinal);

    /// <summary>The part a header announces; null for the first and the last line of a bundle.</summary>
    public static string? PartOf(string line) =>
        Part().Match(line) is { Success: true } match
            ? KitParts.All.FirstOrDefault(p => p.Replace(' ', '-') == match.Groups["part"].Value)
            : null;

    /// <summary>What the first line says of the host: its name and the day.</summary>
    public static (string? Host, DateOnly? On) Origin(string line)
    {
        var match = First().Match(line);
        if (!match.Success)
        {
            return (null, null);
        }

        var day = DateOnly.TryParseExact(
            match.Groups["day"].Value,
            "yyyy-MM-dd",
            CultureInfo.InvariantCulture,
            DateTimeStyles.None,
            out var on
        );
        var host = Names.Clean(match.Groups["host"].Value);
        return (host.Length is > 0 and <= Names.LongestName ? host : null, day ? on : null);
    }

    [GeneratedRegex(@"^=== yuntak part (?<part>[A-Za-z-]+)", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex Part();

    [GeneratedRegex(
        @"^=== yuntak collect [0-9]+: host (?<host>\S{1,64}), (?<day>[0-9]{4}-[0-9][0-9]-[0-9][0-9])",
        RegexOptions.ExplicitCapture,
        1_000
    )]
    private static partial Regex First();
}
