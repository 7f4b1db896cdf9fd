namespace Yuntak.Data;

/// <summary>One line of the history.</summary>
/// <param name="Revision">Its key.</param>
/// <param name="Number">Its number; 0 for one set aside.</param>
/// <param name="At">When, in UTC.</param>
/// <param name="Sentence">The change in words.</param>
public sealed record RevisionLine(long Revision, int Number, DateTime At, string Sentence);
