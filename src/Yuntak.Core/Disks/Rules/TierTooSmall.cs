using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Disks.Rules;

/// <summary>A landing tier has room for what is written to it between two moves.</summary>
internal sealed class TierTooSmall : IRule
{
    /// <summary>Room for half as much again as is usually written.</summary>
    private const double Headroom = 1.5;

    private static readonly RuleLimit Limit = RuleLimit.Share(Share.All, "of its room, with half as much again as is usually written");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "disks.tier-too-small",
            Severity.Mind,
            Station.Disks,
            Says: "A landing tier has room for what is written between two moves, and half as much again.",
            Because: "When it is full, new files go to the slow disks or are refused.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from pool in host.Pools
        where pool.Pool is { Tier: TierKind.Landing, WrittenBetweenMoves: not null }
        let needed = pool.Pool.WrittenBetweenMoves!.Value * Headroom
        where Limit.Notices(needed.ShareOf(pool.Room.Usable))
        select Info.On(
            Subject.Of(host.Host, pool.Pool),
            $"{pool.Pool.Name} fills up between two moves",
            $"{pool.Pool.WrittenBetweenMoves!.Value.ToDecimalString()} are written between two moves; with half as much again that is {needed.ToDecimalString()}, and it has {pool.Room.Usable.ToDecimalString()}. Move more often, or take larger flash."
        );
}
