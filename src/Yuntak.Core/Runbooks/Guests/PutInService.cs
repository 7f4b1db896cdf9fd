using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Puts a new guest in service.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
internal sealed record PutInService(GuestId Guest, HostId? Host) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "put-in-service";

    internal override Duration Takes(Plan plan) => new(5);

    internal override ActText Text(Plan plan) =>
        new(
            "Put it in service",
            [new("tell", "the people it is for, with its address")],
            "Somebody else used it.",
            "Ask what they saw.",
            "Tell them it is away."
        );

    internal override bool Starts => true;

    internal override void Affect(SimHouse house, Plan plan) => house.Start(Guest);

    internal override IEnumerable<Proof> Proofs(Plan plan) => [.. base.Proofs(plan), .. Running(plan)];
}
