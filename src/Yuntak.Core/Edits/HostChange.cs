namespace Yuntak.Core.Edits;

/// <summary>One difference between two descriptions of a host.</summary>
/// <param name="Kind">Came, went or changed.</param>
/// <param name="Text">The difference in words.</param>
public sealed record HostChange(HostChangeKind Kind, string Text);
