using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Sets where a host gets its updates from, and updates it.</summary>
/// <param name="Host">The host.</param>
internal sealed record UpdateHost(HostId Host) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "update-host";

    internal override (double Least, double Most) Spread => OfInstalling;

    internal override Duration Takes(Plan plan) => new(10 + (10 / plan.Host(Host)!.Speed));

    internal override ActText Text(Plan plan) =>
        new(
            "Set the source of updates, update, restart",
            [
                new("source", "the one that is free to you and gets security updates"),
                new("not", "test or unstable sources on a host that others rely on"),
            ],
            "A second run of the update finds nothing, and the host is back after the restart.",
            "A source that wants a subscription refuses: switch it off and use the open one.",
            "Start the kernel before from the boot menu."
        );

    internal override bool FromMirror => true;

    internal override void Affect(SimHouse house, SimHost host, Plan plan) { }
}
