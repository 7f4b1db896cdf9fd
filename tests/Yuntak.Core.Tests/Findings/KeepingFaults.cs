using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Findings;

/// <summary>A lab for each fault the rules about copies look out for.</summary>
internal static class KeepingFaults
{
    private static readonly VolumePart[] Both = [VolumePart.System, VolumePart.Bulk];

    public static IEnumerable<(string Rule, Lab Lab)> All()
    {
        yield return ("keeping.none", Copied.House());
        yield return ("keeping.only-copy", Copied.Sound().With(KeepingEdits.Untick("nightly", Copied.Cloud, VolumePart.Bulk, Both)));
        yield return ("keeping.in-no-job", Copied.Sound().With(KeepingEdits.Leave("nightly", new JobPart(Copied.Notes).Key)));
        yield return (
            "keeping.twice",
            Copied.Sound().With(KeepingEdits.Job(new CopyJob("again", "vault", "04:00", [new JobPart(Copied.Notes)], SilentDays: 3)))
        );
        yield return (
            "keeping.two-stores",
            Copied.Sound().With(KeepingEdits.Job(new CopyJob("again", "boathouse", "04:00", [new JobPart(Copied.Notes)], SilentDays: 3)))
        );
        yield return ("keeping.store-beside-source", Beside(Copied.Sound()).With(KeepingEdits.RemoveOnward("vault to boathouse")));
        yield return (
            "keeping.store-in-job",
            Copied
                .Sound()
                .With(
                    KeepingEdits.Take("nightly", new JobPart(new GuestId("strongroom"), Without: [VolumePart.System], Why: "set up anew"))
                )
                .Store("vault", s => s with { Room = ByteSize.FromTB(40) })
                .Store("boathouse", s => s with { Room = ByteSize.FromTB(40), Line = 10_000 })
        );
        yield return ("keeping.key-on-protected", Copied.Sound().Store("vault", s => s with { Keys = ["kiln", "Strongroom"] }));
        yield return ("keeping.key-unknown", Copied.Sound().Store("vault", s => s with { Keys = [] }));
        yield return ("keeping.not-checked", Copied.Sound().Store("vault", s => s with { ChecksNew = false, ChecksDays = null }));
        yield return ("keeping.no-drill", Drilled(91));
        yield return (
            "keeping.drill-overdue",
            Copied.Sound().With(KeepingEdits.Drill(new Drill(DrillKind.Guest, Copied.Today.AddDays(-1), Copied.Cloud)))
        );
        yield return (
            "keeping.after-waking",
            Copied.Sound().Store("vault", s => s with { ChecksNew = false }).Job(j => j with { Times = "06:00", Rate = 1 })
        );
        yield return ("keeping.in-busy-hours", Copied.Sound().Job(j => j with { Times = "15:00", Mode = CopyMode.Stop }));
        yield return ("keeping.keeps-less", Copied.Sound().Job(j => j with { Keep = "last 4", BackDays = 30 }));
        yield return (
            "keeping.too-many-rights",
            Copied
                .Sound()
                .With(
                    KeepingEdits.Onward(
                        new OnwardCopy("vault", "boathouse", "02:00", OnwardWay.Push, OnwardRights.All),
                        "vault to boathouse"
                    )
                )
        );
        yield return ("keeping.store-over", Copied.Sound().Store("vault", s => s with { Room = ByteSize.FromGB(400) }));
        yield return (
            "keeping.store-fills",
            Copied
                .Sound()
                .WithGuest(Copied.Cloud, g => g with { Growth = new Growth(ByteSize.FromGB(400)) })
                .Store("boathouse", s => s with { Room = ByteSize.FromTB(40) })
                .Store("vault", s => s with { Room = ByteSize.FromTB(3.6) })
        );
        yield return (
            "keeping.store-same-host",
            Copied
                .Sound()
                .WithVault()
                .Store("vault", s => s with { Guest = null, Host = new HostId("kiln"), Pool = "vault" })
                .With(KeepingEdits.RemoveOnward("vault to boathouse"))
                .With(KeepingEdits.Leave("nightly", new JobPart(new GuestId("strongroom")).Key))
                .With(KeepingEdits.Store(new Store("other", Host: new HostId("wren"), Pool: "ember", ChecksNew: true)))
        );
        yield return ("keeping.piles-up", Piling(1.1));
        yield return (
            "keeping.database-by-snapshot",
            Copied.Sound().Job(j => j with { Mode = CopyMode.Snapshot, Takes = [new JobPart(Copied.Notes)] })
        );
        yield return ("keeping.nobody-told", Copied.Sound().Job(j => j with { Told = ToldWhen.Never }));
        yield return ("keeping.store-nowhere", Copied.Sound().With(KeepingEdits.Store(new Store("shelf", Box: "a box that is gone"))));
        yield return ("keeping.three-places", Copied.Sound().Store("boathouse", s => s with { Unchangeable = false }));
        yield return ("keeping.copy-missing", Copies(Copied.Cloud));
        yield return ("keeping.copy-small", Copies(Copied.Notes, Copied.Cloud, small: true));
        yield return ("keeping.copy-unchecked", Copies(Copied.Notes, Copied.Cloud, read: false));
    }

