namespace Yuntak.Core.Labs;

/// <summary>What sort of copy a part of a job is.</summary>
public enum PartKind
{
    /// <summary>The whole guest, volume by volume.</summary>
    Whole,

    /// <summary>The archive of the service itself: a folder it writes.</summary>
    Archive,

    /// <summary>Files, by an agent inside the guest or on a bare machine.</summary>
    Agent,

    /// <summary>The settings of a host.</summary>
    Settings,
}
