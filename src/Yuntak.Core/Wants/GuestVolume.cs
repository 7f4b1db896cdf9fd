using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants;

/// <summary>One thing that a guest keeps. Pools, steps, files and copies all read it here.</summary>
/// <param name="Part">Which volume of the guest it counts as; null for what belongs to several.</param>
/// <param name="Name">What it is called: «system disk», «bulk data», or the name of the folder or share.</param>
/// <param name="Size">What is set aside for it where it lies; zero for what is counted where it is shared.</param>
/// <param name="Expected">What is expected to be in it.</param>
/// <param name="Place">Where it lies.</param>
/// <param name="Pool">The pool it lies in; null for none of its host.</param>
/// <param name="Outside">The folder on the host that holds it; null where it is a disk.</param>
/// <param name="Inside">Where the guest sees it; null for its system disk, and where the named folders say it.</param>
/// <param name="Writes">Whether the guest may write there.</param>
public sealed record GuestVolume(
    VolumePart? Part,
    string Name,
    ByteSize Size,
    ByteSize Expected,
    VolumePlace Place,
    string? Pool,
    string? Outside = null,
    string? Inside = null,
    bool Writes = true
)
{
    /// <summary>Whether a step makes room for it that nothing else makes: a disk or folder of its own.</summary>
    public bool IsOwn => Place is VolumePlace.OwnDisk or VolumePlace.OwnFolder;
}
