namespace Yuntak.Core.Labs;

/// <summary>A restore that is tried, or is to be.</summary>
/// <param name="Kind">What it brings back.</param>
/// <param name="On">The day it is planned for or was done on.</param>
/// <param name="Guest">The guest, of a drill of a guest or a file.</param>
/// <param name="Host">The host, of a drill of a host.</param>
/// <param name="Worked">How it went; null while it is only planned.</param>
/// <param name="Minutes">How long it took, in minutes.</param>
/// <param name="Note">What was seen.</param>
public sealed record Drill(
    DrillKind Kind,
    DateOnly On,
    GuestId? Guest = null,
    HostId? Host = null,
    bool? Worked = null,
    int? Minutes = null,
    string Note = ""
)
{
    /// <summary>What it is known by among the others.</summary>
    public string Key => $"{CopyWords.Drills.Word(Kind)} {Guest?.Value ?? Host?.Value ?? ""} {On:yyyy-MM-dd}";
}
