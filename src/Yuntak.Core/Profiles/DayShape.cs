using Yuntak.Core.Base;

namespace Yuntak.Core.Profiles;

/// <summary>How busy a service is at each hour of the day: 24 weights from 0 (idle) to 1 (busiest). Shapes are assumptions until something is measured.</summary>
/// <param name="Weights">24 weights, midnight first.</param>
public sealed record DayShape(ValueList<double> Weights)
{
    /// <summary>Hours in a day.</summary>
    public const int Hours = 24;

    /// <summary>The same all day.</summary>
    public static readonly DayShape Flat = new([.. Enumerable.Repeat(1.0, Hours)]);

    /// <summary>Films after supper.</summary>
    public static readonly DayShape Evening = Around((20, 3, 1.0), (13, 2, 0.15));

    /// <summary>Desk hours, with a lull at lunch and some evening.</summary>
    public static readonly DayShape WorkingDay = Around((10, 2.5, 0.9), (15, 2.5, 1.0), (21, 2, 0.3));

    /// <summary>Getting up, coming home.</summary>
    public static readonly DayShape Household = Around((7, 2, 1.0), (18, 3, 0.8));

    /// <summary>After lunch at the bench.</summary>
    public static readonly DayShape Afternoon = Around((15, 3, 1.0));

    /// <summary>Copies in the small hours.</summary>
    public static readonly DayShape Night = Around((2, 2, 1.0));

    /// <summary>The weight at an hour, 0 to 23.</summary>
    public double At(int hour) => Weights[hour];

    /// <summary>Smooth bumps around hours of the day, each with its half width in hours and its height.</summary>
    private static DayShape Around(params (double Hour, double Width, double Height)[] bumps)
    {
        var weights = new double[Hours];
        for (var h = 0; h < Hours; h++)
        {
            var weight = 0.02;
            foreach (var (hour, width, height) in bumps)
            {
                var apart = Math.Abs(h - hour);
                apart = Math.Min(apart, Hours - apart);
                weight = Math.Max(weight, height * Math.Exp(-Math.Pow(apart / width, 2) * 0.7));
            }

            weights[h] = Math.Round(weight, 2);
        }

        return new DayShape([.. weights]);
    }
}
