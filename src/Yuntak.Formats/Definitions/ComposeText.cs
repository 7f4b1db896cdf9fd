using System.Globalization;
using System.Text.RegularExpressions;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Formats.Definitions;

/// <summary>How values are written in a Compose file: ports, folders, amounts, variables.</summary>
internal static partial class ComposeText
{
    /// <summary>What stands before the first colon that is not inside a variable.</summary>
    public static string? BeforeColon(string? text)
    {
        var from = text?.StartsWith("${", StringComparison.Ordinal) == true ? text.IndexOf('}', StringComparison.Ordinal) : 0;
        var at = from < 0 ? -1 : text?.IndexOf(':', from) ?? -1;
        return at < 0 ? text : text![..at];
    }

    /// <summary>A claim as Yuntak wrote it beside a service; null when it is none.</summary>
    public static DeviceClaim? Claim(INode node)
    {
        var said = node.Members?.ToDictionary(m => m.Name, m => m.Value.Text, StringComparer.Ordinal);
        return said is not null && ProfileWords.Needs.TryRead(said.GetValueOrDefault("need"), out var need)
            ? new DeviceClaim(
                need,
                LabWords.Ways.TryRead(said.GetValueOrDefault("way"), out var way) ? way : null,
                said.GetValueOrDefault("device")?.Replace("$$", "$", StringComparison.Ordinal)
            )
            : null;
    }

    /// <summary>Whether a node is one that Yuntak wrote because of a claim.</summary>
    public static bool IsOfClaim(string node) => node.StartsWith("${", StringComparison.Ordinal) || node is "/dev/bus/usb" or "/dev/snd";

    /// <summary>A folder beside the file, without the dots.</summary>
    public static string Joined(string home, string relative)
    {
        List<string> parts = [.. home.Split('/')];
        foreach (var part in relative.Split('/'))
        {
            if (part == ".." && parts.Count > 1)
            {
                parts.RemoveAt(parts.Count - 1);
            }
            else if (part is not ("." or ".." or ""))
            {
                parts.Add(part);
            }
        }

        return parts.Count > 1 ? string.Join('/', parts) : "/";
    }

    public static (string? Source, string? Target, bool ReadOnly) Long(IReadOnlyList<(string Name, int Line, INode Value)> members)
    {
        string? At(string name) => members.Where(m => m.Name == name).Select(m => m.Value.Text).FirstOrDefault();
        return (At("source"), At("target"), At("read_only") == "true");
    }

    public static (string? Source, string? Target, bool ReadOnly) Short(string? text)
    {
        var parts = text?.Split(':') ?? [];
        return parts.Length < 2
            ? (null, parts.Length == 1 ? parts[0] : null, false)
            : (parts[0], parts[1], parts.Length > 2 && parts[2].Split(',').Contains("ro"));
    }

    public static string? Word(string? text) => text is { Length: > 0 and <= 40 } && !text.Contains(' ') ? text : null;

    public static string? Family(string? platform) =>
        platform?.Split('/') switch
        {
            [_, "amd64", ..] => "x86_64",
            [_, "arm64", ..] => "aarch64",
            [_, "arm", ..] => "armv7l",
            _ => null,
        };

    /// <summary>A text with its variables replaced by their defaults; null when one has none. Two dollar signs stand for one (Compose specification, interpolation).</summary>
    public static string? Settled(string text)
    {
        var settled = Variable()
            .Replace(
                text,
                m =>
                    m.Value == "$$" ? "\u0001"
                    : m.Groups["default"].Success ? m.Groups["default"].Value
                    : "\0"
            );
        return settled.Contains('\0') ? null : settled.Replace('\u0001', '$');
    }

    [GeneratedRegex(
        @"\$\$|\$\{[A-Za-z_][A-Za-z0-9_]*(:?-(?<default>[^}]*)|:?[?+][^}]*)?\}|\$[A-Za-z_][A-Za-z0-9_]*",
        RegexOptions.ExplicitCapture,
        1_000
    )]
    private static partial Regex Variable();

    [GeneratedRegex(
        @"^\s*(?<number>[0-9]+(\.[0-9]+)?)\s*(?<unit>[bkmg]?)b?\s*$",
        RegexOptions.ExplicitCapture | RegexOptions.IgnoreCase,
        1_000
    )]
    private static partial Regex Amount();

    /// <summary>«512m», «2g», «1073741824b», or bytes alone (Compose specification, specifying byte values: binary steps); null for anything else.</summary>
    public static ByteSize? Bytes(string? text)
    {
        var match = Amount().Match(text ?? "");
        if (
            !match.Success
            || !double.TryParse(match.Groups["number"].Value, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var number)
        )
        {
            return null;
        }

        var unit = match.Groups["unit"].Value is { Length: > 0 } said ? char.ToLowerInvariant(said[0]) : 'b';
        var bytes = number * Math.Pow(1024, "bkmg".IndexOf(unit));
        return bytes >= 1 && bytes <= ByteSize.LargestEntered.Bytes ? ByteSize.Rounded(bytes) : null;
    }

    /// <summary>Records of a list as Yuntak wrote them; what is not sound is left out.</summary>
    public static IEnumerable<T> Planned<T>(INode? list, Shape<T> shape) =>
        (list?.Items ?? []).Select(i => shape.Read(new MapReader(i, "", new ProblemList(10)))).Where(r => !shape.Problems(r).Any());

    /// <summary>A want as the plan beside a service says it; null for a profile that is not known.</summary>
    public static Want? Want(INode node)
    {
        var members = node.Members?.ToDictionary(m => m.Name, m => m.Value, StringComparer.Ordinal);
        if (members?.GetValueOrDefault("profile")?.Text is not { } profile || ProfileBook.Standard.Find(profile) is not { } known)
        {
            return null;
        }

        return new Want(
            profile,
            [
                .. (members.GetValueOrDefault("load")?.Members ?? [])
                    .Where(l => known.Loads.Any(k => k.Id == l.Name))
                    .Select(l =>
                        (
                            l.Name,
                            Ok: double.TryParse(l.Value.Text, NumberStyles.Float, CultureInfo.InvariantCulture, out var v)
                                && double.IsFinite(v),
                            Value: v
                        )
                    )
                    .Where(l => l.Ok && Loads.Problem(known, l.Name, l.Value) is null)
                    .Select(l => new LoadValue(l.Name, l.Value)),
            ]
        );
    }
}
