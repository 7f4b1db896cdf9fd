using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Copies a volume of a guest that is shut down into another pool of its host. The old one stays until the copy is proven.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Bulk">Whether it is its bulk data; else its system disk.</param>
/// <param name="From">The pool it lies in.</param>
/// <param name="To">The pool it goes to.</param>
/// <param name="Size">Its size.</param>
/// <param name="BytesPerSecond">The slower of what the two pools read and write in a row.</param>
internal sealed record CopyVolume(GuestId Guest, HostId? Host, bool Bulk, string From, string To, ByteSize Size, double BytesPerSecond)
    : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "copy-volume";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [.. base.Values, Value("volume", Bulk ? "bulk" : "system"), Value("from", From), Value("to", To), Value("bytes", Size.Bytes)];

    /// <inheritdoc/>
    public override IReadOnlyList<GuestId> Stops => [Guest];

    internal override (double Least, double Most) Spread => OfAmounts;

    internal override Duration Takes(Plan plan) => new Duration(5) + Duration.Of(Size, BytesPerSecond);

    internal override ActText Text(Plan plan) =>
        new(
            $"Shut it down and copy its {Words(Bulk)} from {From} to {To}",
            [
                new("from", From, Literal: true),
                new("to", To, Literal: true),
                new("size", Size.ToString()),
                new("state", "off; suspended is not off"),
                new("start with the host", "off until it is started by hand: after a power cut it must not write to the old one"),
            ],
            $"{To} shows the volume, as large as the one in {From}.",
            "No room? Something else lies there: look before you delete anything.",
            $"Delete the copy in {To}; the volume in {From} was not touched."
        );

    /// <summary>A volume in words.</summary>
    public static string Words(bool bulk) => bulk ? "bulk data" : "system disk";

    internal override bool NeedsOff => true;

    internal override bool Writes => true;

    internal override void Affect(SimHouse house, Plan plan)
    {
        house.ShutDown(Guest);
        house.CopyVolume(Guest, Bulk, From, To);
    }

    internal override IEnumerable<Proof> Proofs(Plan plan) =>
        [.. base.Proofs(plan), new Proof("", h => (Bulk ? h.Guest(Guest).BulkCopy : h.Guest(Guest).SystemCopy)?.Pool == To)];
}
