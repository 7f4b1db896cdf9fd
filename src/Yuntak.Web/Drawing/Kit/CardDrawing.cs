using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Formats.Intake;

namespace Yuntak.Web.Drawing.Kit;

/// <summary>Cards on their slots. Bridges and the board's own plumbing are left out; USB controllers and network ports are drawn by themselves.</summary>
internal static class CardDrawing
{
    private const int MostCards = 16;
    private const double Wide = 87;
    private const double High = 44;

    private static readonly string[] Elsewhere =
    [
        "bridge",
        "USB",
        "SMBus",
        "system",
        "serial",
        "memory",
        "communication",
        "isolation unit",
        "other",
        "signal",
        "input",
    ];

    public static void Draw(Flow flow, HostSheet sheet)
    {
        var cards = sheet
            .Inside.Functions.Where(f =>
                f.ClassCode.Length > 0 && !Elsewhere.Contains(PciClasses.KindOf(f.ClassCode), StringComparer.Ordinal)
            )
            .Where(f => sheet.Inside.Ports.All(p => p.Function != f.Address))
            .GroupBy(f => f.Address.Split('.')[0], StringComparer.Ordinal)
            .ToList();
        if (cards.Count == 0)
        {
            return;
        }

        flow.Section(cards.Count > MostCards ? $"cards, {cards.Count - MostCards} more not drawn" : "cards and chips");
        foreach (var card in cards.Take(MostCards))
        {
            Card(flow, sheet, [.. card]);
        }
    }

    private static void Card(Flow flow, HostSheet sheet, PciFunction[] functions)
    {
        var first = functions[0];
        var kinds = string.Join(" + ", functions.Select(f => PciClasses.KindOf(f.ClassCode)).Distinct(StringComparer.Ordinal));
        var place = first.Slot ?? UsbDrawing.Named(first.Address);
        var group = first.Group is { } g ? $"group {g}" : "";
        var words = $"{kinds} {first.Name} at {first.Address}{(first.Slot is null ? "" : ", slot " + first.Slot)}";
        flow.Put(
            Wide,
            High,
            (x, y) =>
            {
                List<object> parts = [Svg.Rect(x, y, Wide, High - 8, first.Slot is null ? "pci-card soldered" : "pci-card", 2)];
                // The edge that goes into the slot; what is soldered has none.
                for (var n = 0; first.Slot is not null && n < 9; n++)
                {
                    parts.Add(Svg.Rect(x + 10 + (n * 6), y + High - 8, 4, 5, "edge"));
                }

                parts.Add(Svg.Text(x + 7, y + 14, "kit-figure", Fits(kinds, 13)));
                parts.Add(Svg.Text(x + 7, y + 28, "kit-text", Fits($"{place} {group}".Trim(), 16)));
                if (functions.Any(f => f.ConsoleGraphics))
                {
                    parts.Add(Svg.Path($"M{Svg.N(x + Wide - 9)} {Svg.N(y)}h9v9z", "boot"));
                }

                return sheet.Thing($"{KitParts.Cards}/{first.Address}", words, [.. parts]);
            }
        );
    }

    private static string Fits(string text, int most) => text.Length > most ? text[..(most - 1)] + "…" : text;
}
