using System.Text.Json.Nodes;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Makes a place where copies lie, or changes how it is kept.</summary>
/// <param name="Store">The store as it is to be.</param>
/// <param name="Place">The host it is done at; null for none of the lab.</param>
/// <param name="Changes">Whether it stands already.</param>
internal sealed record SetUpStore(Store Store, HostId? Place, bool Changes) : KeepingAct(Place)
{
    /// <inheritdoc/>
    public override string Type => "set-up-store";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [Value("store", Store.Name), .. Fields(StoreShapes.Store.Write(KeptThings.Essence(Store)))];

    internal override Duration Takes(Plan plan) =>
        new(
            Changes ? 10
            : Store.Carried ? 25
            : 30
        );

    private protected override Store? KeptIn(Plan plan) => Store;

    internal override ActText Text(Plan plan) =>
        Store.Carried
            ? new(
                $"{(Changes ? "Change" : "Prepare")} the disk {Store.Name}, which is carried",
                [
                    new("disk", Store.Room is { } room ? $"{room.ToDecimalString()}, by its stable id" : "by its stable id"),
                    new("plug it in", $"into {plan.NameOf(Place)}, for each backup only"),
                    new(
                        "encryption",
                        Store.Encrypted
                            ? "on, over the whole disk; its key is laid away in the next step"
                            : "none: whoever finds the disk reads it"
                    ),
                    new("its own folder", "used for nothing else"),
                    new("unplug it", "after each backup: what stays plugged in is lost with the rest"),
                    new("carry it", Store.Place is { } kept ? $"to {kept}" : "out of the house"),
                    .. Kept(),
                ],
                "Unplugged and plugged in again it opens, with its key where it has one, and the folder is there.",
                "Not recognised? Try another port, and look at its stable id before you do anything to it.",
                Changes ? "Set it as it was." : "Unplug it; nothing is on it yet.",
                "If there is anything on the disk, look at it first: encrypting wipes it. Take it by its stable id, never by a letter that may have moved."
            )
            : new(
                $"{(Changes ? "Change" : "Set up")} the store {Store.Name}",
                [
                    new("lies", House(plan).Store(Store.Name)?.Where ?? "as planned"),
                    new("its own folder or area", "used for nothing else"),
                    new("account for copying in", "one that may add, and neither delete nor thin"),
                    new("encryption", Store.Encrypted ? "on; the key is laid away in the next step, before anything is copied" : "none"),
                    .. Kept(),
                ],
                "With the account for copying in a file can be written into it and not deleted again.",
                "The account may delete? Take that right away before the first copy.",
                Changes ? "Set it as it was." : "Delete the empty store.",
                Store.Unchangeable
                    ? "Copies in it cannot be deleted before their time, by nobody: begin with a short time, and make it longer once it works."
                    : null
            );

    private IEnumerable<StepValue> Kept() =>
        [
            new("prune", Store.ThinsAt is { } thins ? CopyTimes.Parse(thins).Words() : "after each job"),
            new("garbage collection", Store.TidiesAt is { } tidies ? CopyTimes.Parse(tidies).Words() : "at once"),
            new(
                "verification",
                Store.ChecksAt is { } checks
                        ? $"{CopyTimes.Parse(checks).Words()}{(Store.ChecksDays is { } days ? $", all again after {days} days" : "")}"
                    : Store.ChecksNew ? "new ones at once"
                    : "not planned"
            ),
        ];

    internal override void Do(SimHouse house, Plan plan) =>
        house.Kept = house.Kept.SetItem(KeptThings.Of(Store).Key, KeptThings.Of(Store).Value);

    internal override IEnumerable<Proof> Proofs(Plan plan) =>
        [new Proof("", h => h.Kept.GetValueOrDefault(KeptThings.Of(Store).Key) == KeptThings.Of(Store).Value)];
}
