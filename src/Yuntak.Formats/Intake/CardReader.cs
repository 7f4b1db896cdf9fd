using System.Text.RegularExpressions;
using Yuntak.Core.Base;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;

namespace Yuntak.Formats.Intake;

/// <summary>Reads <c>lspci</c>: records (<c>-Dvmmnnk</c>) and the form for people (<c>-Dnnk</c>), with or without domain, class codes and drivers.</summary>
internal static partial class CardReader
{
    /// <summary>Whether a line begins a function in the form for people.</summary>
    public static bool IsPlainLine(string line) => PlainLine().IsMatch(line);

    public static void ReadRecords(RawPart part, IntakeDraft draft)
    {
        List<string> problems = [];
        var read = 0;
        Dictionary<string, string> record = new(StringComparer.Ordinal);
        var start = part.Line;
        var number = part.Line;
        foreach (var line in part.Text.Split('\n').Append(""))
        {
            var at = line.IndexOf(':', StringComparison.Ordinal);
            var key = at > 0 ? line[..at].Trim() : "";
            if ((key.Length == 0 || key == "Slot") && record.Count > 0)
            {
                read += Keep(record, start, draft, problems) ? 1 : 0;
                record.Clear();
            }

            if (key.Length > 0)
            {
                start = record.Count == 0 ? number : start;
                record[key] = Names.Clean(line[(at + 1)..]);
            }

            number++;
        }

        draft.Log.Add(KitParts.Cards, read, part.Line, problems);
    }

    public static void ReadPlain(RawPart part, IntakeDraft draft)
    {
        List<string> problems = [];
        var read = 0;
        PciFunction? function = null;
        foreach (var (line, number) in part.Lines())
        {
            var head = PlainLine().Match(line);
            if (head.Success)
            {
                function = Function(
                    head.Groups["address"].Value,
                    head.Groups["class"].Value,
                    head.Groups["code"].Value,
                    head.Groups["name"].Value,
                    number,
                    problems
                );
                read += function is not null && draft.AddFunction(function) ? 1 : 0;
            }
            else if (function is not null && DriverLine().Match(line) is { Success: true } driver)
            {
                function = function with { Driver = Names.Clean(driver.Groups["driver"].Value) };
                draft.AddFunction(function);
            }
            else if (function is not null && GroupLine().Match(line) is { Success: true } group)
            {
                draft.AddGroup(function.Address, int.Parse(group.Groups["group"].Value));
            }
        }

        draft.Log.Add(KitParts.Cards, read, part.Line, problems);
    }

    private static bool Keep(Dictionary<string, string> record, int line, IntakeDraft draft, List<string> problems)
    {
        var address = record.GetValueOrDefault("Slot") ?? "";
        if (!AddressOnly().IsMatch(address))
        {
            problems.Add($"line {line}: a record of lspci without a «Slot» that can be read was left out");
            return false;
        }

        var (words, code) = Bracketed(record.GetValueOrDefault("Class") ?? "");
        var (vendor, vendorId) = Bracketed(record.GetValueOrDefault("Vendor") ?? "");
        var (device, deviceId) = Bracketed(record.GetValueOrDefault("Device") ?? "");
        var name = string.Join(' ', new[] { vendor, device }.Where(t => t.Length > 0));
        var ids = vendorId.Length == 4 && deviceId.Length == 4 ? $" [{vendorId}:{deviceId}]" : "";
        if (Function(address, words, code, name + ids, line, problems) is not { } function)
        {
            return false;
        }

        function = function with
        {
            Driver = record.GetValueOrDefault("Driver") is { Length: > 0 } driver ? driver : null,
            Slot = record.GetValueOrDefault("PhySlot") is { Length: > 0 } slot ? slot : null,
        };
        if (int.TryParse(record.GetValueOrDefault("IOMMUGroup"), out var group) && group >= 0)
        {
            draft.AddGroup(SysLine.Address(address), group);
        }

        return draft.AddFunction(function);
    }

    private static PciFunction? Function(string address, string words, string code, string name, int line, List<string> problems)
    {
        if (code.Length != 4)
        {
            code = PciClasses.FindByName(words)?.Code ?? "";
            code = code.Length == 2 ? code + "00" : code;
        }

        if (code.Length == 0)
        {
            problems.Add($"line {line}: {SysLine.Address(address)} has no class that is known here; run lspci with -nn");
        }

        var (plain, ids) = Bracketed(Revision().Replace(name, ""));
        return new PciFunction(
            SysLine.Address(address),
            code.ToLowerInvariant(),
            plain.Length == 0 ? null : Short(plain),
            ids.Contains(':', StringComparison.Ordinal) ? ids.ToLowerInvariant() : null
        );
    }

    /// <summary>«Ethernet controller [0200]» → words and what stands in the last brackets, when it is a code.</summary>
    private static (string Words, string Code) Bracketed(string text)
    {
        var match = LastBrackets().Match(text);
        return match.Success ? (text[..match.Index].Trim(), match.Groups["code"].Value) : (text.Trim(), "");
    }

    private static string Short(string name) => Names.Clean(name.Length > 120 ? name[..120] : name);

    [GeneratedRegex(
        @"^(?<address>([0-9a-f]{4,8}:)?[0-9a-f]{2}:[0-9a-f]{2}\.[0-7]) (?<class>[^:\[]{2,60}?)\s*(\[(?<code>[0-9a-f]{4})\])?: (?<name>.*)$",
        RegexOptions.ExplicitCapture | RegexOptions.IgnoreCase,
        1_000
    )]
    private static partial Regex PlainLine();

    [GeneratedRegex(@"^\s+Kernel driver in use: (?<driver>\S+)", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex DriverLine();

    [GeneratedRegex(@"^\s+IOMMU group: (?<group>[0-9]{1,5})\s*$", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex GroupLine();

    [GeneratedRegex(@"^([0-9a-f]{4,8}:)?[0-9a-f]{2}:[0-9a-f]{2}\.[0-7]$", RegexOptions.ExplicitCapture | RegexOptions.IgnoreCase, 1_000)]
    private static partial Regex AddressOnly();

    [GeneratedRegex(@"\s*\[(?<code>[0-9a-f]{4}(:[0-9a-f]{4})?)\]\s*$", RegexOptions.ExplicitCapture | RegexOptions.IgnoreCase, 1_000)]
    private static partial Regex LastBrackets();

    [GeneratedRegex(@"(\s+\((rev|prog-if) [^)]*\))+\s*$", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex Revision();
}
