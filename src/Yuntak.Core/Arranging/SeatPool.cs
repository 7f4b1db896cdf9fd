namespace Yuntak.Core.Arranging;

/// <summary>A pool a volume could lie in.</summary>
/// <param name="Pool">Which pool of the host; -1 for none.</param>
/// <param name="Claimed">What it would claim, in bytes.</param>
/// <param name="Promised">What it would be promised, in bytes.</param>
/// <param name="Misplaced">How badly it would lie there; 0 for well.</param>
/// <param name="Now">Whether it lies there now.</param>
internal readonly record struct SeatPool(int Pool, long Claimed, long Promised, int Misplaced, bool Now);
