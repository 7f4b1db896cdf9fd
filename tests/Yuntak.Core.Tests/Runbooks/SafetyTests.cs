using CsCheck;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Runbooks;

/// <summary>First, do no harm: no runbook wipes what stands or is still needed, and every runbook that can be followed reaches the draft exactly.</summary>
public class SafetyTests
{
    private static readonly HostId Kiln = new("kiln");

    /// <summary>A host with a boot disk, a flash pool, and six disks of 4 TB, four of them joined.</summary>
    private static readonly Lab Lab = Small.Lab(
        Small.Host("kiln") with
        {
            Disks =
            [
                .. Small.Host("kiln").Disks,
                .. Enumerable.Range(0, 6).Select(n => new Disk($"p{n}", $"sd{n}", ByteSize.FromTB(4), DiskKind.Spinning)),
            ],
            Pools = [.. Small.Host("kiln").Pools, new Pool("vault", PoolLayout.Parity2, PoolFamily.CopyOnWrite, ["p0", "p1", "p2", "p3"])],
        }
    );

    [Fact]
    public void Nothing_that_stands_or_is_still_needed_is_ever_wiped() =>
        Changes.AnyTwo.Holds(pair => Followed.Harm(pair.Stands, RunbookBuilder.Build(pair.Stands, pair.Draft)).ShouldBeNull(), iter: 400);

    [Fact]
    public void The_acts_applied_to_what_stands_give_exactly_the_draft()
    {
        var (reached, stopped) = (0, 0);
        Changes.AnyTwo.Holds(
            pair =>
            {
                var built = Followed.ToTheEnd(pair.Stands, pair.Draft);
                var left = RunbookBuilder.Build(built, pair.Draft);
                if (left.Open == 0)
                {
                    Followed.Same(built, pair.Draft).ShouldBeNull();
                    built.Ticks.ShouldBeEmpty();
                    Interlocked.Increment(ref reached);
                }
                else
                {
                    left.Steps.ShouldContain(s => !s.Act.CanBeDone, "only a stop may end it before the draft is reached");
                    Interlocked.Increment(ref stopped);
                }
            },
            iter: 120
        );
        stopped.ShouldBeLessThan(reached, "stops are the exception");
    }

    [Fact]
    public void No_step_waits_for_one_that_comes_later() =>
        Changes.AnyTwo.Holds(
            pair =>
            {
                var seen = new HashSet<string>();
                foreach (var step in RunbookBuilder.Build(pair.Stands, pair.Draft).Steps)
                {
                    step.After.ShouldBeSubsetOf(seen);
                    seen.Add(step.Id);
                }
            },
            iter: 100
        );

    [Fact]
    public void A_tick_belongs_to_the_disks_that_were_changed_and_not_to_a_place_in_a_list()
    {
        var stands = Lab.With(PoolEdits.Change(Kiln, "vault", p => p with { DiskIds = ["p0", "p1", "p2"] }));
        var first = stands.With(PoolEdits.ReplaceDisk(Kiln, "vault", "p0", "p4"));
        var ticked = stands.With(RunbookTick.Off(first, RunbookBuilder.Build(stands, first).Steps.Single().Id));
        ticked.Hosts[0].PoolNamed("vault")!.DiskIds.ShouldBe(["p4", "p1", "p2"], "what was replaced is replaced");

        var other = stands.With(PoolEdits.ReplaceDisk(Kiln, "vault", "p0", "p5"));
        var step = RunbookBuilder.Build(ticked, other).Steps.Single();
        step.Done.ShouldBeFalse();
        step.Act.Wipes.ShouldBe(["p5"]);
    }

    [Fact]
    public void A_host_joins_when_the_last_open_step_is_planned_away()
    {
        var host = Small.Host("kiln") with { Pools = [] };
        var (none, draft) = (Lab.Empty("new"), Small.Lab(host));
        var runbook = RunbookBuilder.Build(none, draft);
        var battery = runbook.Steps.Single(s => s.Act.Type == "link-battery");
        var built = none;
        foreach (var step in runbook.Steps.Where(s => s != battery))
        {
            built = built with { Ticks = built.Ticks.With(step.Id) };
        }

        var without = draft.With(HostEdits.Change(Kiln, h => h with { BatteryBackup = false }));
        RunbookBuilder.Build(built, without).Open.ShouldBe(0, "all that is left to do is done");
        RunbookBuilder.Settled(built, without).Hosts.Single().Name.ShouldBe("kiln");
    }

