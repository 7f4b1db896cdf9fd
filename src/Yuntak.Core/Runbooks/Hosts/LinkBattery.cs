using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Links a battery backup to a host.</summary>
/// <param name="Host">The host.</param>
/// <param name="Port">The USB port of the link; null when it was not read.</param>
internal sealed record LinkBattery(HostId Host, string? Port) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "link-battery";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("port", Port)];

    internal override Duration Takes(Plan plan) => new(15);

    internal override ActText Text(Plan plan) =>
        new(
            "Link the battery backup",
            [
                new("cable", Port is not null ? $"USB port {Port}" : "from the battery backup to a USB port of this host"),
                new("shut down", "when half of the running time is left"),
            ],
            "The daemon shows charge, load and running time; with the mains plug of the battery backup pulled for ten seconds it says so.",
            "It sees nothing? Another port, then the daemon's driver.",
            "Unplug the cable; the battery then only delays a dirty stop.",
            "Leave the inside of batteries to the maker or a licensed person."
        );

    internal override void Affect(SimHouse house, SimHost host, Plan plan) { }
}
