using Microsoft.AspNetCore.Html;
using Yuntak.Core.Bench;
using Yuntak.Core.Disks;
using Yuntak.Core.Units;

namespace Yuntak.Web.Drawing;

/// <summary>A pool as a ring: what is claimed, and the comfort tick at 80 %.</summary>
internal static class PoolRing
{
    private const double Centre = 17;
    private const double Radius = 13;

    public static IHtmlContent Draw(PoolBudget pool)
    {
        var share = Math.Clamp(pool.Share.Value, 0, 0.9999);
        return Svg.Decoration(
            34,
            34,
            "pool-ring " + pool.Fit.ToString().ToLowerInvariant(),
            Svg.Circle(Centre, Centre, Radius, "ring"),
            share > 0 ? Svg.Path(Arc(share), "ring-used") : null,
            Svg.Path(Tick(PoolRoom.ComfortShare.Value), "ring-tick")
        );
    }

    private static string Arc(double share)
    {
        var (x, y) = At(share, Radius);
        return $"M{Svg.N(Centre)} {Svg.N(Centre - Radius)}A{Svg.N(Radius)} {Svg.N(Radius)} 0 {(share > 0.5 ? 1 : 0)} 1 {x:0.00} {y:0.00}";
    }

    private static string Tick(double share)
    {
        var (x1, y1) = At(share, 9);
        var (x2, y2) = At(share, 17);
        return $"M{x1:0.00} {y1:0.00}L{x2:0.00} {y2:0.00}";
    }

    private static (double X, double Y) At(double share, double radius) =>
        (Centre + (radius * Math.Sin(2 * Math.PI * share)), Centre - (radius * Math.Cos(2 * Math.PI * share)));
}
