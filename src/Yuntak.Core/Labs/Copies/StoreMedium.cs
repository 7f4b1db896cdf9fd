namespace Yuntak.Core.Labs;

/// <summary>What copies lie on.</summary>
public enum StoreMedium
{
    /// <summary>Spinning disks.</summary>
    Spinning,

    /// <summary>Flash.</summary>
    Flash,

    /// <summary>Tape.</summary>
    Tape,

    /// <summary>Discs that are written once.</summary>
    Optical,

    /// <summary>Room that is rented elsewhere.</summary>
    Rented,
}
