using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Adds disks to a pool while everything in it stays where it is. Wipes the new ones.</summary>
/// <param name="Host">The host.</param>
/// <param name="Grown">The pool as it is to be.</param>
/// <param name="Joined">The stable ids of the new disks.</param>
internal sealed record JoinDisks(HostId Host, Pool Grown, ValueList<string> Joined) : PoolAct(Host, Grown.Name)
{
    /// <inheritdoc/>
    public override string Type => "join-disks";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [.. base.Values, Value("joined", Joined), Value("layout", LabWords.Layouts.Word(Grown.Layout)), Value("disks", Grown.DiskIds)];

    /// <inheritdoc/>
    public override IReadOnlyList<string> Wipes => Joined;

    internal override (double Least, double Most) Spread => OfAmounts;

    internal override Duration Takes(Plan plan) => new Duration(15) + Duration.FromHours(Spreads ? Hours(plan) : 0);

    internal override void Apply(DiskState disks) => disks.Made(Host, Pool, Joined);

    internal override ActText Text(Plan plan)
    {
        var room = PoolRoom.Of(Grown, [.. Grown.DiskIds.Select(d => plan.Disk(Host, d)).OfType<Disk>()]);
        return new(
            $"Add {(Joined.Count == 1 ? "a disk" : "the disks")} to {Pool}",
            [
                .. plan.Seen(Host, Joined),
                new("layout from now on", Grown.Layout.Words(Grown.DiskIds.Count, Grown.Groups)),
                new("room to expect", $"{room.AfterReserve} ({room.AfterReserve.ToDecimalString()})"),
                new("spreading", Spreads ? $"about {Numbers.Short(Math.Ceiling(Hours(plan)))} h beside ordinary work" : "none"),
            ],
            $"The host shows {Pool} with about {room.AfterReserve}.",
            "Less room than that? It is still spreading, or the tools in use do not widen this layout: then lay it out anew.",
            "In most layouts a disk that joined cannot leave again without laying the pool out anew.",
            $"{plan.WipeWords(Host, Joined)} Take a backup of {Pool} first."
        );
    }

    private bool Spreads => Grown.Layout.Survives(Grown.DiskIds.Count) > 0;

    private double Hours(Plan plan) =>
        Joined.Select(d => plan.Disk(Host, d)).OfType<Disk>().Select(d => DiskSpec.Of(d).RebuildHours).DefaultIfEmpty(0).Max();

    internal override bool GoesBack => false;

    internal override void Affect(SimHouse house, Plan plan) => house.Grow(Host, Grown, Joined, RoomOf(plan).Room);
}
