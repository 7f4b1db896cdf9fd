using Microsoft.AspNetCore.Html;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Web.Drawing.Kit;

/// <summary>
/// A host's kit as one drawing. Above: sockets with a cell for each thread, memory to the scale of the largest host, disks with areas that follow their
/// size. Below: cards on their slots, USB controllers with ports and what is in them, network ports with their speed.
/// </summary>
internal static class HostDrawing
{
    private const double Wide = 860;
    private const double Narrow = 344;
    private const double RowHigh = 124;
    private static readonly Drawn<Host> Kept = new();
    private const double RowGap = 12;
    private const int DisksInNarrowRow = 6;

    /// <summary>A host of the lab, with the thing lit that is open beside it.</summary>
    /// <param name="host">The host.</param>
    /// <param name="largest">The memory of the largest host drawn beside it.</param>
    /// <param name="lit">The thing that is open; null for none.</param>
    public static IHtmlContent Draw(Host host, ByteSize largest, string? lit) =>
        lit is null
            ? Kept.Of(host, $"{largest.Bytes}", () => Draw(HostSheet.Of(host, largest, null)))
            : Draw(HostSheet.Of(host, largest, lit));

    /// <summary>The drawing twice, for wide windows and for phones.</summary>
    public static IHtmlContent Draw(HostSheet sheet) => ForBoth.Of(Draw(sheet, Wide), Draw(sheet, Narrow));

    private static Svg Draw(HostSheet sheet, double width)
    {
        List<object> drawn = [];
        var x = 0.0;
        var top = 118.0;
        if (sheet.Processor is { } processor)
        {
            x = ProcessorDrawing.Draw(drawn, sheet, processor);
        }

        if (sheet.Memory is { } memory)
        {
            x = MemoryDrawing.Draw(drawn, sheet, x, memory);
        }

        // Four sockets are wider than a phone: the drawing then is as wide as they are.
        width = Math.Max(width, x);
        if (width > Narrow * 1.5)
        {
            DiskDrawing.Draw(drawn, sheet, x, width);
        }
        else
        {
            var row = drawn.Count == 0 ? 0 : RowHigh;
            for (var from = 0; from < sheet.Disks.Count; from += DisksInNarrowRow)
            {
                List<object> disks = [];
                DiskDrawing.Draw(disks, sheet, 0, width, from, DisksInNarrowRow);
                drawn.Add(Svg.Moved(0, row, [.. disks]));
                row += RowHigh;
                top = row - RowGap / 2;
            }
        }

        top = drawn.Count == 0 ? 0 : top;
        var flow = new Flow(drawn, top + RowGap, width);
        CardDrawing.Draw(flow, sheet);
        UsbDrawing.Draw(flow, sheet);
        PortDrawing.Draw(flow, sheet);
        var height = flow.Any ? flow.Bottom : top;
        return Svg.Of(0, 0, Math.Max(width, flow.Widest), Math.Max(20, height), $"{sheet.Name}: what is in it", "host-drawing", [.. drawn]);
    }
}
