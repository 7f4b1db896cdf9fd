using System.Xml.Linq;
using Microsoft.AspNetCore.Html;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Web.Drawing;

/// <summary>A host's kit as one drawing: sockets with a cell for each thread, memory to the scale of the largest host, disks with heights that follow their size.</summary>
internal static class HostDrawing
{
    private const double Width = 560;
    private const int MostCells = 128;
    private const int MostDisks = 14;

    public static IHtmlContent Draw(
        Processor? processor,
        ByteSize? memory,
        IReadOnlyList<Disk> disks,
        string name,
        ByteSize largest = default
    )
    {
        List<object> drawn = [];
        var x = 0.0;
        if (processor is not null)
        {
            x = Processor(drawn, processor);
        }

        if (memory is { } size)
        {
            x = Memory(drawn, x, size, largest);
        }

        Disks(drawn, x, disks);
        return Svg.Of(0, 0, Width, 118, $"{name}: what is in it", "host-drawing", [.. drawn]);
    }

    private static double Processor(List<object> drawn, Processor processor)
    {
        var threads = Math.Max(1, processor.Threads / Math.Max(1, processor.Cores));
        var shown = Math.Min(processor.Cores, MostCells / threads);
        var perRow = Math.Max(2, (int)Math.Ceiling(Math.Sqrt(shown)));
        var cell = Math.Min(20, 76.0 / perRow);
        var rows = Math.Ceiling(shown / (double)perRow);
        drawn.Add(Svg.Rect(2, 14, (perRow * cell) + 10, (rows * cell) + 10, "chip", 3));
        for (var core = 0; core < shown; core++)
        {
            var x = 7 + (core % perRow * cell);
            var y = 19 + (core / perRow * cell);
            for (var thread = 0; thread < threads; thread++)
            {
                drawn.Add(
                    Svg.Rect(
                        x + (thread * (cell - 2) / threads),
                        y,
                        ((cell - 2) / threads) - 0.8,
                        cell - 2,
                        thread == 0 ? "core" : "thread",
                        1
                    )
                );
            }
        }

        drawn.Add(Svg.Text(2, 9, "kit-text", processor.Sockets > 1 ? $"{processor.Sockets} sockets" : "processor"));
        drawn.Add(Svg.Text(2, Math.Min(114, (rows * cell) + 40), "kit-figure", $"{processor.Cores} cores · {processor.Threads} threads"));
        return Math.Max((perRow * cell) + 10, 128) + 20;
    }

    private static double Memory(List<object> drawn, double x, ByteSize memory, ByteSize largest)
    {
        const double Wide = 110;
        var width = Math.Max(4, Wide * memory.GiB / Math.Max(largest.GiB, memory.GiB));
        drawn.Add(Svg.Text(x, 9, "kit-text", "memory"));
        drawn.Add(Svg.Rect(x, 14, width, 22, "module", 2));
        for (var part = 1; part < 8; part++)
        {
            // Eight chips to a module, whatever its size: the width is what is to scale.
            drawn.Add(Svg.Line(x + (width * part / 8), 17, x + (width * part / 8), 33, "contact"));
        }

        drawn.Add(Svg.Text(x, 52, "kit-figure", memory.ToString()));
        return x + Wide + 24;
    }

    private static void Disks(List<object> drawn, double x, IReadOnlyList<Disk> disks)
    {
        if (disks.Count == 0)
        {
            return;
        }

        drawn.Add(Svg.Text(x, 9, "kit-text", Numbers.Count(disks.Count, "disk")));
        var largest = disks.Max(d => d.Size).TB;
        var shown = disks.Take(MostDisks).ToList();
        var step = Math.Min(46, (Width - x) / shown.Count);
        for (var n = 0; n < shown.Count; n++)
        {
            drawn.Add(Disk(shown[n], x + (n * step), Math.Min(step - 4, 34), largest));
        }

        if (disks.Count > MostDisks)
        {
            drawn.Add(Svg.Text(Width, 9, "kit-text end", $"{disks.Count - MostDisks} more not drawn"));
        }
    }

    /// <summary>A kernel name without the namespace that every NVMe disk has, and never too long for its place.</summary>
    private static string ShortName(string name)
    {
        var plain = name.StartsWith("nvme", StringComparison.Ordinal) && name.EndsWith("n1", StringComparison.Ordinal) ? name[..^2] : name;
        return plain.Length > 7 ? plain[..7] : plain;
    }

    private static XElement Disk(Disk disk, double x, double width, double largest)
    {
        const double Tall = 72;
        // The area follows the size; the smallest stays large enough to see.
        var height = Math.Max(12, Tall * Math.Sqrt(disk.Size.TB / Math.Max(largest, 1e-6)));
        var top = 86 - height;
        List<object> parts = [new XElement("title", $"{disk.Name}: {disk.Size.ToDecimalString()} {disk.Kind.Words()}, {disk.Id}")];
        parts.Add(
            Svg.Rect(
                x,
                top,
                width,
                height,
                "disk " + (disk.Kind == DiskKind.Spinning ? "spinning" : "flash"),
                disk.Kind == DiskKind.Spinning ? 3 : 1
            )
        );
        if (disk.Kind == DiskKind.Spinning)
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

        parts.Add(
            Svg.Text(
                x + (width / 2),
                98,
                "tick-text",
                disk.Size.TB >= 1 ? Numbers.Short(disk.Size.TB) + "T" : Numbers.Short(disk.Size.TB * 1000) + "G"
            )
        );
        parts.Add(Svg.Text(x + (width / 2), 110, "tick-text", disk.IsBoot ? "boot" : ShortName(disk.Name)));
        return Svg.Group("kit-disk", [.. parts]);
    }
}
