using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants.Rules;

/// <summary>Streams of a host fit through its wire with room left. Where goodput was measured it counts, else the speed of the fastest link.</summary>
internal sealed class StreamsOverLink : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.streams-over-link",
            Severity.Mind,
            Station.Wants,
            Says: "The streams of a host's guests take no more than 70 % of what its link carries.",
            Because: "Past it films stall when somebody copies a file.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        let link = host.Host.Hardware.FastestLink
        where link is not null
        let streams = host.Guests.Sum(g => g.Bandwidth.Value.BitsPerSecond)
        where streams > Video.LinkShare * link.Value.BitsPerSecond
        select Info.On(
            Subject.Of(host.Host),
            $"{host.Host.Name}'s wire is too thin for its streams",
            $"At the busiest moment they come to {new DataRate(streams)} of the {link} it carries: "
                + string.Join(
                    ", ",
                    host.Guests.Where(g => g.Bandwidth.Value.BitsPerSecond > 0).Select(g => $"{g.Guest.Name} {g.Bandwidth.Value}")
                )
                + "."
        );
}
