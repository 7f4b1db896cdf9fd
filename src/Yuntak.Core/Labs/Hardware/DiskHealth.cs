using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>What a disk says of its own health. Whatever it does not say is null.</summary>
/// <param name="Passed">Whether its own test says it is sound.</param>
/// <param name="ReallocatedSectors">Sectors it has replaced by spare ones.</param>
/// <param name="PendingSectors">Sectors it could not read and has not replaced yet.</param>
/// <param name="WearPercent">How much of a flash disk's promised writing is used up; can pass 100.</param>
/// <param name="Celsius">Its temperature.</param>
public sealed record DiskHealth(
    bool? Passed = null,
    long? ReallocatedSectors = null,
    long? PendingSectors = null,
    double? WearPercent = null,
    double? Celsius = null
)
{
    /// <summary>The wear past which a flash disk should be replaced soon, in percent; common practice.</summary>
    public const double WornPercent = 80;

    /// <summary>Whether its own test says it is failing.</summary>
    public bool Failing => Passed == false;

    /// <summary>Whether it has lost sectors.</summary>
    public bool LostSectors => ReallocatedSectors > 0 || PendingSectors > 0;

    /// <summary>Whether a flash disk is past its comfortable wear.</summary>
    public bool Worn => WearPercent is { } worn && new Share(worn) > new Share(WornPercent);

    /// <summary>In one word.</summary>
    public string Word =>
        Failing ? "failing"
        : LostSectors ? "sectors lost"
        : Worn ? "worn"
        : Passed == true ? "good"
        : "unknown";
}
