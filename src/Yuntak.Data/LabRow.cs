namespace Yuntak.Data;

/// <summary>A lab's two pointers into its revisions.</summary>
public sealed class LabRow
{
    /// <summary>Key.</summary>
    public int Id { get; set; }

    /// <summary>The revision that is the draft.</summary>
    public long DraftRevision { get; set; }

    /// <summary>The revision that is as built.</summary>
    public long AsBuiltRevision { get; set; }

    /// <summary>The version of the Yuntak that opened the data last; empty before versions were kept.</summary>
    public string WrittenBy { get; set; } = "";
}
