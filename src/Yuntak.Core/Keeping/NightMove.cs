using Yuntak.Core.Schedules;

namespace Yuntak.Core.Keeping;

/// <summary>That a job or an onward copy is to begin at another time.</summary>
/// <param name="Kind">Whether it is a job or an onward copy.</param>
/// <param name="Name">Its name.</param>
/// <param name="From">When it began.</param>
/// <param name="To">When it is to begin.</param>
public sealed record NightMove(NightKind Kind, string Name, CopyTimes From, CopyTimes To);
