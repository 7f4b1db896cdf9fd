namespace Yuntak.Data;

/// <summary>A text somebody gave to be read.</summary>
public sealed class ReadingRow
{
    /// <summary>Key.</summary>
    public long Id { get; set; }

    /// <summary>When it was given, in UTC.</summary>
    public DateTime At { get; set; }

    /// <summary>The text, compressed.</summary>
    public byte[] Content { get; set; } = [];
}
