using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Joins disks into a pool. Wipes all of them but the boot disk, of which it uses the free room.</summary>
/// <param name="Host">The host.</param>
/// <param name="Made">The pool.</param>
/// <param name="Boot">The disk among them the host starts from; null for none.</param>
internal sealed record MakePool(HostId Host, Pool Made, string? Boot) : PoolAct(Host, Made.Name)
{
    /// <inheritdoc/>
    public override string Type => "make-pool";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [
            .. base.Values,
            Value("layout", LabWords.Layouts.Word(Made.Layout)),
            Value("family", LabWords.Families.Word(Made.Family)),
            Value("groups", Made.Groups),
            Value("encrypted", Made.Encrypted),
            Value("disks", Made.DiskIds),
            Value("bootDisk", Boot),
        ];

    /// <inheritdoc/>
    public override IReadOnlyList<string> Wipes => [.. Made.DiskIds.Where(d => d != Boot)];

    internal override Duration Takes(Plan plan) => new(10);

    internal override void Apply(DiskState disks) => disks.Made(Host, Pool, Made.DiskIds);

    internal override ActText Text(Plan plan)
    {
        var disks = Made.DiskIds.Select(d => plan.Disk(Host, d)).OfType<Disk>().ToList();
        var room = PoolRoom.Of(Made, disks);
        var onlyBoot = Wipes.Count == 0;
        return new(
            onlyBoot ? $"Use the boot disk's free room as {Pool}" : $"Make the pool {Pool}",
            [
                new("name", Names.Slug(Pool), Literal: true),
                new("layout", $"{Made.Layout.Words()}, {Made.Family.Words()}"),
                .. Made.Groups > 1
                    ? [new StepValue("groups", $"{Made.Groups}: {Made.Layout.Words(Made.DiskIds.Count, Made.Groups)}")]
                    : Array.Empty<StepValue>(),
                .. Made.Encrypted is { } encrypted
                    ? [new StepValue("encrypted", encrypted ? "yes, before anything is written; its key in two places" : "no")]
                    : Array.Empty<StepValue>(),
                .. disks.Select(d => Plan.Seen(d, d.Id == Boot && !onlyBoot ? "disk, its free room only" : "disk")),
                new("room to expect", $"{room.AfterReserve} ({room.AfterReserve.ToDecimalString()})"),
            ],
            $"The host shows {Pool} with about {room.AfterReserve}.",
            "Less room than that? A disk is missing or smaller than the others.",
            onlyBoot ? "Remove the folder." : "Take the pool apart; what was on the disks before does not come back.",
            onlyBoot
                ? null
                : plan.WipeWords(Host, Wipes)
                    + (Boot is null ? "" : $" Of {Boot}, which the host starts from, use only the room that is free.")
                    + (
                        Made.AlreadyUsed.Bytes == 0
                            ? ""
                            : $" {Made.AlreadyUsed.ToDecimalString()} are said to be in {Pool} already: if it stands, make and wipe nothing, and tick this step."
                    )
        );
    }
}
