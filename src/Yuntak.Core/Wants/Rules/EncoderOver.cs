using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants.Rules;

/// <summary>A video encoder does so many pixels a second and no more.</summary>
internal sealed class EncoderOver : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(Share.All, "of what the encoders do");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.encoder-over",
            Severity.Mind,
            Station.Wants,
            Says: "What guests leave to a video encoder is no more than it does.",
            Because: "Past its capacity every film on it stutters, not only the last one.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from use in EncoderUse.Of(host)
        where use.Capacity is { } does && Limit.Notices(does > 0 ? use.Asked.Value / does : double.PositiveInfinity)
        select Info.On(
            Subject.Of(use.Guests[0].Guest),
            $"{string.Join(", ", use.Guests.Select(g => g.Guest.Name))}: more than the encoder in {host.Host.Name} does",
            $"{Numbers.Short(use.Asked.Value)} of its {Numbers.Short(use.Capacity!.Value)} Mpx/s are asked for. Convert fewer films at once, or let the processor do some.",
            figure: use.Asked
        );
}
