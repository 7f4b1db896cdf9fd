using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Gives a host an address that stays the same.</summary>
/// <param name="Host">The host.</param>
/// <param name="Mac">The hardware address of the port it is looked after through; null when it was not read.</param>
internal sealed record FixAddress(HostId Host, string? Mac) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "fix-address";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("hardwareAddress", Mac)];

    internal override Duration Takes(Plan plan) => new(10);

    /// <summary>The port a host is looked after through.</summary>
    public static NetworkPort? PortOf(Host host) =>
        host.Hardware.Ports.FirstOrDefault(p => p.Management) ?? (host.Hardware.Ports.Count > 0 ? host.Hardware.Ports[0] : null);

    internal override ActText Text(Plan plan)
    {
        var host = plan.Host(Host)!;
        return new(
            "Give it a fixed address",
            [
                new("name", Names.Slug(host.Name), Literal: true),
                .. Mac is not null
                    ? [new StepValue("hardware address", $"{Mac} ({PortOf(host)?.Name})", Literal: true)]
                    : Array.Empty<StepValue>(),
                new("address", "reserved by hardware address, outside the range handed out"),
            ],
            "It has the same address after a restart.",
            "Two reservations for one address? Look at the list where addresses are handed out.",
            "Back to a changing address."
        );
    }
}
