using Microsoft.AspNetCore.Html;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Web.Drawing.Kit;

/// <summary>
/// A host's kit as one drawing. Above: sockets with a cell for each thread, memory to the scale of the largest host, disks with areas that follow their
/// size. Below: cards on their slots, USB controllers with ports and what is in them, network ports with their speed.
/// </summary>
internal static class HostDrawing
{
    private const double Width = 860;
    private const double RowGap = 12;

    public static IHtmlContent Draw(HostSheet sheet)
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

        DiskDrawing.Draw(drawn, sheet, x, Width);
        top = drawn.Count == 0 ? 0 : top;
        var flow = new Flow(drawn, top + RowGap, Width);
        CardDrawing.Draw(flow, sheet);
        UsbDrawing.Draw(flow, sheet);
        PortDrawing.Draw(flow, sheet);
        var height = flow.Any ? flow.Bottom : top;
        return Svg.Of(0, 0, Width, Math.Max(20, height), $"{sheet.Name}: what is in it", "host-drawing", [.. drawn]);
    }
}
