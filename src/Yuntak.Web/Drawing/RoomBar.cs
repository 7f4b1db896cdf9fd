using Microsoft.AspNetCore.Html;
using Yuntak.Core.Disks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Web.Drawing;

/// <summary>Where the room of a pool went: one bar as long as everything that was bought, cut at each step.</summary>
internal static class RoomBar
{
    private const double Width = 600;
    private const double Height = 20;

    /// <summary>The steps of a pool's room, each with the words for what it takes away.</summary>
    public static IEnumerable<(string Step, ByteSize Left, string Takes)> Steps(PoolRoom room)
    {
        yield return ("raw", room.Raw, "all disks added up");
        yield return ("after parity", room.AfterParity, "copies, parity, and what unequal sizes leave over");
        yield return ("after padding", room.AfterPadding, "blocks of 128 KiB rounded up across the disks");
        yield return (room.Compression > 1 ? "after reserve" : "usable", room.AfterReserve, "a reserve of 1/32, at most 128 GiB");
        if (room.Compression > 1)
        {
            yield return ("usable", room.Usable, $"compression of {Numbers.Short(room.Compression)} : 1, as entered");
        }

        yield return ("comfortable", room.Comfort, "past 80 % writes slow down");
    }

    public static IHtmlContent Draw(PoolRoom room, ByteSize claimed)
    {
        var raw = Math.Max(1.0, ByteSize.Max(room.Raw, room.Usable).Bytes);
        double At(ByteSize size) => size.Bytes / raw * Width;
        List<object> drawn = [Svg.Rect(0, 0, Width, Height, "bed", 3)];
        drawn.Add(Svg.Rect(0, 0, At(room.AfterParity), Height, "room-padding", 3));
        drawn.Add(Svg.Rect(0, 0, At(room.Usable), Height, "room-usable", 3));
        drawn.Add(Svg.Rect(0, 6, Math.Min(Width, At(claimed)), Height - 12, "room-claimed", 2));
        drawn.Add(Svg.Line(At(room.Comfort), -3, At(room.Comfort), Height + 3, "limit"));
        return Svg.Of(
            0,
            -4,
            Width,
            Height + 8,
            $"Of {room.Raw.ToDecimalString()} bought {room.Usable.ToDecimalString()} are usable, {claimed.ToDecimalString()} claimed",
            "room-bar",
            [.. drawn]
        );
    }
}
