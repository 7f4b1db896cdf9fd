namespace Yuntak.Core.Labs;

/// <summary>Where a guest is put.</summary>
/// <param name="Host">On which host.</param>
/// <param name="SystemPool">The pool for its system disk; null when the host has none.</param>
/// <param name="BulkPool">The pool for its bulk data; null when it has none, or the host has no pool.</param>
public sealed record Placement(HostId Host, string? SystemPool = null, string? BulkPool = null);
