namespace Yuntak.Core.Wants;

/// <summary>Where something lies that a guest keeps.</summary>
public enum VolumePlace
{
    /// <summary>In a virtual disk of its own, in a pool: of a machine.</summary>
    OwnDisk,

    /// <summary>In a folder of its own, in a pool of the host: of a system container or an app stack.</summary>
    OwnFolder,

    /// <summary>In the data folders that were named for an app stack.</summary>
    DataFolders,

    /// <summary>On its own system disk, since no pool was named for it or it is a ready-made system that keeps all there.</summary>
    SystemDisk,

    /// <summary>In the guest whose engine runs it.</summary>
    OuterGuest,

    /// <summary>In a folder that several guests use.</summary>
    SharedFolder,

    /// <summary>On a share of somebody else: a guest, a host or a box.</summary>
    Share,
}
