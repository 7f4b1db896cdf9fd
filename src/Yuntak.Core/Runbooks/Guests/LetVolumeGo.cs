using System.Text.Json.Nodes;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Deletes the old volume of a guest that runs on its copy.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Bulk">Whether it is its bulk data; else its system disk.</param>
/// <param name="From">The pool of the old one.</param>
/// <param name="To">The pool it runs from now.</param>
internal sealed record LetVolumeGo(GuestId Guest, HostId? Host, bool Bulk, string From, string To) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "let-volume-go";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [.. base.Values, Value("volume", Bulk ? "bulk" : "system"), Value("from", From), Value("to", To)];

    internal override bool Serves => true;

    internal override Duration Takes(Plan plan) => new(5);

    internal override ActText Text(Plan plan) =>
        new(
            $"Delete its old {CopyVolume.Words(Bulk)} in {From}",
            [new("delete in", From, Literal: true), new("it runs from", To, Literal: true)],
            $"{From} no longer lists it, and the guest goes on running.",
            "Refused? It still runs from the old one: point it to the copy first.",
            "None once it is deleted; the backup from before is the way back.",
            $"Only the volume in {From}: the one in {To} is in use. When in doubt keep it a week."
        );

    internal override bool GoesBack => false;

    internal override void Affect(SimHouse house, Plan plan) => house.DropCopy(Guest, Bulk, From);
}
