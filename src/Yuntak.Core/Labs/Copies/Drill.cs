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

    /// <summary>What it brings back, in words: «one file of hearth».</summary>
    /// <param name="lab">The lab it is of.</param>
    public string Of(Lab lab) =>
        Guest is { } guest ? $"{(Kind == DrillKind.File ? "one file of " : "")}{lab.Guest(guest)?.Name ?? guest.Value}"
        : Host is { } host ? $"settings of {lab.Host(host)?.Name ?? host.Value}"
        : CopyWords.Drills.Display(Kind);
}
