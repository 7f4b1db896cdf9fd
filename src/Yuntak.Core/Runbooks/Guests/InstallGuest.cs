using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Installs a system onto the empty disk of a machine.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Disk">The size of its system disk.</param>
/// <param name="Minutes">How long it takes.</param>
internal sealed record InstallGuest(GuestId Guest, HostId? Host, string Name, ByteSize Disk, int Minutes) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "install-guest";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [.. base.Values, Value("name", Name), Value("diskBytes", Disk.Bytes)];

    internal override (double Least, double Most) Spread => OfInstalling;

    internal override Duration Takes(Plan plan) => new(Minutes / (plan.Host(Host)?.Speed ?? 1));

    internal override ActText Text(Plan plan) =>
        new(
            "Start it and install onto the system disk",
            [
                new("computer name", Names.Slug(Name), Literal: true),
                new("install onto", $"the {Disk} disk"),
                StepValue.Ask("administrator", "a name of your own; its password, 12 characters or more, goes into your password store"),
            ],
            "The installer says that it has finished.",
            "Changes gone after a restart? You worked in the live session: run the installer itself.",
            "Install again; nothing else depends on it yet."
        );

    internal override bool FromMirror => true;

    internal override void Affect(SimHouse house, Plan plan)
    {
        house.Start(Guest);
        var guest = house.Guest(Guest);
        (guest.Installed, guest.HalfInstalled) = (true, false);
    }
}
