namespace Yuntak.Core.Labs;

/// <summary>What a pool is meant to hold.</summary>
public enum ContentKind
{
    /// <summary>System disks of machines and containers.</summary>
    GuestDisks,

    /// <summary>Films, photos, files.</summary>
    Bulk,

    /// <summary>What machines are installed from.</summary>
    InstallMedia,

    /// <summary>What containers are made from.</summary>
    Templates,

    /// <summary>Backups.</summary>
    Backups,

    /// <summary>What is only needed while something works.</summary>
    Scratch,
}
