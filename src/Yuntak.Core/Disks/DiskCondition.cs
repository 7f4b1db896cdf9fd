namespace Yuntak.Core.Disks;

/// <summary>How a disk is offered.</summary>
public enum DiskCondition
{
    /// <summary>New.</summary>
    New,

    /// <summary>Used, checked and warranted again by its maker.</summary>
    Recertified,

    /// <summary>Used, checked by a dealer.</summary>
    Refurbished,
}