    [Fact]
    public void A_new_name_alone_is_a_new_name_and_guests_follow()
    {
        var stands = Lab.WithGuestOn(Small.Guest("notes"), "kiln");
        var draft = stands.With(PoolEdits.Change(Kiln, "ember", p => p with { Name = "clay" }));
        var step = RunbookBuilder.Build(stands, draft).Steps.Single();
        step.Act.Type.ShouldBe("rename-pool");
        step.Act.Wipes.ShouldBeEmpty();
        step.Act.Stops.Single().Value.ShouldBe("notes");
        var built = Followed.ToTheEnd(stands, draft);
        built.Guests[0].Placement!.SystemPool.ShouldBe("clay");
        Followed.Same(built, draft).ShouldBeNull();
    }

    [Fact]
    public void Another_layout_under_another_name_keeps_the_data()
    {
        var draft = Lab.With(PoolEdits.Change(Kiln, "vault", p => p with { Name = "tank", Layout = PoolLayout.StripedMirrors }));
        RunbookBuilder
            .Build(Lab, draft)
            .Steps.Select(s => s.Act.Type)
            .ShouldBe(["copy-pool-away", "take-pool-apart", "make-pool", "copy-pool-back"]);
    }

    [Fact]
    public void Data_with_nowhere_to_go_is_a_stop_that_says_how_much_and_cannot_be_ticked()
    {
        var stands = Lab.With(PoolEdits.Change(Kiln, "vault", p => p with { AlreadyUsed = ByteSize.FromTB(5) }));
        foreach (
            var draft in new[]
            {
                stands.With(HostEdits.RemovePool(Kiln, "vault")),
                stands.With(PoolEdits.Change(Kiln, "vault", p => p with { Layout = PoolLayout.Mirror })),
            }
        )
        {
            var step = RunbookBuilder.Build(stands, draft).Steps.Single();
            step.Act.Type.ShouldBe("stop");
            step.Caution.ShouldBe($"5{Numbers.ThinSpace}TB in it have nowhere to go: no other pool has that much room.");
            Should.Throw<Base.Refused>(() => RunbookTick.Off(draft, step.Id)(stands)).Message.ShouldContain("A stop is not ticked off");
        }

        var roomy = Small.Host("wren", poolTB: 8);
        var both = stands.With(HostEdits.Add(roomy));
        var away = RunbookBuilder.Build(both, both.With(HostEdits.RemovePool(Kiln, "vault"))).Steps.ToList();
        away.Select(s => s.Act.Type).ShouldBe(["copy-pool-away", "take-pool-apart"]);
        away[0].Values.ShouldContain(v => v.Value == "ember on wren");
    }

    [Fact]
    public void A_volume_that_changes_its_pool_is_copied_compared_and_only_then_let_go()
    {
        var stands = Lab.WithGuestOn(Small.Guest("notes"), "kiln");
        var draft = stands.With(GuestEdits.UsePools(new GuestId("notes"), "vault", "ember")).With(HostEdits.RemovePool(Kiln, "ember"));
        var all = draft.With(GuestEdits.UsePools(new GuestId("notes"), "vault", "vault"));
        RunbookBuilder
            .Build(stands, all)
            .Steps.Select(s => s.Act.Type)
            .ShouldBe(["backup-guest", "copy-volume", "compare-volume", "set-figures", "start-guest", "let-volume-go", "take-pool-apart"]);
    }

    [Fact]
    public void A_pool_is_not_taken_apart_under_a_guest_that_stays_in_it()
    {
        var stands = Lab.WithGuestOn(Small.Guest("notes"), "kiln");
        var steps = RunbookBuilder.Build(stands, stands.With(HostEdits.RemovePool(Kiln, "ember"))).Steps.ToList();
        steps.ShouldNotContain(s => s.Act.Type == "take-pool-apart");
        steps.Single(s => !s.Act.CanBeDone).Caution.ShouldBe("notes keeps volumes in it that have nowhere to go.");
    }

    [Fact]
    public void Of_the_boot_disk_only_the_free_room_is_used_and_the_other_disk_is_named()
    {
        var draft = Lab.With(HostEdits.AddPool(Kiln, new Pool("pair", PoolLayout.Mirror, PoolFamily.BlockArray, ["kiln-boot", "p4"])));
        var step = RunbookBuilder.Build(Lab, draft).Steps.Single();
        step.Act.Wipes.ShouldBe(["p4"]);
        step.Caution!.ShouldContain("p4, 4");
        step.Caution!.ShouldContain("Of kiln-boot, which the host starts from, use only the room that is free.");
    }

