using System.Text.Json.Nodes;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Puts a new disk in the place of one that leaves. Wipes the new one.</summary>
/// <param name="Host">The host.</param>
/// <param name="Pool">The pool.</param>
/// <param name="Out">The stable id of the disk that leaves.</param>
/// <param name="In">The stable id of the new one.</param>
internal sealed record ReplaceDisk(HostId Host, string Pool, string Out, string In) : PoolAct(Host, Pool)
{
    /// <inheritdoc/>
    public override string Type => "replace-disk";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("out", Out), Value("in", In)];

    /// <inheritdoc/>
    public override IReadOnlyList<string> Wipes => [In];

    internal override (double Least, double Most) Spread => OfAmounts;

    internal override Duration Takes(Plan plan) => Duration.FromHours(Hours(plan)) + new Duration(30);

    internal override void Apply(DiskState disks)
    {
        disks.Left(Host, Out);
        disks.Made(Host, Pool, [In]);
    }

    internal override ActText Text(Plan plan)
    {
        var pool = plan.Host(Host)?.PoolNamed(Pool);
        var survives = pool?.Survives() ?? 0;
        return new(
            $"Replace a disk of {Pool}, and wait for the rebuild",
            [
                new("out", plan.Named(Host, Out), Literal: true),
                new("in", plan.Named(Host, In), Literal: true),
                new("find it by", "the serial number on its label, held against the id; never by kernel name"),
                new("power", "off, unless its bay is made for changing disks while running"),
                new("rebuild", $"about {Numbers.Short(Math.Ceiling(Hours(plan)))} h beside ordinary work"),
            ],
            $"The host shows {Pool} whole, with {In} in it, and a scrub finds nothing.",
            "The rebuild stops? Leave the old disk at hand: with it the pool may still be read. Do not pull another.",
            survives > 0 ? "Put the old disk back before the rebuild starts." : "None: the pool has nothing to rebuild from.",
            $"This wipes {plan.Named(Host, In)}. Until the rebuild is done {Pool} survives {Numbers.Count(Math.Max(0, survives - 1), "failure")}: take a backup first. "
                + "Unplug the mains before you open the host, and touch its metal."
        );
    }

    private double Hours(Plan plan) => plan.Disk(Host, In) is { } fresh ? DiskSpec.Of(fresh).RebuildHours : 0;

    internal override void Affect(SimHouse house, Plan plan) =>
        house.Replace(Host, Pool, Out, In, plan.Draft.Host(Host)?.Disks.Any(d => d.Id == Out) == true);
}
