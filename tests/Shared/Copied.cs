using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Tests;

/// <summary>Small labs with stores and jobs in them.</summary>
internal static class Copied
{
    /// <summary>The day it is in them.</summary>
    public static readonly DateOnly Today = new(2027, 3, 1);

    public static readonly GuestId Notes = new("notes");

    public static readonly GuestId Cloud = new("cloud");

    /// <summary>Two hosts with a link of 1 Gbit/s: notes and cloud on kiln, a backup guest with 4 TB on wren.</summary>
    public static Lab House() =>
        Small
            .Lab(Wired(Small.Host("kiln", 64, 8, 16, 8)), Wired(Small.Host("wren", 64, 8, 16, 8)))
            .WithGuestOn(Small.Guest("notes") with { Overrides = new SizeOverrides(SystemDisk: ByteSize.FromGB(20)) }, "kiln")
            .WithGuestOn(
                Small.Guest("cloud", "file-cloud", Core.Profiles.GuestKind.AppStack, new Core.Profiles.LoadValue("quota", 10)) with
                {
                    Overrides = new SizeOverrides(SystemDisk: ByteSize.FromGB(10), Bulk: ByteSize.FromGB(500)),
                },
                "kiln"
            )
            .WithGuestOn(
                Small.Guest("strongroom", "backup-server") with
                {
                    Overrides = new SizeOverrides(SystemDisk: ByteSize.FromGB(16), Bulk: ByteSize.FromTB(4)),
                },
                "wren"
            );

    /// <summary>The same with a sound plan: everything copied each night, read back, thinned, somebody told, keys on paper, brought back last week, and carried on elsewhere.</summary>
    public static Lab Sound() =>
        House()
            .With(
                KeepingEdits.Store(
                    new Store(
                        "vault",
                        new GuestId("strongroom"),
                        Deduplicates: true,
                        Encrypted: true,
                        Keys: ["paper in the drawer"],
                        ChecksNew: true,
                        ChecksDays: 30
                    )
                )
            )
            .With(
                KeepingEdits.Store(
                    new Store(
                        "boathouse",
                        Place: "boathouse",
                        Room: ByteSize.FromTB(8),
                        Line: 100,
                        Unchangeable: true,
                        Medium: StoreMedium.Spinning,
                        ChecksNew: true
                    )
                )
            )
            .With(
                KeepingEdits.Job(
                    new CopyJob(
                        "nightly",
                        "vault",
                        "23:30",
                        [
                            new JobPart(Notes),
                            new JobPart(Cloud),
                            new JobPart(new GuestId("strongroom"), Without: [VolumePart.System, VolumePart.Bulk], Why: "set up anew"),
                        ],
                        Mode: CopyMode.Dump,
                        Keep: "daily 7, weekly 4, monthly 6",
                        SilentDays: 3
                    )
                )
            )
            .With(KeepingEdits.Onward(new OnwardCopy("vault", "boathouse", "02:00")))
            .With(KeepingEdits.Drill(new Drill(DrillKind.Guest, Today.AddDays(-7), Notes, Worked: true, Minutes: 12)));

    /// <summary>The lab with a second pool on kiln, «vault», of 8 TB.</summary>
    public static Lab WithVault(this Lab lab) =>
        lab.With(
                HostEdits.Change(
                    new HostId("kiln"),
                    h => h with { Disks = h.Disks.With(new Disk("kiln-vault", "sdv", ByteSize.FromTB(8), DiskKind.Spinning)) }
                )
            )
            .With(HostEdits.AddPool(new HostId("kiln"), new Pool("vault", PoolLayout.Single, PoolFamily.BlockArray, ["kiln-vault"])));

    /// <summary>The copies of a lab, today.</summary>
    public static HouseKeeping Keeping(this Lab lab) => HouseKeeping.Of(Sums.Of(lab, Today), Today);

    /// <summary>The lab with one store changed.</summary>
    public static Lab Store(this Lab lab, string name, Func<Store, Store> change) => lab.With(KeepingEdits.ChangeStore(name, change));

    /// <summary>The lab with its job changed.</summary>
    public static Lab Job(this Lab lab, Func<CopyJob, CopyJob> change) => lab.With(KeepingEdits.ChangeJob("nightly", change));

    private static Host Wired(Host host) => host.With(new Hardware(Ports: [new NetworkPort("eno1", SpeedMbps: 1000, Up: true)]));
}
