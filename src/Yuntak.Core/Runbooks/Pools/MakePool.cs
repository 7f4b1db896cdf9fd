using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Joins disks into a pool. Wipes all of them but the boot disk, of which it uses the free room.</summary>
/// <param name="Host">The host.</param>
/// <param name="Made">The pool.</param>
/// <param name="Boot">Those of its disks the host starts from: two of a mirrored boot, mostly none.</param>
internal sealed record MakePool(HostId Host, Pool Made, ValueList<string> Boot) : PoolAct(Host, Made.Name)
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
            .. Boot.Count > 1 ? [Value("bootDisks", Boot)] : new[] { Value("bootDisk", Boot.Count == 0 ? null : Boot[0]) },
        ];

    /// <inheritdoc/>
    public override IReadOnlyList<string> Wipes => [.. Made.DiskIds.Where(d => !Boot.Contains(d))];

    internal override Duration Takes(Plan plan) => new(10);

    internal override void Apply(DiskState disks) => disks.Made(Host, Pool, Made.DiskIds);

    internal override ActText Text(Plan plan)
    {
        var host = plan.Host(Host)!;
        var disks = Made.DiskIds.Select(d => plan.Disk(Host, d)).OfType<Disk>().ToList();
        var room = PoolRoom.Of(Made, [.. disks.Select(d => d with { Size = d.Size - host.SystemShareOf(d) })]);
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
                .. disks.Select(d => Plan.Seen(d, Boot.Contains(d.Id) && !onlyBoot ? "disk, its free room only" : "disk")),
                .. Building(disks),
                new("room to expect", $"{room.AfterReserve} ({room.AfterReserve.ToDecimalString()})"),
            ],
            $"The host shows {Pool} with about {room.AfterReserve}.",
            "Less room than that? A disk is missing or smaller than the others.",
            onlyBoot ? "Remove the folder." : "Take the pool apart; what was on the disks before does not come back.",
            onlyBoot
                ? null
                : plan.WipeWords(Host, Wipes)
                    + (
                        Boot.Count == 0
                            ? ""
                            : $" Of {string.Join(" and ", Boot)}, which the host starts from, use only the room that is free."
                    )
                    + (
                        Made.AlreadyUsed.Bytes == 0
                            ? ""
                            : $" {Made.AlreadyUsed.ToDecimalString()} are said to be in {Pool} already: if it stands, make and wipe nothing, and tick this step."
                    )
        );
    }

    /// <summary>What is peculiar to parity in a block array: which disk holds it, and the hours the first build takes behind everything else.</summary>
    private IEnumerable<StepValue> Building(List<Disk> disks)
    {
        var parity = Made.Layout.ParityDisks();
        if (Made.Family != PoolFamily.BlockArray || parity == 0 || disks.Count == 0)
        {
            yield break;
        }

        if (Made.Layout.IsDedicated())
        {
            foreach (var disk in disks.Take(parity))
            {
                yield return new("parity disk", $"{disk.Id} ({disk.Size.ToDecimalString()}, seen as {disk.Name})", Literal: true);
            }
        }

        var hours = disks.Max(d => DiskSpec.Of(d).RebuildHours);
        yield return new(
            "first build of the parity",
            $"about {Numbers.Short(Math.Ceiling(hours))} h in the background: the pool can be used, and survives nothing until it is through"
        );
    }

    internal override void Affect(SimHouse house, Plan plan)
    {
        var (room, other) = RoomOf(plan);
        house.MakePool(Host, Made, Wipes, room, other);
    }
}
