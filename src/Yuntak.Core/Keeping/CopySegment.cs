using Yuntak.Core.Base;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>A volume, folder or archive as a job copies it.</summary>
/// <param name="Volume">The volume; null for settings of a host, and for archives and agents, which are files of a guest.</param>
/// <param name="Part">The part of the job it belongs to.</param>
/// <param name="Name">What it is, in words.</param>
/// <param name="Size">All of it.</param>
/// <param name="ADay">What changes of it in a day.</param>
/// <param name="Measured">Whether that was measured, not assumed.</param>
/// <param name="Whole">Whether all of it is copied each time: into a store that keeps nothing once.</param>
/// <param name="Over">The lines it goes over.</param>
/// <param name="Covers">For an archive or an agent, which are files: the volumes whose content comes back from them.</param>
public sealed record CopySegment(
    KeepVolume? Volume,
    Labs.JobPart Part,
    string Name,
    ByteSize Size,
    ByteSize ADay,
    bool Measured,
    bool Whole,
    ValueList<NightUse> Over,
    ValueList<KeepVolume> Covers = default
)
{
    /// <summary>What it is known by among the parts of its job: a volume of a guest by the guest and the volume, all else as its part is.</summary>
    internal string Key => Volume?.Part is { } volume ? KeyOf(Part, volume) : Part.Key;

    /// <summary>What a volume of a guest is known by among the parts of a job.</summary>
    internal static string KeyOf(Labs.JobPart part, Labs.VolumePart volume) => $"{part.Key} {Labs.CopyWords.Volumes.Word(volume)}";

    /// <summary>What is copied after so many days: never more than all of it.</summary>
    public ByteSize After(double days) => Whole ? Size : Changed(days);

    /// <summary>What of it is new after so many days.</summary>
    public ByteSize Changed(double days) => ByteSize.Min(Size, ADay * days);

    /// <summary>Whether every copy of a part is one of all of it where nothing is kept once. Agents and folders bring what changed everywhere.</summary>
    internal static bool IsWhole(Labs.JobPart part) => part is { Kind: Labs.PartKind.Whole or Labs.PartKind.Archive, Folder: null };
}
