namespace Yuntak.Core.Labs;

/// <summary>The two schools of how much memory a copy-on-write pool's read cache may take.</summary>
public enum ReadCacheRule
{
    /// <summary>A cap in GiB, whatever the pool's size.</summary>
    Cap,

    /// <summary>1 GiB for each TiB of pool, at least 2 GiB.</summary>
    PerTebibyte,
}
