namespace Yuntak.Core.Edits;

/// <summary>The sorts of difference between two descriptions of a host.</summary>
public enum HostChangeKind
{
    /// <summary>Something is there that was not.</summary>
    Came,

    /// <summary>Something is no longer there.</summary>
    Went,

    /// <summary>Something is different.</summary>
    Changed,
}
