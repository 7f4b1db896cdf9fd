namespace Yuntak.Core.Labs;

/// <summary>The two families of pools.</summary>
public enum PoolFamily
{
    /// <summary>No padding, any file system on top.</summary>
    BlockArray,

    /// <summary>Checksums, snapshots and compression; costs padding, a reserve and a read cache.</summary>
    CopyOnWrite,
}
