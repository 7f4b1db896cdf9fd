using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants;

/// <summary>How long a machine fetches what it starts from over the network.</summary>
public static class FetchTimes
{
    /// <summary>Image ÷ the slower of the link and the server's disk, in seconds; null when nothing is fetched or neither speed is known.</summary>
    public static Figure<double>? Of(Sizing sizing, Host host)
    {
        var hardware = host.Hardware;
        var link = hardware.Goodput;
        DataRate? disk = hardware
            .DiskSpeeds.Select(s => s.Read)
            .OfType<DataRate>()
            .OrderByDescending(r => r.BitsPerSecond)
            .FirstOrDefault();
        disk = disk is { BitsPerSecond: > 0 } ? disk : null;
        var speeds = new[] { link, disk }.OfType<DataRate>().Where(s => s.BitsPerSecond > 0).ToList();
        if (sizing.Fetch.Value == ByteSize.Zero || speeds.Count == 0)
        {
            return null;
        }

        var slower = speeds.Min(s => s.BitsPerSecond);
        return Figure.Of(
            "time to fetch it",
            sizing.Fetch.Value.Bytes * 8 / slower,
            "image ÷ the slower of link and disk, in seconds",
            () =>
                new[] { new FigureInput("image", sizing.Fetch.Value) }
                    .Concat(link is { } l ? [new FigureInput("link, what it carries", l, Origin.Read)] : [])
                    .Concat(disk is { } d ? [new FigureInput("disk, reading", d, Origin.Read)] : []),
            Source.CommonPractice
        );
    }
}
