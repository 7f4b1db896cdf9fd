namespace Yuntak.Core.Edits;

/// <summary>A line of a list of addresses. Lines about one thing may come from several lists, each with another part.</summary>
/// <param name="Name">What it calls the thing; null where it says none.</param>
/// <param name="Mac">Its hardware address; null where it says none.</param>
/// <param name="Address">Its address; null where it says none.</param>
public sealed record FoundAddress(string? Name, string? Mac, string? Address);
