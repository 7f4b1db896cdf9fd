using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Says where a host's alerts go.</summary>
/// <param name="Host">The host.</param>
internal sealed record SendAlerts(HostId Host) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "send-alerts";

    internal override Duration Takes(Plan plan) => new(10);

    internal override ActText Text(Plan plan) =>
        new(
            "Say where alerts go",
            [
                StepValue.Ask("to", "an address you read every day, not one that this host serves"),
                new("subject", $"test from {Names.Slug(plan.NameOf(Host))}"),
            ],
            "A test message arrives.",
            "Nothing comes? Look in the spam folder, then in the queue of outgoing mail.",
            "Take the address out again."
        );

    internal override void Affect(SimHouse house, SimHost host, Plan plan) { }
}
