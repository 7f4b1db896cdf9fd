using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Brings a backup back under another name, to see that it can be.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
internal sealed record TryRestore(GuestId Guest, HostId? Host) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "try-restore";

    internal override Duration Takes(Plan plan) => new(10);

    internal override ActText Text(Plan plan) =>
        new(
            "Bring the backup back under another name",
            [
                new("name", Names.Slug(plan.NameOf(Guest)) + "-try", Literal: true),
                new("network", "disconnected, so that two of it never meet"),
            ],
            "It starts, and what you put in is there.",
            "Does not start? Then there is no backup yet: mend that first.",
            "Delete the copy."
        );
}
