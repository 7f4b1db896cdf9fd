using System.Text.RegularExpressions;
using Yuntak.Core.Base;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Intake;

/// <summary>Reads the tables of <c>dmidecode</c>: memory modules with their places, and the slots that cards are plugged into.</summary>
internal static partial class SlotReader
{
    public static void Read(RawPart part, IntakeDraft draft)
    {
        var read = 0;
        var table = "";
        Dictionary<string, string> rows = new(StringComparer.Ordinal);
        HashSet<string> places = new(StringComparer.Ordinal);
        foreach (var line in part.Text.Split('\n').Append("Handle "))
        {
            if (line.StartsWith("Handle ", StringComparison.Ordinal))
            {
                read += Keep(table, rows, places, draft) ? 1 : 0;
                table = "";
                rows.Clear();
            }
            else if (line.Length > 0 && line[0] is not ('\t' or ' ' or '#'))
            {
                table = line.Trim();
            }
            else if (line.Split(':', 2) is [var key, var value])
            {
                rows.TryAdd(key.Trim(), Names.Clean(value));
            }
        }

        draft.Log.Add(
            KitParts.Slots,
            read,
            part.Line,
            read == 0 ? [$"line {part.Line}: no memory module and no slot in it; dmidecode needs root"] : []
        );
    }

    private static bool Keep(string table, Dictionary<string, string> rows, HashSet<string> places, IntakeDraft draft)
    {
        if (table == "Memory Device" && rows.GetValueOrDefault("Locator") is { Length: > 0 } place)
        {
            var size = SizeText().Match(rows.GetValueOrDefault("Size") ?? "");
            // It writes «GB» and means GiB.
            var known =
                size.Success
                && ByteSize.TryParse(size.Groups["n"].Value + size.Groups["unit"].Value[..1] + "iB", Prefixes.Binary, out var bytes)
                    ? bytes
                    : (ByteSize?)null;
            // Some boards give every place of a bank the same name, and only the bank tells them apart.
            var bank = rows.GetValueOrDefault("Bank Locator");
            var name = places.Add(place) || string.IsNullOrEmpty(bank) ? place : $"{place} ({bank})";
            return draft.MemorySlots.Add(new MemorySlot(name.Length > 40 ? name[..40] : name, known));
        }

        if (
            table == "System Slot Information"
            && rows.GetValueOrDefault("Designation") is { Length: > 0 } slot
            && rows.GetValueOrDefault("Bus Address") is { Length: > 0 } address
        )
        {
            draft.Slots[SysLine.Address(address)] = slot.Length > 40 ? slot[..40] : slot;
            return true;
        }

        return false;
    }

    [GeneratedRegex(@"^(?<n>[0-9]{1,9}) (?<unit>[kMGT]B)$", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex SizeText();
}
