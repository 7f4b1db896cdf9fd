using System.Globalization;
using Yuntak.Core.Keeping;

namespace Yuntak.Web.Drawing.Keeping;

/// <summary>Moments of a night by the clock on the wall.</summary>
internal static class NightClock
{
    /// <summary>The time, with its day where that is not this night: «05:11», «Mon 05:11», «never».</summary>
    /// <param name="house">The house whose clock it is.</param>
    /// <param name="night">The night.</param>
    /// <param name="seconds">The moment.</param>
    public static string At(HouseKeeping house, Night night, double seconds) =>
        double.IsFinite(seconds)
            ? house
                .Clock.Wall(seconds)
                .ToString(seconds < night.From || seconds > night.To ? "ddd HH:mm" : "HH:mm", CultureInfo.InvariantCulture)
            : "never";
}