    /// <summary>A lab whose job takes so many times as long as there is until it begins again: four times a day.</summary>
    public static Lab Piling(double times)
    {
        // Into a store that keeps nothing once everything is copied each time.
        var often = Copied
            .Sound()
            .Store("vault", s => s with { Deduplicates = false })
            .Job(j => j with { Times = "02:00,08:00,14:00,20:00" });
        var each = often.Keeping().Jobs.Single().Each;
        return often.Job(j => j with { Rate = each.Bytes / (times * 6 * 3600 * 1e6) });
    }

    /// <summary>A lab in which something was last brought back so many days ago.</summary>
    public static Lab Drilled(double days) =>
        Copied.Sound() with
        {
            Drills = [new Drill(DrillKind.Guest, Copied.Today.AddDays(-(int)days), Copied.Notes, Worked: true, Minutes: 12)],
        };

    /// <summary>A lab in which the newest copy of notes is so many times as old as the job should have run, reckoned at noon.</summary>
    public static Lab Aged(double times) =>
        Copied
            .Sound()
            .With(
                KeepingEdits.TakeCopies([
                    Copy(Copied.Notes) with
                    {
                        At = Moments.Write(Copied.Today.ToDateTime(new TimeOnly(12, 0)).AddMinutes(-times * 24 * 60)),
                    },
                    Copy(Copied.Cloud),
                ])
            );

    /// <summary>A lab in which the copy of cloud, of 500 GB of data, is so large a part of them.</summary>
    public static Lab Sized(double share) =>
        Copied
            .Sound()
            .With(KeepingEdits.TakeCopies([Copy(Copied.Notes), Copy(Copied.Cloud) with { Size = new ByteSize((long)(500e9 * share)) }]));

    /// <summary>A lab in which the copy of notes was read back so many days ago.</summary>
    public static Lab Read(double days) =>
        Copied
            .Sound()
            .With(KeepingEdits.TakeCopies([Copy(Copied.Notes) with { Checked = Copied.Today.AddDays(-(int)days) }, Copy(Copied.Cloud)]));

    private static Lab Copies(GuestId first, GuestId? second = null, bool small = false, bool read = true)
    {
        List<KnownCopy> copies = [Copy(first), .. second is { } other ? [Copy(other)] : Array.Empty<KnownCopy>()];
        return Copied
            .Sound()
            .With(
                KeepingEdits.TakeCopies([
                    .. copies.Select(
                        (c, n) =>
                            c with
                            {
                                Size = small && n == 1 ? ByteSize.FromGB(1.6) : c.Size,
                                Checked = read || n == 0 ? c.Checked : null,
                            }
                    ),
                ])
            );
    }

    private static KnownCopy Copy(GuestId guest) =>
        new(guest, "vault", Moments.Write(Copied.Today.AddDays(-1).ToDateTime(new TimeOnly(23, 30))), ByteSize.FromGB(510), Copied.Today);

    /// <summary>The store in the pool of what it protects, with another beside it that does not.</summary>
    private static Lab Beside(Lab lab) =>
        lab.Store("vault", s => s with { Guest = null, Host = new HostId("kiln"), Pool = "ember" })
            .With(KeepingEdits.Store(new Store("other", Host: new HostId("wren"), Pool: "ember", ChecksNew: true)));
}
