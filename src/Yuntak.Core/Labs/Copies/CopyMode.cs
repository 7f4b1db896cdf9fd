namespace Yuntak.Core.Labs;

/// <summary>What happens to a guest while it is copied.</summary>
public enum CopyMode
{
    /// <summary>It runs on; what is copied is how it was at one moment.</summary>
    Snapshot,

    /// <summary>It is stopped while it is copied.</summary>
    Stop,

    /// <summary>It writes its databases out first, then runs on.</summary>
    Dump,
}
