using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Stops a service that moves to another guest or packaging, and archives all it keeps.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">The host it stands on.</param>
/// <param name="Size">What it keeps, at most.</param>
internal sealed record ArchiveService(GuestId Guest, HostId? Host, ByteSize Size) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "archive-service";

    /// <inheritdoc/>
    public override IReadOnlyList<GuestId> Stops => [Guest];

    internal override bool Copies => true;

    internal override (double Least, double Most) Spread => OfAmounts;

    internal override Duration Takes(Plan plan) =>
        new Duration(20) + plan.CopyTime(Size, (Host, plan.Stands(Guest)?.Placement?.SystemPool), plan.CopiedTo(Guest));

    internal override ActText Text(Plan plan) =>
        new(
            $"Stop the service of {plan.NameOf(Guest)} and archive all it keeps",
            [
                StepValue.Ask("version", "the one that runs now: bring it up to the one the new place gets, before anything else"),
                new("switch off first", "whatever empties trash, cleans up or fetches anew by itself"),
                new("licences", "sign them out here; they can be on one place only"),
                new("stop", "the service: while the old one writes, the archive is worth nothing"),
                new("archive", "its whole folder, with owners and times: tar --numeric-owner -cpf", Literal: false),
                new("second place", "copy the archive to another host as well"),
            ],
            "The archive lists without an error, is about as large as the folder, and lies in two places.",
            "Smaller than the folder? Something was open or on another volume: see that it is stopped, and archive again.",
            "Start the old service; it was not touched."
        );

    internal override void Affect(SimHouse house, Plan plan) => house.Guest(Guest).Backup = house.Guest(Guest).Size;

    internal override IEnumerable<Proof> Proofs(Plan plan) => [.. base.Proofs(plan), Whole()];
}
