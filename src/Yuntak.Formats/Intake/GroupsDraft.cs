using System.Globalization;
using System.Text.RegularExpressions;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Intake;

/// <summary>Control groups of the kernel while their values come in, one file a line.</summary>
internal sealed partial class GroupsDraft
{
    private readonly Dictionary<string, Running> groups = new(StringComparer.Ordinal);

    /// <summary>Adds a value; true when it is the first of a group.</summary>
    public bool Add(SysLine line)
    {
        var known = groups.TryGetValue(line.Name, out var running);
        if (!known && groups.Count >= IntakeLimits.MostThings)
        {
            return false;
        }

        running ??= Of(line.Name);
        groups[line.Name] = line.Key switch
        {
            "memory.current" when Bytes(line.Value) is { } now => running with { Memory = now },
            "memory.peak" when Bytes(line.Value) is { } peak => running with { Peak = peak },
            "cpu.stat" when Micros(line.Value) is { } micros => running with { ProcessorSeconds = Math.Round(micros / 1e6, 3) },
            _ => running,
        };
        return !known;
    }

    /// <summary>What runs: groups that look like guests, and the host's own services that take memory. Slices only hold others.</summary>
    public ValueList<Running> Runs() =>
        [
            .. groups
                .Values.Where(r => !Inside(r.Group) && (r.Kind is not null || r.Group.EndsWith(".service", StringComparison.Ordinal)))
                .OrderBy(r => r.Kind is null)
                .ThenByDescending(r => r.Memory)
                .Take(200),
        ];

    /// <summary>Whether a group lies in one that is itself a guest or a service.</summary>
    private bool Inside(string group)
    {
        for (var at = group.LastIndexOf('/'); at > 0; at = group.LastIndexOf('/', at - 1))
        {
            if (
                groups.TryGetValue(group[..at], out var outer)
                && (outer.Kind is not null || outer.Group.EndsWith(".service", StringComparison.Ordinal))
            )
            {
                return true;
            }
        }

        return false;
    }

    private static Running Of(string group)
    {
        var last = Unescaped(group.Split('/')[^1]);
        if (ContainerScope().Match(last) is { Success: true } container)
        {
            return new Running(group, $"container {container.Groups["id"].Value[..12]}", default, Kind: GuestKind.AppStack);
        }

        if (MachineScope().Match(last) is { Success: true } machine)
        {
            return new Running(group, machine.Groups["name"].Value, default, Kind: GuestKind.Machine);
        }

        var inMachines = group.Contains("machine.slice/", StringComparison.Ordinal);
        if (inMachines && last.EndsWith(".service", StringComparison.Ordinal) && last.Contains('@', StringComparison.Ordinal))
        {
            return new Running(group, last.Split('@', 2)[1][..^".service".Length], default, Kind: GuestKind.SystemContainer);
        }

        if (NumberScope().Match(last) is { Success: true } numbered)
        {
            return new Running(group, numbered.Groups["name"].Value, default, Kind: GuestKind.Machine);
        }

        // Container managers that keep groups of their own do so beside the slices, a folder for each container.
        var parts = group.Split('/');
        return parts.Length == 2 && !parts[0].EndsWith(".slice", StringComparison.Ordinal) && !last.Contains('.', StringComparison.Ordinal)
            ? new Running(group, last, default, Kind: GuestKind.SystemContainer)
            : new Running(group, last.EndsWith(".service", StringComparison.Ordinal) ? last[..^8] : last, default);
    }

    /// <summary>Names of units spell a hyphen «\x2d».</summary>
    private static string Unescaped(string name) =>
        Names.Clean(
            EscapedCharacter()
                .Replace(
                    name,
                    m => ((char)int.Parse(m.Groups["code"].Value, NumberStyles.HexNumber, CultureInfo.InvariantCulture)).ToString()
                )
        );

    private static ByteSize? Bytes(string text) =>
        long.TryParse(text.Trim(), NumberStyles.None, CultureInfo.InvariantCulture, out var bytes)
            ? new ByteSize(Math.Min(bytes, ByteSize.LargestEntered.Bytes))
            : null;

    private static double? Micros(string text) =>
        long.TryParse(text.Replace("usage_usec", "").Trim(), NumberStyles.None, CultureInfo.InvariantCulture, out var micros)
            ? micros
            : null;

    [GeneratedRegex(@"(^|-)(?<id>[0-9a-f]{64})(\.scope)?$", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex ContainerScope();

    [GeneratedRegex(@"^machine-[a-z]+-[0-9]+-(?<name>.+)\.scope$", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex MachineScope();

    [GeneratedRegex(@"^(?<name>[0-9]{2,9})\.scope$", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex NumberScope();

    [GeneratedRegex(@"\\x(?<code>[0-7][0-9a-f])", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex EscapedCharacter();
}
