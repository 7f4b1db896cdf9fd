using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Formats.Intake;

namespace Yuntak.Web.Drawing.Kit;

/// <summary>Sockets, with a cell for each thread of each core.</summary>
internal static class ProcessorDrawing
{
    private const int MostCells = 128;

    /// <summary>Draws it at the left edge.</summary>
    /// <returns>Where the next thing may begin.</returns>
    public static double Draw(List<object> into, HostSheet sheet, Processor processor)
    {
        var threads = Math.Max(1, processor.Threads / Math.Max(1, processor.Cores));
        var sockets = Math.Min(processor.Sockets, 4);
        var shown = Math.Max(1, Math.Min(processor.Cores / sockets, MostCells / threads / sockets));
        var perRow = Math.Max(2, (int)Math.Ceiling(Math.Sqrt(shown)));
        var cell = Math.Min(20, 76.0 / perRow);
        var rows = Math.Ceiling(shown / (double)perRow);
        var wide = (perRow * cell) + 10;
        List<object> parts = [];
        for (var socket = 0; socket < sockets; socket++)
        {
            var left = 2 + (socket * (wide + 6));
            parts.Add(Svg.Rect(left, 14, wide, (rows * cell) + 10, "chip", 3));
            for (var core = 0; core < shown; core++)
            {
                var x = left + 5 + (core % perRow * cell);
                var y = 19 + (core / perRow * cell);
                for (var thread = 0; thread < threads; thread++)
                {
                    parts.Add(
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
        }

        parts.Add(Svg.Text(2, 9, "kit-text", processor.Sockets > 1 ? $"{processor.Sockets} sockets" : "processor"));
        var words = $"{processor.Cores} cores · {processor.Threads} threads";
        parts.Add(Svg.Text(2, Math.Min(114, (rows * cell) + 40), "kit-figure", words));
        into.Add(sheet.Thing(KitParts.Processor, $"processor: {words}", [.. parts]));
        return Math.Max(sockets * (wide + 6), 128) + 20;
    }
}
