using System.Runtime.CompilerServices;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>Something that is lost when nobody copies it: a volume of a guest, or a folder several share. Each is one thing, told apart by which it is and not by all that is in its guest.</summary>
/// <param name="Key">What it is known by: «pressbook/bulk», «folder films».</param>
/// <param name="Guest">The guest it is of, or that the copies of a folder belong to; null for a folder of nobody.</param>
/// <param name="Part">Which volume of the guest; null for a folder.</param>
/// <param name="Folder">The folder; null for a volume.</param>
/// <param name="At">Host and pool it lies in.</param>
/// <param name="Size">How large it is.</param>
public sealed record KeepVolume(
    string Key,
    Guest? Guest,
    VolumePart? Part,
    SharedFolder? Folder,
    (HostId? Host, string? Pool) At,
    ByteSize Size
)
{
    /// <summary>In words: «bulk data of pressbook».</summary>
    public string Words =>
        Folder is { } folder ? $"the folder {folder.Name}" : $"{CopyWords.Volumes.Display(Part!.Value)} of {Guest!.Name}";

    /// <inheritdoc/>
    public bool Equals(KeepVolume? other) => ReferenceEquals(this, other);

    /// <inheritdoc/>
    public override int GetHashCode() => RuntimeHelpers.GetHashCode(this);
}
