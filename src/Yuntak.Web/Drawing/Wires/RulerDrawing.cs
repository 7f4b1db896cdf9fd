using System.Xml.Linq;
using Microsoft.AspNetCore.Html;
using Yuntak.Core.Addresses;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Web.Drawing.Wires;

/// <summary>The addresses of a prefix as a ruler to scale: what is handed out as a field, what is held as a tick, the next free one marked. Of prefixes too wide to show, the first 256.</summary>
internal static class RulerDrawing
{
    private const double Wide = 860;
    private const double Narrow = 350;
    private const double Left = 2;
    private const double Bar = 22;
    private const double Top = 18;
    private const int MostShown = 1 << 20;
    private static readonly Drawn<NetworkSums> Kept = new();

    /// <summary>How many addresses a ruler shows of a prefix.</summary>
    public static UInt128 Shown(Prefix prefix) =>
        // All addresses of IPv6 are one more than can be counted, so the last is asked for and not how many.
        prefix.Last - prefix.First
            is var last
        && last < MostShown
            ? last + 1
            : 256;

    /// <summary>The ruler of a network for wide windows and for phones.</summary>
    public static IHtmlContent Draw(NetworkSums network, Sums sums) =>
        network.Prefix is null
            ? HtmlString.Empty
            : Kept.Of(network, "", () => ForBoth.Of(Ruler(network, sums, Wide), Ruler(network, sums, Narrow)));

    private static Svg Ruler(NetworkSums network, Sums sums, double wide)
    {
        var prefix = network.Prefix!;
        var count = (double)Shown(prefix);
        var width = wide - (2 * Left);
        double At(UInt128 number) => Left + ((double)(number - prefix.First) / count * width);
        var step = Math.Max(2.2, width / count);
        List<XElement> parts = [Svg.Rect(Left, Top, width, Bar, "bed")];
        if (network.HandedOut is { } range && range.First >= prefix.First && At(range.First) < wide)
        {
            var (from, to) = (At(range.First), Math.Min(wide - Left, At(range.Last) + step));
            parts.Add(Svg.Rect(from, Top, to - from, Bar, "net-range"));
            if (to - from > 150)
            {
                parts.Add(
                    Svg.Text(
                        (from + to) / 2,
                        Top + 15,
                        "spare-text",
                        $"handed out {Tail(IpText.Of(range.First, range.Family).ToString(), prefix)} to {Tail(IpText.Of(range.Last, range.Family).ToString(), prefix)}"
                    )
                );
            }
        }

        if (IpText.Read(network.Network.Gateway) is { } gateway && prefix.Contains(gateway) && At(IpText.Number(gateway)) < wide)
        {
            parts.Add(Svg.Rect(At(IpText.Number(gateway)), Top - 3, step, Bar + 6, "net-gateway"));
        }

        // Ticks that fall on one another are drawn once.
        HashSet<double> drawn = [];
        foreach (var held in network.Held.Where(h => h.Address is not null && prefix.Contains(h.Address)))
        {
            var x = At(IpText.Number(held.Address!));
            if (x < wide && drawn.Add(Math.Round(x, 1)))
            {
                parts.Add(Svg.Rect(x, Top, step, Bar, $"net-held {Hue(held, sums)}"));
            }
        }

        if (network.NextFree is { } free && At(IpText.Number(free)) < wide)
        {
            var x = At(IpText.Number(free));
            parts.Add(Svg.Line(x, Top - 6, x, Top + Bar, "net-free"));
            parts.Add(Svg.Text(Math.Min(x + 4, wide - 96), 10, "net-free-text", $"next free {Tail(free.ToString(), prefix)}"));
        }

        parts.AddRange(Axis(prefix, count, width, wide));
        var held2 = Numbers.Count(network.Taken, "address", "addresses");
        return Svg.Of(
            0,
            0,
            wide,
            Top + Bar + 18,
            $"{prefix}: {held2} held, next free {network.NextFree?.ToString() ?? "none"}",
            "net-ruler",
            parts
        );
    }

    private static IEnumerable<XElement> Axis(Prefix prefix, double count, double width, double wide)
    {
        const int Ticks = 4;
        for (var n = 0; n <= Ticks; n++)
        {
            var number = prefix.First + (UInt128)Math.Min(count - 1, Math.Round(count * n / Ticks));
            var x = Left + (width * n / Ticks);
            yield return Svg.Line(x, Top + Bar, x, Top + Bar + 4, "tick");
            yield return Svg.Text(
                x,
                Top + Bar + 14,
                n == 0 ? "tick-text start"
                    : n == Ticks ? "tick-text end"
                    : "tick-text",
                Tail(IpText.Of(number, prefix.Family).ToString(), prefix)
            );
        }
    }

    /// <summary>The part of an address that differs within its prefix, as people say it.</summary>
    internal static string Tail(string address, Prefix prefix)
    {
        if (address.Contains(':', StringComparison.Ordinal))
        {
            return IpText.Tail(address);
        }

        var parts = address.Split('.');
        return "." + string.Join('.', parts.Skip(Math.Min(3, prefix.Length / 8)));
    }

    private static string Hue(HeldAddress held, Sums sums) =>
        held.Who.Kind == HolderKind.Guest && sums.Lab.Guest(new GuestId(held.Who.Id)) is { } guest
            ? sums.Guest(guest.Id).Leading.Family.Css()
            : "net-other";
}
