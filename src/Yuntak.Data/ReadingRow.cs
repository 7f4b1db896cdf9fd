namespace Yuntak.Data;

/// <summary>A text somebody gave to be read.</summary>
public sealed class ReadingRow
{
    /// <summary>Key.</summary>
    public long Id { get; set; }

    /// <summary>When it was given, in UTC.</summary>
    public DateTime At { get; set; }

    /// <summary>SHA-256 of the compressed text, in lower-case hex digits, so that a text given twice is kept once; null for those kept before hashes were.</summary>
    public string? Hash { get; set; }

    /// <summary>The text, compressed.</summary>
    public byte[] Content { get; set; } = [];
}