    [Fact]
    public void Who_has_looked_and_says_that_a_disk_holds_nothing_clears_its_stop()
    {
        var stands = Lab.WithHost(Kiln, h => h with { Disks = h.Disks.Change(d => d.Id == "p4", d => d with { Holds = ["ext4"] }) });
        var draft = stands.With(PoolEdits.ReplaceDisk(Kiln, "vault", "p0", "p4"));
        RunbookBuilder.Build(stands, draft).Steps.Single().Act.CanBeDone.ShouldBeFalse();

        var looked = draft.With(KitEdits.Correct(Kiln, "disks/p4/holds", "", new DateOnly(2026, 11, 26)));
        var step = RunbookBuilder.Build(stands, looked).Steps.Single();
        step.Act.Type.ShouldBe("replace-disk");
        step.Act.Wipes.ShouldBe(["p4"]);
    }

    [Fact]
    public void What_a_stop_holds_back_is_not_counted_on_by_what_comes_later()
    {
        // The pool cannot come apart, since nothing takes its data; its disks are then not free for the other pool.
        var stands = Lab.WithHost(
            Kiln,
            h => h with { Pools = h.Pools.Change(p => p.Name == "vault", p => p with { AlreadyUsed = ByteSize.FromTB(6) }) }
        );
        var draft = stands
            .With(PoolEdits.Change(Kiln, "vault", p => p with { Layout = PoolLayout.Mirror, DiskIds = ["p0", "p1"] }))
            .With(HostEdits.AddPool(Kiln, new Pool("second", PoolLayout.Mirror, PoolFamily.CopyOnWrite, ["p2", "p3"])));
        var runbook = RunbookBuilder.Build(stands, draft);
        runbook.Steps.ShouldContain(s => !s.Act.CanBeDone);
        runbook.Steps.SelectMany(s => s.Act.Wipes).ShouldBeEmpty();
        Followed.Harm(stands, runbook).ShouldBeNull();
    }

    [Theory]
    [InlineData("/srv/photos", null)]
    [InlineData(null, "ext4")]
    public void A_disk_with_something_on_it_is_not_wiped_but_told(string? mounted, string? holds)
    {
        var stands = Lab.WithHost(
            Kiln,
            h =>
                h with
                {
                    Disks = h.Disks.Change(
                        d => d.Id == "p4",
                        d => d with { MountedAt = mounted is null ? [] : [mounted], Holds = holds is null ? [] : [holds] }
                    ),
                }
        );
        foreach (
            var edit in new[]
            {
                HostEdits.AddPool(Kiln, new Pool("more", PoolLayout.Single, PoolFamily.BlockArray, ["p4"])),
                PoolEdits.ReplaceDisk(Kiln, "vault", "p0", "p4"),
                PoolEdits.MoveDisk(Kiln, "p4", "vault"),
            }
        )
        {
            var step = RunbookBuilder.Build(stands, stands.With(edit)).Steps.Single();
            step.Act.CanBeDone.ShouldBeFalse();
            step.Act.Wipes.ShouldBeEmpty();
            step.Caution!.ShouldContain(mounted ?? holds!);
        }
    }

    [Fact]
    public void Two_pools_that_want_each_others_disks_are_a_stop()
    {
        var stands = Lab.With(HostEdits.AddPool(Kiln, new Pool("pair", PoolLayout.Mirror, PoolFamily.BlockArray, ["p4", "p5"])))
            .With(PoolEdits.Change(Kiln, "vault", p => p with { Layout = PoolLayout.Mirror, DiskIds = ["p0", "p1"] }));
        var draft = stands.WithHost(
            Kiln,
            h =>
                h with
                {
                    Pools = h.Pools.Change(
                        p => p.Name != "ember",
                        p => p with { DiskIds = p.Name == "pair" ? ["p0", "p1"] : ["p4", "p5"] }
                    ),
                }
        );
        var runbook = RunbookBuilder.Build(stands, draft);
        runbook.Steps.ShouldContain(s => s.Act.Type == "stop");
        runbook.Steps.SelectMany(s => s.Act.Wipes).ShouldBeEmpty();
    }

