using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wires.Rules;

/// <summary>Shares and streams fit through a link.</summary>
internal sealed class LinkFull : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.link-full",
            Severity.Mind,
            Station.Wires,
            Says: "Shares and streams take no more than 70 % of what a link carries.",
            Because: "Past it films stall when somebody copies a file.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from link in lab.Wires.Links
        where
            link is { Share: null, OfShares.BitsPerSecond: > 0, Goodput.BitsPerSecond: > 0 }
            && Limit.Notices(link.Peak.BitsPerSecond / link.Goodput.Value.BitsPerSecond)
        select Info.On(
            Subject.Of(link.From),
            $"The wire of {link.From.Name} is too thin for its shares",
            $"At {Numbers.Hour(link.Hour)} {link.Peak} leave it, {link.OfShares} of them shares, of the {link.Goodput} it carries. Let who reads live on {link.From.Name}, or give it a faster port."
        );

    private static readonly RuleLimit Limit = RuleLimit.Share(new Share(0.7), "of what a link carries, in the busiest hour");
}
