using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Mounts a disk with the format that was found on it. Nothing is made on it and nothing wiped.</summary>
/// <param name="Host">The host.</param>
/// <param name="Pool">The pool it is called.</param>
/// <param name="Disks">The stable ids of its disks; one, mostly.</param>
/// <param name="At">Where it is mounted; null to follow its name.</param>
internal sealed record MountAsFound(HostId Host, string Pool, ValueList<string> Disks, string? At) : PoolAct(Host, Pool)
{
    /// <inheritdoc/>
    public override string Type => "mount-as-found";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("disks", Disks), Value("at", At)];

    internal override Duration Takes(Plan plan) => new(10);

    internal override void Apply(DiskState disks) => disks.Made(Host, Pool, Disks);

    internal override ActText Text(Plan plan)
    {
        var at = At ?? $"/srv/{Names.Slug(Pool)}";
        var found = Disks.Select(d => plan.Disk(Host, d)).OfType<Disk>().ToList();
        var holds = found.SelectMany(d => d.Holds).Distinct(StringComparer.Ordinal).ToList();
        return new(
            $"Mount {Pool} as it was found",
            [
                .. plan.Seen(Host, Disks),
                .. holds.Count > 0 ? [new StepValue("format found on it", string.Join(", ", holds))] : Array.Empty<StepValue>(),
                new("find its UUID", "lsblk -o NAME,SIZE,FSTYPE,UUID,MOUNTPOINTS", Literal: true),
                new("line in /etc/fstab", $"UUID=<what lsblk shows> {ShellText.Quoted(at)} auto defaults,nofail,exec 0 2", Literal: true),
                new("owner", "formats of other computers keep no owners: say uid= and gid= of who is to write there among the options"),
            ],
            $"findmnt {ShellText.Quoted(at)} shows it by UUID, and what was on it is there.",
            "Refused? Its format wants a tool of its own: look with lsblk -f and install that package.",
            "Take the line out and unmount; the disk is as it was.",
            "Make no file system on it: what is on it stays."
        );
    }

    internal override void Affect(SimHouse house, Plan plan)
    {
        var (room, other) = RoomOf(plan);
        house.MakePool(Host, plan.Host(Host)!.PoolNamed(Pool)!, [], room, other);
    }
}
