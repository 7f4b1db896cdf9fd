namespace Yuntak.Data;

/// <summary>A photo kept with a step of the runbook.</summary>
public sealed class PhotoRow
{
    /// <summary>Key.</summary>
    public long Id { get; set; }

    /// <summary>The id of the step.</summary>
    public string Step { get; set; } = "";

    /// <summary>What the step was when the photo was kept, in words: it may have left the runbook since.</summary>
    public string What { get; set; } = "";

    /// <summary>When it was kept, in UTC.</summary>
    public DateTime At { get; set; }

    /// <summary>When it was taken away, in UTC; null while it is kept. It can be put back until another one is taken away.</summary>
    public DateTime? Gone { get; set; }

    /// <summary>What kind of image it is, as browsers call it: <c>image/png</c>.</summary>
    public string Type { get; set; } = "";

    /// <summary>The image.</summary>
    public byte[] Content { get; set; } = [];
}
