using Yuntak.Core.Kit;
using Yuntak.Core.Units;
using Yuntak.Formats.Intake;

namespace Yuntak.Web.Drawing.Kit;

/// <summary>Memory to the scale of the largest host drawn: by its modules and free places where they are known, else as one.</summary>
internal static class MemoryDrawing
{
    private const double Wide = 120;
    private const int MostSlots = 8;

    /// <summary>Draws it from the place given.</summary>
    /// <returns>Where the next thing may begin.</returns>
    public static double Draw(List<object> into, HostSheet sheet, double x, ByteSize memory)
    {
        var scale = Wide / Math.Max(sheet.Largest.GiB, memory.GiB);
        List<object> parts = [Svg.Text(x, 9, "kit-text", "memory")];
        var slots = sheet.Inside.MemorySlots;
        var y = 14.0;
        if (slots.Count == 0)
        {
            Module(parts, x, y, memory.GiB * scale, 22);
            y += 22;
        }

        foreach (var slot in slots.Take(MostSlots))
        {
            var high = slots.Count > 4 ? 8.0 : 13.0;
            if (slot.Size is { } size)
            {
                Module(parts, x, y, size.GiB * scale, high);
            }
            else
            {
                parts.Add(Svg.Rect(x, y, 40, high, "free-place", 1));
            }

            parts.Add(Svg.Text(x + Math.Max(40, (slot.Size?.GiB ?? 0) * scale) + 4, y + high - 2, "kit-text", slot.Name));
            y += high + 3;
        }

        var free = slots.Count(s => s.Size is null);
        var words = memory.ToString();
        parts.Add(Svg.Text(x, y + 14, "kit-figure", words));
        if (slots.Count > 0)
        {
            parts.Add(Svg.Text(x, y + 27, "kit-text", free == 0 ? "no place free" : $"{free} of {slots.Count} places free"));
        }

        into.Add(sheet.Thing(KitParts.Memory, $"memory: {words}", [.. parts]));
        return x + Wide + 34;
    }

    private static void Module(List<object> parts, double x, double y, double width, double high)
    {
        width = Math.Max(4, width);
        parts.Add(Svg.Rect(x, y, width, high, "module", 2));
        for (var part = 1; part < 8; part++)
        {
            // Eight chips to a module, whatever its size: the width is what is to scale.
            parts.Add(Svg.Line(x + (width * part / 8), y + 2, x + (width * part / 8), y + high - 2, "contact"));
        }
    }
}
