using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
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

    internal override Duration Takes(Plan plan) => new(Minutes);

    internal override ActText Text(Plan plan) =>
        new(
            "Start it and install onto the system disk",
            [
                new("computer name", Names.Slug(Name), Literal: true),
                new("install onto", $"the {Disk} disk"),
                new("administrator", "a password of your own, 12 characters or more, kept in your password store"),
            ],
            "The installer says that it has finished.",
            "Changes gone after a restart? You worked in the live session: run the installer itself.",
            "Install again; nothing else depends on it yet."
        );
}
