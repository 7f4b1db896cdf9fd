namespace Yuntak.Core.Keeping;

/// <summary>A disk, wire or line that copies go over, each by what it carries.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Name">What people call it: «clay on kiln».</param>
/// <param name="Rate">What it carries, in bytes a second.</param>
public sealed record NightLine(NightLineKind Kind, string Name, double Rate);
