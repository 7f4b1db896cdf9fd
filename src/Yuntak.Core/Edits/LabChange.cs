namespace Yuntak.Core.Edits;

/// <summary>One difference between two labs, about one thing in them.</summary>
/// <param name="Sentence">The difference in words.</param>
/// <param name="NeedsWork">Whether somebody has to do something for it; false for what is only known, said or asked for.</param>
public sealed record LabChange(string Sentence, bool NeedsWork = true);
