using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Gives a host an address that stays the same.</summary>
/// <param name="Host">The host.</param>
/// <param name="Address">The address that is planned; null while none is.</param>
/// <param name="Mac">The hardware address of the port it is looked after through; null when it was not read.</param>
internal sealed record FixAddress(HostId Host, string? Mac, string? Address) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "fix-address";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [
            .. base.Values,
            Value("hardwareAddress", Mac),
            .. Address is null ? Array.Empty<KeyValuePair<string, JsonNode?>>() : [Value("address", Address)],
        ];

    internal override Duration Takes(Plan plan) => new(10);

    internal override ActText Text(Plan plan)
    {
        var host = plan.Host(Host)!;
        return new(
            "Give it a fixed address",
            [
                new("name", Names.Slug(host.Name), Literal: true),
                .. Mac is not null
                    ? [new StepValue("hardware address", $"{Mac} ({host.ManagementPort?.Name})", Literal: true)]
                    : Array.Empty<StepValue>(),
                Address is null
                    ? new("address", "reserved by hardware address, outside the range handed out")
                    : new("address, reserved by hardware address or set in the host", Address, Literal: true),
            ],
            "It has the same address after a restart.",
            "Two reservations for one address? Look at the list where addresses are handed out.",
            "Back to a changing address."
        );
    }

    internal override string? AtAddress => Address;

    internal override void Affect(SimHouse house, SimHost host, Plan plan) { }
}
