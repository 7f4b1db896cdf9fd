using Yuntak.Core.Base;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>One thing a job copies: a guest, a shared folder, or the settings of a host. Exactly one of the three is named.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">The host whose settings it is.</param>
/// <param name="Folder">The shared folder.</param>
/// <param name="Kind">What sort of copy it is.</param>
/// <param name="Without">Volumes that are not ticked.</param>
/// <param name="Why">Why they are not.</param>
/// <param name="Path">For the service's own archive or an agent: the folder that is copied.</param>
/// <param name="Size">How much it is, where that is not the size of its volumes.</param>
/// <param name="Changes">How much of it changes in a day, as measured; null while nobody measured.</param>
public sealed record JobPart(
    GuestId? Guest = null,
    HostId? Host = null,
    string? Folder = null,
    PartKind Kind = PartKind.Whole,
    ValueList<VolumePart> Without = default,
    string Why = "",
    string? Path = null,
    ByteSize? Size = null,
    ByteSize? Changes = null
)
{
    /// <summary>What it is known by among the parts of its job.</summary>
    public string Key =>
        Guest is { } guest ? $"guest {guest.Value}{(Kind == PartKind.Whole ? "" : $" {Kind} {Path}")}"
        : Host is { } host ? $"host {host.Value}"
        : $"folder {Folder}";
}
