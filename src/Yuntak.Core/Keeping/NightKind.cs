namespace Yuntak.Core.Keeping;

/// <summary>What runs in a night.</summary>
public enum NightKind
{
    /// <summary>A job copies.</summary>
    Copying,

    /// <summary>Old copies are taken away.</summary>
    Thinning,

    /// <summary>Freed room is given back.</summary>
    Tidying,

    /// <summary>Copies are read back.</summary>
    Checking,

    /// <summary>A store is copied to another.</summary>
    Onward,

    /// <summary>A pool is read through by its own host.</summary>
    Scrub,
}
