using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Brings a storage box up through its own page: its system is its own and is never installed onto.</summary>
/// <param name="Host">The host.</param>
internal sealed record SetUpStoreBox(HostId Host) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "set-up-store-box";

    internal override Duration Takes(Plan plan) => new(25);

    internal override ActText Text(Plan plan)
    {
        return new(
            "Set the box up on its own page",
            [
                new("name", Names.Slug(plan.NameOf(Host)), Literal: true),
                new("system", "the newest its maker gives; let nothing cut the power meanwhile"),
                new("administrator", "your own name and pass phrase, kept in two places"),
                new("default and guest accounts", "off"),
                new("disks with data", "leave them alone: choose «keep what is there» where it asks, and stop where it does not ask"),
            ],
            "Its page asks for your administrator and refuses the default one.",
            "Page not found? Look in the router's list of who has which address.",
            "Its page has a reset that keeps the disks; read what it says before you use it.",
            "A first set-up can offer to format the disks. Do not, while anything is on them."
        );
    }

    internal override bool OpensPage => true;

    internal override void Affect(SimHouse house, SimHost host, Plan plan) { }

    internal override IEnumerable<Proof> Proofs(Plan plan) => [.. base.Proofs(plan), new Proof("", h => !h.Host(Host).SetUpClosed)];
}
