using Yuntak.Core.Units;

namespace Yuntak.Core.Disks;

/// <summary>How long flash lasts under what is written to it.</summary>
public static class FlashWear
{
    /// <summary>What flash writes for each byte that is sent to it; common practice.</summary>
    public const double UsualAmplification = 2;

    /// <summary>Years until the bytes it is rated for are written; infinite when nothing is.</summary>
    /// <param name="rated">Bytes it is rated for in its life.</param>
    /// <param name="perDay">Bytes sent to it a day.</param>
    /// <param name="amplification">What it writes for each byte sent.</param>
    public static double Years(ByteSize rated, ByteSize perDay, double amplification = UsualAmplification) =>
        rated.Bytes / (perDay.Bytes * amplification) / Duration.DaysPerYear;

    /// <summary>How often the whole of it may be written each day of its warranty.</summary>
    public static double DriveWritesPerDay(ByteSize rated, ByteSize capacity, double warrantyYears) =>
        rated.Bytes / (capacity.Bytes * warrantyYears * Duration.DaysPerYear);

    /// <summary>The share kept free beyond what is used, for the flash's own work: (physical − used) ÷ used (JEDEC's definition).</summary>
    public static double OverProvisioning(ByteSize physical, ByteSize used) => (physical.Bytes - used.Bytes) / (double)used.Bytes;
}
