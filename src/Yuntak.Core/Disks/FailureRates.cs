namespace Yuntak.Core.Disks;

/// <summary>How often disks fail; common practice.</summary>
public static class FailureRates
{
    /// <summary>Hours until a spare is there when none lies ready.</summary>
    public const double SpareWaitHours = 72;

    /// <summary>How many times as likely the other disks of one batch fail once the first has; from memory, and a setting of the lab.</summary>
    public const double UsualBatchTimes = 10;

    /// <summary>Hours of age within which disks of one model are one batch; common practice.</summary>
    public const double BatchHours = 1000;

    /// <summary>The share of disks of an age that fail within a year: 1.5 % up to 3 years, 2.5 % up to 5, 5 % after.</summary>
    /// <param name="ageYears">Whole years behind it count; 3.9 is still 3.</param>
    public static double Annual(double ageYears) =>
        Math.Floor(ageYears) switch
        {
            <= 3 => 0.015,
            <= 5 => 0.025,
            _ => 0.05,
        };

    /// <summary>How much more often a disk fails by the way it was bought.</summary>
    public static double Multiplier(DiskCondition condition) =>
        condition switch
        {
            DiskCondition.New => 1,
            DiskCondition.Recertified => 1.3,
            DiskCondition.Refurbished => 1.6,
        };
}
