using System.Xml.Linq;
using Microsoft.AspNetCore.Html;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;

namespace Yuntak.Web.Drawing.Keeping;

/// <summary>Where a guest lies and where its copies do: a box each, an arrow for what is copied, dashes for what is missing.</summary>
internal static class PlacesDrawing
{
    private const double Box = 206;
    private const double High = 58;
    private const double Gap = 50;

    /// <summary>The places of a guest, side by side for wide windows, one below the other for phones.</summary>
    public static IHtmlContent Draw(HouseKeeping keeping, GuestKeeping guest) =>
        ForBoth.Of(Drawing(keeping, guest, across: true), Drawing(keeping, guest, across: false));

    private static Svg Drawing(HouseKeeping keeping, GuestKeeping guest, bool across)
    {
        var host = keeping.Lab.HostOf(guest.Guest);
        List<(string Name, string Says, string Css)> places = [(host?.Name ?? "", "the thing itself", "")];
        places.AddRange(guest.Stores.OrderBy(s => s.Store.IsElsewhere).Take(3).Select(s => (s.Place, Says(s), s.IsThere ? "" : "missing")));
        places.AddRange(
            guest
                .Partly.OrderBy(s => s.Store.IsElsewhere)
                .Take(4 - places.Count)
                .Select(s => (s.Place, $"{s.Store.Name}, not all of it", "missing"))
        );
        if (places.Count == 1)
        {
            places.Add((KeepingSteps.JobFor(keeping, guest.Guest.Id)?.Store?.Place ?? "another machine", "no copy yet", "missing"));
        }

        if (guest.Elsewhere == 0 && !guest.Partly.Any(s => s.Store.IsElsewhere))
        {
            places.Add(("elsewhere", "no copy yet", "missing"));
        }

        List<XElement> drawn = [];
        for (var n = 0; n < places.Count; n++)
        {
            var (x, y) = across ? (n * (Box + Gap), 4.0) : (4.0, n * (High + 24));
            drawn.Add(Svg.Rect(x + 1, y, Box, High, $"kept-place {places[n].Css}", 6));
            drawn.Add(Svg.Text(x + 14, y + 24, "kept-place-name", Fitting(places[n].Name, 24)));
            drawn.Add(Svg.Text(x + 14, y + 43, $"kept-place-says {places[n].Css}", Fitting(places[n].Says, 32)));
            if (n > 0)
            {
                var css = $"kept-place-way {places[n].Css}";
                drawn.Add(
                    across
                        ? Svg.Path($"M{Svg.N(x - Gap + 5)} 33H{Svg.N(x - 6)}m-7 -6l7 6-7 6", css)
                        : Svg.Path($"M30 {Svg.N(y - 21)}V{Svg.N(y - 4)}m-5 -6l5 6 5-6", css)
                );
            }
        }

        return across
            ? Svg.Of(0, 0, Math.Max(780, (places.Count * (Box + Gap)) - Gap + 4), High + 10, Words(places, guest), "places", [.. drawn])
            : Svg.Of(0, 0, Box + 8, (places.Count * (High + 24)) - 20, Words(places, guest), "places narrow", [.. drawn]);
    }

    private static string Words(IEnumerable<(string Name, string Says, string Css)> places, GuestKeeping guest) =>
        $"Where {guest.Guest.Name} lies: {string.Join("; ", places.Select(p => $"{p.Name}, {p.Says}"))}";

    private static string Says(StoreSums store) => $"{store.Store.Name}, {(store.IsChecked ? "read back" : "not read back")}";

    private static string Fitting(string text, int most) => text.Length <= most ? text : text[..(most - 1)] + "…";
}
