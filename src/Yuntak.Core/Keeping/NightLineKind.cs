namespace Yuntak.Core.Keeping;

/// <summary>What a copy goes over.</summary>
public enum NightLineKind
{
    /// <summary>The disks of a pool, a box, or a disk that is carried.</summary>
    Disk,

    /// <summary>The link of a host, one way.</summary>
    Wire,

    /// <summary>A line to another place.</summary>
    Line,
}
