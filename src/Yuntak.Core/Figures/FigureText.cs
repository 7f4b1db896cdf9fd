using System.Globalization;
using Yuntak.Core.Units;

namespace Yuntak.Core.Figures;

/// <summary>Values as people read them. Types with a unit say it themselves; plain numbers get the digits that mean something.</summary>
internal static class FigureText
{
    private const double Small = 0.01;

    /// <summary>The value in words.</summary>
    public static string Of(object value) =>
        value switch
        {
            string text => text,
            double number when number != 0 && Math.Abs(number) < Small => number.ToString("0.##E+0", CultureInfo.InvariantCulture),
            double number => Numbers.Short(number),
            int number => number.ToString("#,##0", CultureInfo.InvariantCulture),
            Duration time => time.Exactly(),
            _ => value.ToString() ?? "",
        };
}
