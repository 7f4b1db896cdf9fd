namespace Yuntak.Core.Disks;

/// <summary>Why two disks' worth of parity are advised.</summary>
internal enum ParityReason
{
    /// <summary>Many disks in one group.</summary>
    Number,

    /// <summary>Large spinning disks, which take long to rebuild.</summary>
    Size,

    /// <summary>Old disks.</summary>
    Age,
}
