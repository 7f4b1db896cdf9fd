using Yuntak.Core.Edits;

namespace Yuntak.Core.Findings;

/// <summary>A change that settles a finding.</summary>
/// <param name="Label">What the button says: «Move tinker to wren».</param>
/// <param name="Edit">The change.</param>
public sealed record Fix(string Label, Edit Edit);
