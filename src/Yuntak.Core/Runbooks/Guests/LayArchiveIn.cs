using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Lays the archive of a service into its new place while that is stopped.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Size">What it keeps, at most.</param>
internal sealed record LayArchiveIn(GuestId Guest, HostId? Host, ByteSize Size) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "lay-archive-in";

    /// <inheritdoc/>
    public override IReadOnlyList<GuestId> Stops => [Guest];

    internal override (double Least, double Most) Spread => OfAmounts;

    internal override Duration Takes(Plan plan) =>
        new Duration(15) + plan.CopyTime(Size, plan.CopiedTo(Guest), (Host, plan.Guest(Guest)?.Placement?.SystemPool));

    internal override ActText Text(Plan plan) =>
        new(
            "Lay the archive in, with the new service stopped",
            [
                new("version", "the same as the old one had; update after it has run"),
                .. ServiceData.Of(plan, Guest),
                new("paths", "where the old place saw a folder under another path, say so in its settings before it starts"),
                new("owners", "the user the new service runs as: chown what was laid in"),
            ],
            "The folder is as large as the archive, and belongs to the user the service runs as.",
            "Does it start with an empty library? It looks in another folder: stop it, and look at the paths.",
            "Empty the new place and start the old service."
        );

    internal override void Affect(SimHouse house, Plan plan)
    {
        if (house.OffGuest(Guest) is { Backup: null } guest)
        {
            throw new HostRefuses($"There is no archive of {guest.Figures.Name}.");
        }
    }
}
