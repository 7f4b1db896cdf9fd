using Yuntak.Core.Labs;

namespace Yuntak.Core.Edits;

/// <summary>What an edit made of a lab.</summary>
/// <param name="Lab">The changed lab.</param>
/// <param name="Sentence">The change in words: «lantern: memory 4 → 6 GiB».</param>
public sealed record Changed(Lab Lab, string Sentence);
