namespace Yuntak.Core.Edits;

/// <summary>The sorts of difference between two labs.</summary>
public enum ChangeKind
{
    /// <summary>A host is new.</summary>
    HostAdded,

    /// <summary>A host is gone.</summary>
    HostRemoved,

    /// <summary>A host is described differently.</summary>
    HostChanged,

    /// <summary>A pool is new.</summary>
    PoolAdded,

    /// <summary>A pool is gone.</summary>
    PoolRemoved,

    /// <summary>A pool is laid out differently.</summary>
    PoolChanged,

    /// <summary>A guest is to be built, or is half built.</summary>
    GuestBuilt,

    /// <summary>A guest goes from one host to another.</summary>
    GuestMoved,

    /// <summary>A guest gets other figures.</summary>
    GuestChanged,

    /// <summary>A guest is gone, or is taken off its host.</summary>
    GuestRetired,

    /// <summary>The lab's name or assumptions.</summary>
    LabChanged,
}
