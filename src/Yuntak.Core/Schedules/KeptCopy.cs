using Yuntak.Core.Base;

namespace Yuntak.Core.Schedules;

/// <summary>A copy that a retention leaves.</summary>
/// <param name="At">When it was taken, by the clock on the wall.</param>
/// <param name="For">The counts it is kept for, the shortest period first; empty when it is kept for good and for no count.</param>
/// <param name="ForGood">Whether no thinning touches it.</param>
public sealed record KeptCopy(DateTime At, ValueList<RetentionPeriod> For, bool ForGood = false);