    [Fact]
    public void A_move_brings_its_new_figures_along_and_the_backup_is_taken_where_it_stands()
    {
        var both = Small.Lab(Small.Host("kiln"), Small.Host("wren"));
        var stands = both.WithGuestOn(Small.Guest("notes"), "kiln");
        var draft = stands
            .With(GuestEdits.Place(new GuestId("notes"), new HostId("wren")))
            .With(GuestEdits.Change(new GuestId("notes"), g => g with { Overrides = new SizeOverrides(4, ByteSize.FromGiB(6)) }));
        var steps = RunbookBuilder.Build(stands, draft).Steps.ToList();
        steps
            .Select(s => (s.Act.Type, s.Where))
            .ShouldBe([("backup-guest", "kiln"), ("move-guest", "wren"), ("set-figures", "wren"), ("start-guest", "wren")]);
        steps[2].Values.Select(v => v.Value).ShouldContain("virtual processors 1 → 4");
    }

    [Fact]
    public void A_pool_is_made_with_its_groups_and_its_encryption()
    {
        var draft = Lab.With(HostEdits.RemovePool(Kiln, "vault"))
            .With(
                HostEdits.AddPool(
                    Kiln,
                    new Pool(
                        "deep",
                        PoolLayout.Parity1,
                        PoolFamily.CopyOnWrite,
                        ["p0", "p1", "p2", "p3", "p4", "p5"],
                        Groups: 2,
                        Encrypted: true
                    )
                )
            );
        var made = RunbookBuilder.Build(Lab, draft).Steps.Single(s => s.Act.Type == "make-pool");
        made.Values.ShouldContain(v => v.Label == "groups" && v.Value.StartsWith("2: "));
        made.Values.ShouldContain(v => v.Label == "encrypted" && v.Value.StartsWith("yes"));
    }

    /// <summary>Acts that begin a host or a guest from nothing, whatever its kind.</summary>
    private static readonly string[] FromNothing =
    [
        "install-host",
        "write-medium",
        "write-card",
        "write-stick",
        "start-from-stick",
        "set-up-store-box",
        "install-engine",
        "create-machine",
        "create-system-container",
        "install-guest",
        "first-start",
    ];

    [Fact]
    public void Whatever_is_planned_nothing_that_stands_is_begun_from_nothing() =>
        Gen.Select(Gens.AnyLab, Gens.AnyLab)
            .Holds(
                (stands, draft) =>
                {
                    var built = stands with { Guests = [.. stands.Guests.Select(g => g with { Life = LifeStage.InService })] };
                    foreach (var step in RunbookBuilder.Build(built, draft).Steps.Where(s => FromNothing.Contains(s.Act.Type)))
                    {
                        var values = step.Act.Values.ToDictionary(v => v.Key, v => v.Value?.ToString(), StringComparer.Ordinal);
                        if (values.GetValueOrDefault("guest") is { } guest)
                        {
                            // One that moves between ways of packaging is made anew beside the old one, which is kept.
                            (
                                built.Guest(new GuestId(guest)) is not { } old
                                || built.HostOf(old) is null
                                || old.Kind != draft.Guest(new GuestId(guest))?.Kind
                            ).ShouldBeTrue(step.Act.Type);
                        }
                        else
                        {
                            built.Host(new HostId(values["host"]!)).ShouldBeNull(step.Act.Type);
                        }
                    }
                },
                iter: 150
            );

    [Fact]
    public void Encryption_is_laid_out_anew_where_it_is_known_and_looked_at_where_it_is_not()
    {
        var plain = Lab.With(PoolEdits.Change(Kiln, "vault", p => p with { Encrypted = false }));
        RunbookBuilder
            .Build(plain, plain.With(PoolEdits.Change(Kiln, "vault", p => p with { Encrypted = true })))
            .Steps.Select(s => s.Act.Type)
            .ShouldBe(["copy-pool-away", "take-pool-apart", "make-pool", "encrypt-pool", "copy-pool-back"]);
        RunbookBuilder
            .Build(Lab, Lab.With(PoolEdits.Change(Kiln, "vault", p => p with { Encrypted = true })))
            .Steps.Select(s => s.Act.Type)
            .ShouldBe(["look-whether-encrypted"]);
    }

