using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Keeping;

/// <summary>A part of what runs in a night: so many bytes over these lines, one after another with the other parts.</summary>
/// <param name="Bytes">How many.</param>
/// <param name="Over">The lines, each with how often every byte goes over it: twice where it is read from and written to the same disks.</param>
/// <param name="Most">The most it takes, in bytes a second; infinite for all there is.</param>
/// <param name="Guest">The guest it is of, if it is of one.</param>
public sealed record NightPiece(double Bytes, ValueList<NightUse> Over, double Most = double.PositiveInfinity, GuestId? Guest = null)
{
    /// <summary>What it gets when nothing else runs, in bytes a second.</summary>
    public double Alone => Over.Aggregate(Most, (least, use) => Math.Min(least, use.Line.Rate / use.Times));
}
