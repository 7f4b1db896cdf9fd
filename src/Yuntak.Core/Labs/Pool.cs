using Yuntak.Core.Base;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>Disks joined into one place to keep data. A pool is known by its name within its host, since the same name on two hosts is useful.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Layout">How the disks share the data.</param>
/// <param name="Family">Block array or copy-on-write.</param>
/// <param name="DiskIds">The stable ids of its disks.</param>
/// <param name="AlreadyUsed">What lies in it besides the guests' volumes.</param>
/// <param name="Groups">How many groups of this layout stand side by side; 1 for most pools.</param>
/// <param name="Takes">What it is meant for; empty while nobody has said.</param>
/// <param name="Encrypted">Whether it is encrypted; null while nobody has said.</param>
/// <param name="KeyPlaces">Where its key is kept besides the host.</param>
/// <param name="ScrubDays">Days between scrubs or parity checks; 0 for none planned, null while nobody has said.</param>
/// <param name="Thin">Whether volumes take room only as they fill.</param>
/// <param name="Compression">How many bytes of data a stored byte holds, entered or measured; 1 for none. Budgets count without it, since nobody knows what comes next.</param>
/// <param name="AgeYears">The age of its disks in years, as somebody said; null when their hours say it.</param>
/// <param name="SpareReady">Whether a spare disk lies ready.</param>
/// <param name="KeptAsFound">Whether it is a disk whose format was found on it and is kept: nothing is made on it.</param>
/// <param name="MountedAt">Where it is mounted, when that is known.</param>
/// <param name="Size">Its room as its own tools say, for one that does not fill its disks; null to work it out.</param>
/// <param name="Tier">What it does in front of an array; null for a pool of its own.</param>
/// <param name="Serves">The pool it stands in front of.</param>
/// <param name="WrittenBetweenMoves">For a landing tier: what is written to it between two moves to the array.</param>
/// <param name="Stands">In a file: whether it is there already and holds data.</param>
public sealed record Pool(
    string Name,
    PoolLayout Layout,
    PoolFamily Family,
    ValueList<string> DiskIds,
    ByteSize AlreadyUsed = default,
    int Groups = 1,
    ValueList<ContentKind> Takes = default,
    bool? Encrypted = null,
    ValueList<string> KeyPlaces = default,
    int? ScrubDays = null,
    bool Thin = false,
    double Compression = 1,
    double? AgeYears = null,
    bool SpareReady = false,
    bool KeptAsFound = false,
    string? MountedAt = null,
    ByteSize? Size = null,
    TierKind? Tier = null,
    string? Serves = null,
    ByteSize? WrittenBetweenMoves = null,
    bool Stands = false
);
