namespace Yuntak.Data;

/// <summary>One state of a lab, whole. Rows are only ever added.</summary>
public sealed class RevisionRow
{
    /// <summary>Key.</summary>
    public long Id { get; set; }

    /// <summary>The lab it belongs to.</summary>
    public int LabId { get; set; }

    /// <summary>Which pointer it was made for.</summary>
    public Pointer Pointer { get; set; }

    /// <summary>Counted from 1 for each pointer; 0 for one set aside.</summary>
    public int Number { get; set; }

    /// <summary>The revision it was made from; null for the first.</summary>
    public long? Parent { get; set; }

    /// <summary>Where undo goes from here; null when there is nothing to undo.</summary>
    public long? UndoTo { get; set; }

    /// <summary>Where redo goes from here; null when there is nothing to redo.</summary>
    public long? RedoTo { get; set; }

    /// <summary>The revision whose lab it repeats, where it was made by taking back or doing again; null for one with a lab of its own.</summary>
    public long? CopyOf { get; set; }

    /// <summary>The revision of the draft that took over what a tick taught; null for one that taught nothing.</summary>
    public long? Learnt { get; set; }

    /// <summary>When it was made, in UTC.</summary>
    public DateTime At { get; set; }

    /// <summary>The change in words.</summary>
    public string Sentence { get; set; } = "";

    /// <summary>The version of the JSON inside.</summary>
    public int SchemaVersion { get; set; }

    /// <summary>The lab as compressed JSON.</summary>
    public byte[] Content { get; set; } = [];
}
