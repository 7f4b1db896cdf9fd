namespace Yuntak.Core.Arranging;

/// <summary>One line of a host that what is put there is held against.</summary>
/// <param name="Line">What it measures.</param>
/// <param name="At">The hour, or which pool of the host; 0 for the others.</param>
/// <param name="Hard">The most guests may take together; null where nothing stops past it.</param>
/// <param name="Comfort">The most they may take in comfort.</param>
internal sealed record Limit(RoomLine Line, int At, long? Hard, long Comfort)
{
    /// <summary>Lines with the same comfort group are past comfort together: the hours of a day are one.</summary>
    public int ComfortGroup => Line == RoomLine.Cores ? 0 : At;
}
