namespace Yuntak.Core.Labs;

/// <summary>Who mounts a share for a guest.</summary>
public enum MountBy
{
    /// <summary>The host, which hands the folder in.</summary>
    Host,

    /// <summary>The guest itself.</summary>
    Guest,
}
