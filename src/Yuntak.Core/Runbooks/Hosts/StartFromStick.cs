using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Starts a store from its stick for the first time and binds its licence or key.</summary>
/// <param name="Host">The host.</param>
internal sealed record StartFromStick(HostId Host) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "start-from-stick";

    internal override Duration Takes(Plan plan) => new(15);

    internal override ActText Text(Plan plan)
    {
        return new(
            "Start from the stick and bind it",
            [
                new("boot from", "the stick; the disks hold no system"),
                new("licence or key", "bind it to this stick, and keep it beside the copy of the stick"),
                new("administrator", "your own pass phrase, set at the first visit; the page is open to everybody until then"),
                new("array", "to start by itself with the host, before any guest"),
            ],
            "After a restart it comes up by itself, and its page asks for your pass phrase.",
            "Licence refused? It belongs to another stick: its maker moves it.",
            "Switch it off and pull the stick; the disks are as they were.",
            "It offers to clear disks it does not know. Do not, while anything is on them."
        );
    }

    internal override bool OpensPage => true;

    internal override void Affect(SimHouse house, SimHost host, Plan plan) { }

    internal override IEnumerable<Proof> Proofs(Plan plan) => [.. base.Proofs(plan), new Proof("", h => !h.Host(Host).SetUpClosed)];
}
