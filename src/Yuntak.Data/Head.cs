using Yuntak.Core.Labs;

namespace Yuntak.Data;

/// <summary>The revision a pointer stands at.</summary>
/// <param name="Revision">Its key, named by every change that is based on it.</param>
/// <param name="Number">Its number, for people.</param>
/// <param name="Lab">The lab.</param>
/// <param name="Sentence">The change that made it.</param>
/// <param name="Parent">The revision before it; null for the first.</param>
/// <param name="CanUndo">Whether there is something to undo.</param>
/// <param name="CanRedo">Whether there is something to redo.</param>
public sealed record Head(long Revision, int Number, Lab Lab, string Sentence, long? Parent, bool CanUndo, bool CanRedo);
