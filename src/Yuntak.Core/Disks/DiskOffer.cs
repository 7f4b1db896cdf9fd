using Yuntak.Core.Labs;

namespace Yuntak.Core.Disks;

/// <summary>A disk on offer.</summary>
/// <param name="Disk">What it is.</param>
/// <param name="Price">What one costs, in the person's own money.</param>
/// <param name="Condition">How it is offered.</param>
/// <param name="WarrantyYears">Years of warranty.</param>
/// <param name="AgeYears">How old it is.</param>
public sealed record DiskOffer(
    DiskSpec Disk,
    double Price,
    DiskCondition Condition = DiskCondition.New,
    double WarrantyYears = 5,
    double AgeYears = 0
);
