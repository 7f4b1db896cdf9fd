namespace Yuntak.Core.Labs;

/// <summary>How the disks of a pool share the data.</summary>
public enum PoolLayout
{
    /// <summary>One disk.</summary>
    Single,

    /// <summary>All room, no safety.</summary>
    Stripe,

    /// <summary>Every disk holds everything.</summary>
    Mirror,

    /// <summary>Pairs of mirrors side by side.</summary>
    StripedMirrors,

    /// <summary>One disk's worth of parity.</summary>
    Parity1,

    /// <summary>Two disks' worth of parity.</summary>
    Parity2,

    /// <summary>Three disks' worth of parity.</summary>
    Parity3,

    /// <summary>One disk for parity alone; every data disk can be read by itself.</summary>
    Dedicated1,

    /// <summary>Two disks for parity alone.</summary>
    Dedicated2,
}
