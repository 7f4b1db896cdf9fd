using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Puts other processors into a host that stands.</summary>
/// <param name="Host">The host.</param>
/// <param name="Processor">What it is to have.</param>
/// <param name="Guests">The guests on it, which do not serve meanwhile.</param>
internal sealed record FitProcessor(HostId Host, Processor Processor, ValueList<GuestId> Guests) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "fit-processor";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [
            .. base.Values,
            Value("architecture", Processor.Architecture),
            Value("sockets", Processor.Sockets),
            Value("cores", Processor.Cores),
            Value("threads", Processor.Threads),
        ];

    /// <inheritdoc/>
    public override IReadOnlyList<GuestId> Stops => Guests;

    internal override Duration Takes(Plan plan) => new(60);

    internal override ActText Text(Plan plan) =>
        new(
            $"Bring it to {Numbers.Count(Processor.Cores, "core")} and {Numbers.Count(Processor.Threads, "thread")}",
            [
                new("processor", Processor.Model ?? Processor.Architecture),
                new("sockets", $"{Processor.Sockets}"),
                new("firmware", "one that knows this processor, before it is changed"),
            ],
            $"lscpu shows {Numbers.Count(Processor.Threads, "thread")}, and it stays cool under load.",
            "Does not start? Its firmware may be too old for it: put the old one back and update. It has them already? Then only the note here was old: tick it.",
            "Put the old processor back.",
            "Shut the host down, unplug the mains, touch its metal, and let it cool. Fresh paste under the cooler; never run it without one."
        );

    internal override void Affect(SimHouse house, SimHost host, Plan plan)
    {
        house.PowerOff(Host);
        host.Processor = Processor;
        house.PowerOn(Host);
    }
}
