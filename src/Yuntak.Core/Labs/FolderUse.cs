namespace Yuntak.Core.Labs;

/// <summary>A guest's use of a shared folder.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Path">Where the guest sees it.</param>
/// <param name="Writes">Whether it may write there.</param>
/// <param name="InPlaceOfBulk">Whether the folder holds the guest's bulk data, so that the guest claims none beside it.</param>
public sealed record FolderUse(GuestId Guest, string Path, bool Writes = false, bool InPlaceOfBulk = true);
