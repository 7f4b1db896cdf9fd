using Yuntak.Core.Base;

namespace Yuntak.Core.Keeping;

/// <summary>Something that is to run in a night.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Name">The name of the job, the onward copy, the store or the pool it is of.</param>
/// <param name="Start">When it may begin, in seconds.</param>
/// <param name="Pieces">What it moves, one after another.</param>
/// <param name="After">The place in the list of what it waits for; null for nothing.</param>
public sealed record NightWork(NightKind Kind, string Name, double Start, ValueList<NightPiece> Pieces, int? After = null);