    [Fact]
    public void Every_id_follows_from_the_values_and_from_nothing_said()
    {
        var draft = Lab.WithGuestOn(Small.Guest("notes"), "kiln");
        var ids = RunbookBuilder.Build(Lab, draft).Steps.Select(s => s.Id).ToList();
        RunbookBuilder.Build(Lab, draft with { Name = "called otherwise" }).Steps.Select(s => s.Id).ShouldBe(ids);
        var larger = draft.With(
            GuestEdits.Change(new GuestId("notes"), g => g with { Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(9)) })
        );
        RunbookBuilder.Build(Lab, larger).Steps.First().Id.ShouldNotBe(ids[0]);
    }

    [Fact]
    public void An_app_stack_in_a_guest_that_moves_goes_along_without_a_step_of_its_own()
    {
        var pair = Small.Lab(Small.Host("kiln", 64, 8, 16, 8), Small.Host("wren", 64, 8, 16, 8));
        var stands = pair.WithGuestOn(Small.Guest("nest", "app-engine", GuestKind.SystemContainer), "kiln")
            .WithGuestOn(Small.Guest("papers", "wiki", GuestKind.AppStack), "kiln")
            .With(NestingEdits.RunIn(new GuestId("papers"), new GuestId("nest")));
        var draft = stands.With(GuestEdits.Place(new GuestId("nest"), new HostId("wren")));
        RunbookBuilder.Build(stands, draft).Sections.Select(s => s.Key).ShouldBe(["move-guest/nest"]);
        Followed.Same(Followed.ToTheEnd(stands, draft), draft).ShouldBeNull();
    }

    [Theory]
    [InlineData("kiln")]
    [InlineData("wren")]
    public void A_guest_is_left_with_less_room_only_after_what_leaves_it_has_taken_its_data_along(string host)
    {
        var nest = new GuestId("nest");
        var papers = new GuestId("papers");
        var stands = Small
            .Lab(Small.Host("kiln", 64, 8, 16, 8), Small.Host("wren", 64, 8, 16, 8))
            .WithGuestOn(Small.Guest("nest", "app-engine", GuestKind.SystemContainer), "kiln")
            .WithGuestOn(Small.Guest("papers", "file-cloud", GuestKind.AppStack), "kiln")
            .With(NestingEdits.RunIn(papers, nest))
            .With(GuestEdits.Change(nest, g => g with { Overrides = new SizeOverrides(Bulk: ByteSize.FromGiB(900)) }));
        var draft = stands
            .With(GuestEdits.Change(papers, g => g with { Kind = GuestKind.SystemContainer, Folders = [], RunsIn = null }))
            .With(GuestEdits.Place(papers, new HostId("kiln")))
            .With(GuestEdits.Change(nest, g => g with { Overrides = SizeOverrides.None }))
            .With(GuestEdits.Place(nest, new HostId(host)));
        RunbookBuilder
            .Build(stands, draft)
            .Sections.Select(s => s.Key)
            .ShouldBe(["change-guest/papers", host == "kiln" ? "change-guest/nest" : "move-guest/nest"]);
        Rehearsals.EveryOrder.Reaches(RunbookBuilder.Build(stands, draft)).ShouldBeTrue();
    }

    [Fact]
    public void What_goes_for_good_goes_before_its_pool_becomes_too_small_for_it()
    {
        var kiln = Small.Host("kiln", 64, 8, 16);
        var stands = Small
            .Lab(kiln, Small.Host("wren", 64, 8, 16, 20))
            .With(
                HostEdits.Change(
                    kiln.Id,
                    h => h with { Disks = h.Disks.With(new Disk("kiln-more", "nvme1n1", ByteSize.FromTB(2), DiskKind.NvmeFlash)) }
                )
            )
            .With(PoolEdits.Change(kiln.Id, "ember", p => p with { Layout = PoolLayout.Stripe, DiskIds = ["kiln-data", "kiln-more"] }))
            .WithGuestOn(Small.Guest("notes") with { Overrides = new SizeOverrides(Bulk: ByteSize.FromTB(2.5)) }, "kiln");
        var draft = stands
            .With(GuestEdits.Remove(new GuestId("notes")))
            .With(PoolEdits.Change(kiln.Id, "ember", p => p with { Layout = PoolLayout.Mirror }));
        var runbook = RunbookBuilder.Build(stands, draft);
        runbook.Sections.Select(s => s.Key).ShouldBe(["retire-guest/notes", "change-pool/kiln/ember"]);
        var rehearsal = Core.Rehearsals.Rehearsal.Of(runbook);
        rehearsal.Steps.Where(s => s.Message.Length > 0).Select(s => $"{s.Step.What}: {s.Message}").ShouldBeEmpty();
        rehearsal.ReachesDraft.ShouldBeTrue();
    }
}
