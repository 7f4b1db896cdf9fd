using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Takes a volume of a guest that is off to a third place, to make room for another; it goes on from there when its own turn comes.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">The host it stands on.</param>
/// <param name="Bulk">Whether it is its bulk data; else its system disk.</param>
/// <param name="From">The pool it lies in.</param>
/// <param name="ToHost">The host of the third place.</param>
/// <param name="ToPool">Its pool.</param>
/// <param name="Size">What moves.</param>
internal sealed record ParkVolume(GuestId Guest, HostId? Host, bool Bulk, string From, HostId ToHost, string ToPool, ByteSize Size)
    : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "park-volume";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [
            .. base.Values,
            Value("volume", Bulk ? "bulk" : "system"),
            Value("from", From),
            Value("toHost", ToHost.Value),
            Value("toPool", ToPool),
            Value("bytes", Size.Bytes),
        ];

    /// <inheritdoc/>
    public override IReadOnlyList<GuestId> Stops => [Guest];

    internal override bool NeedsOff => true;

    internal override (double Least, double Most) Spread => OfAmounts;

    internal override Duration Takes(Plan plan) =>
        new Duration(5) + plan.CopyTime(Size, (Host, From), (ToHost, ToPool)) + plan.CopyTime(Size, (Host, From), (ToHost, ToPool));

    internal override void Apply(DiskState disks) => disks.Moved(Guest, Bulk, ToHost, ToPool);

    internal override ActText Text(Plan plan) =>
        new(
            $"Take the {CopyVolume.Words(Bulk)} of {plan.NameOf(Guest)} to {ToPool} on {plan.NameOf(ToHost)} for a while",
            [
                new("from", $"{From} on {plan.NameOf(Host)}"),
                new("to", $"{ToPool} on {plan.NameOf(ToHost)}"),
                new("size", Size.ToString()),
                new("then", $"compare the checksums of both, and only when they are the same delete the one in {From}"),
            ],
            $"{ToPool} holds it, the checksums were the same, and {From} has room.",
            "They differ? Copy once more; delete nothing.",
            $"Copy it back into {From} and start the guest.",
            $"{plan.NameOf(Guest)} stays off until its own turn comes. Its backup of the step before is the second copy meanwhile."
        );

    internal override void Affect(SimHouse house, Plan plan) => house.Park(Guest, Bulk, ToHost, ToPool);
}
