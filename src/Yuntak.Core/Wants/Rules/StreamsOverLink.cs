using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants.Rules;

/// <summary>Streams of a host fit through its wire with room left. Hour by hour; where goodput was measured it counts, else 94.9 % of the fastest link that is up.</summary>
internal sealed class StreamsOverLink : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(new Share(Video.LinkShare), "of what the link carries, in the busiest hour");

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.streams-over-link",
            Severity.Mind,
            Station.Wants,
            Says: "The streams of a host's guests take no more than 70 % of what its link carries.",
            Because: "Past it films stall when somebody copies a file.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        let link = host.Host.Hardware.Goodput
        where link is { BitsPerSecond: > 0 }
        let busiest = Enumerable.Range(0, DayShape.Hours).MaxBy(hour => host.Guests.Sum(g => g.BitsPerSecondAt(hour)))
        let streams = host.Guests.Sum(g => g.BitsPerSecondAt(busiest))
        where Limit.Notices(streams / link.Value.BitsPerSecond)
        select Info.On(
            Subject.Of(host.Host),
            $"{host.Host.Name}'s wire is too thin for its streams",
            $"At {Numbers.Hour(busiest)} they come to {new DataRate(streams)} of the {link} it carries"
                + (host.Host.Hardware.LinkSpeeds.Count > 0 ? ": " : ", 94.9 % of its line rate until somebody measures it: ")
                + string.Join(
                    ", ",
                    host.Guests.Where(g => g.BitsPerSecondAt(busiest) > 0)
                        .Select(g => $"{g.Guest.Name} {new DataRate(g.BitsPerSecondAt(busiest))}")
                )
                + "."
        );
}
