namespace Yuntak.Core.Labs;

/// <summary>What a pool of flash does in front of an array.</summary>
public enum TierKind
{
    /// <summary>New files land on it and are moved at a set hour.</summary>
    Landing,

    /// <summary>It keeps what is often read; losing it costs nothing.</summary>
    ReadCache,

    /// <summary>Guest disks live on it.</summary>
    Guests,
}
