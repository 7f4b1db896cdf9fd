using System.Text.Json.Nodes;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Compares a copied volume with the one it was copied from.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Bulk">Whether it is its bulk data; else its system disk.</param>
/// <param name="From">The pool of the old one.</param>
/// <param name="To">The pool of the copy.</param>
/// <param name="Size">Its size.</param>
/// <param name="BytesPerSecond">The slower of what the two pools read in a row.</param>
internal sealed record CompareVolume(GuestId Guest, HostId? Host, bool Bulk, string From, string To, ByteSize Size, double BytesPerSecond)
    : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "compare-volume";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [.. base.Values, Value("volume", Bulk ? "bulk" : "system"), Value("from", From), Value("to", To)];

    /// <inheritdoc/>
    public override IReadOnlyList<GuestId> Stops => [Guest];

    internal override (double Least, double Most) Spread => OfAmounts;

    internal override Duration Takes(Plan plan) => new Duration(2) + Duration.Of(Size, BytesPerSecond);

    internal override ActText Text(Plan plan) =>
        new(
            $"Compare the copy of its {CopyVolume.Words(Bulk)} with the old one",
            [new("compare", "checksums of both, the guest still off"), new("old one", From, Literal: true), new("copy", To, Literal: true)],
            "The checksums are the same.",
            "They differ? Copy once more; do not start the guest on the copy.",
            "None needed: nothing was changed.",
            null
        );

    internal override void Apply(DiskState disks) => disks.Moved(Guest, Bulk, Host!.Value, To);

    internal override void Affect(SimHouse house, Plan plan) => house.UseCopy(Guest, Bulk, To);
}
