using System.Xml.Linq;
using Yuntak.Core.Disks;
using Yuntak.Core.Findings;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;
using Yuntak.Formats.Intake;

namespace Yuntak.Web.Drawing.Kit;

/// <summary>Disks by kind, with areas that follow their size, and below each its size, name and age; a shape marks what is wrong with one.</summary>
internal static class DiskDrawing
{
    private const int MostDisks = 14;

    /// <summary>Draws them from the place given to the right edge.</summary>
    /// <param name="into">Where they go.</param>
    /// <param name="sheet">The host.</param>
    /// <param name="x">Where the first begins.</param>
    /// <param name="edge">Where the last may end.</param>
    /// <param name="from">The first to draw, from 0.</param>
    /// <param name="most">The most to draw.</param>
    public static void Draw(List<object> into, HostSheet sheet, double x, double edge, int from = 0, int most = MostDisks)
    {
        if (sheet.Disks.Count == 0)
        {
            return;
        }

        if (from == 0)
        {
            into.Add(Svg.Text(x, 9, "kit-text", Numbers.Count(sheet.Disks.Count, "disk")));
        }

        var largest = sheet.Disks.Max(d => d.Size).TB;
        var shown = sheet.Disks.Skip(from).Take(most).ToList();
        var step = Math.Min(56, (edge - x) / shown.Count);
        for (var n = 0; n < shown.Count; n++)
        {
            into.Add(Disk(sheet, shown[n], x + (n * step), Math.Min(step - 4, 40), largest));
        }

        if (most == MostDisks && sheet.Disks.Count > MostDisks)
        {
            into.Add(Svg.Text(edge, 9, "kit-text end", $"{sheet.Disks.Count - MostDisks} more not drawn"));
        }
    }

    private static XElement Disk(HostSheet sheet, Disk disk, double x, double width, double largest)
    {
        const double Tall = 62;
        // The area follows the size; the smallest stays large enough to see.
        var height = Math.Max(12, Tall * Math.Sqrt(disk.Size.TB / Math.Max(largest, 1e-6)));
        var top = 76 - height;
        var spinning = disk.Kind == DiskKind.Spinning;
        List<object> parts = [Svg.Rect(x, top, width, height, "disk " + (spinning ? "spinning" : "flash"), spinning ? 3 : 1)];
        if (spinning)
        {
            parts.Add(Svg.Circle(x + (width / 2), top + (height / 2), Math.Min(width, height) / 3, "platter"));
            parts.Add(Svg.Circle(x + (width / 2), top + (height / 2), Math.Min(width, height) / 9, "platter"));
        }
        else
        {
            for (var y = top + 4; y < top + height - 3; y += 6)
            {
                parts.Add(Svg.Line(x + 3, y, x + width - 3, y, "contact"));
            }
        }

        if (disk.IsBoot)
        {
            parts.Add(Svg.Path($"M{Svg.N(x + width - 9)} {Svg.N(top)}h9v9z", "boot"));
        }

        if (Wrong(disk) is { } severity)
        {
            parts.Add(Shapes.MarkAt(severity, x + width - 9, top + height - 11, 13));
        }

        var size = disk.Size.TB >= 1 ? Numbers.Short(disk.Size.TB) + "T" : Numbers.Short(disk.Size.TB * 1000) + "G";
        var age = disk.HoursRun is { } hours ? $"{Numbers.OneDecimal(hours / Duration.HoursPerYear)} y" : "age ?";
        parts.Add(Svg.Text(x + (width / 2), 89, "tick-text", size));
        parts.Add(Svg.Text(x + (width / 2), 101, "tick-text", disk.IsBoot ? "boot" : ShortName(disk.Name)));
        parts.Add(Svg.Text(x + (width / 2), 113, "tick-text", disk.Health?.WearPercent is { } wear ? $"{age} {wear:0}%" : age));
        var words = $"{disk.Name}: {disk.Size.ToDecimalString()} {disk.Kind.Words()}, health {disk.Health?.Word ?? "unknown"}, {disk.Id}";
        return sheet.Thing($"{KitParts.Disks}/{disk.Id}", words, [.. parts]);
    }

    private static Severity? Wrong(Disk disk) =>
        disk.Health is { Failing: true } ? Severity.Stop
        : disk.Health is { LostSectors: true } or { Worn: true } || disk.HoursRun > Core.Labs.Disk.OldHours ? Severity.Mind
        : null;

    /// <summary>A kernel name without the namespace that every NVMe disk has, and never too long for its place.</summary>
    private static string ShortName(string name)
    {
        var plain = name.StartsWith("nvme", StringComparison.Ordinal) && name.EndsWith("n1", StringComparison.Ordinal) ? name[..^2] : name;
        return plain.Length > 7 ? plain[..7] : plain;
    }
}
