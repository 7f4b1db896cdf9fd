using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Edits;

/// <summary>Pools are changed, grown and renamed; disks move and are replaced.</summary>
public class PoolEditsTests
{
    private static readonly HostId Kiln = new("kiln");

    private static readonly Lab Lab = Small.Lab(
        Small.Host("kiln") with
        {
            Disks =
            [
                .. Small.Host("kiln").Disks,
                .. Enumerable.Range(0, 6).Select(n => new Disk($"p{n}", $"sd{n}", ByteSize.FromTB(4), DiskKind.Spinning)),
            ],
            Pools = [.. Small.Host("kiln").Pools, new Pool("vault", PoolLayout.Parity1, PoolFamily.CopyOnWrite, ["p0", "p1", "p2", "p3"])],
        }
    );

    [Fact]
    public void A_disk_joins_a_pool_and_leaves_it_again()
    {
        var joined = PoolEdits.MoveDisk(Kiln, "p4", "vault")(Lab);
        joined.Sentence.ShouldBe("kiln: sd4 joins vault, single parity of 5 disks, copy-on-write");
        var left = PoolEdits.MoveDisk(Kiln, "p4", null)(joined.Lab);
        left.Sentence.ShouldBe("kiln: sd4 taken out of vault");
        left.Lab.ShouldBe(Lab);
    }

    [Fact]
    public void A_disk_goes_from_one_pool_to_another_and_a_single_disk_becomes_a_mirror()
    {
        var moved = PoolEdits.MoveDisk(Kiln, "p0", "ember")(Lab);
        moved.Lab.Hosts[0].PoolNamed("ember")!.Layout.ShouldBe(PoolLayout.Mirror);
        moved.Lab.Hosts[0].PoolNamed("vault")!.DiskIds.ShouldBe(["p1", "p2", "p3"]);
        moved.Sentence.ShouldStartWith("kiln: sd0 leaves vault for ember");
    }

    [Fact]
    public void What_a_layout_cannot_do_without_stays() =>
        Should
            .Throw<Refused>(() => PoolEdits.MoveDisk(Kiln, "kiln-data", null)(Lab))
            .Message.ShouldBe("single disk needs at least 1 disk; 0 chosen.");

    [Fact]
    public void A_disk_is_replaced_in_its_place()
    {
        var replaced = PoolEdits.ReplaceDisk(Kiln, "vault", "p1", "p5")(Lab);
        replaced.Lab.Hosts[0].PoolNamed("vault")!.DiskIds.ShouldBe(["p0", "p5", "p2", "p3"]);
        replaced.Sentence.ShouldBe("kiln: sd1 in vault replaced by sd5");
        Should.Throw<Refused>(() => PoolEdits.ReplaceDisk(Kiln, "vault", "p1", "p2")(Lab)).Message.ShouldContain("twice");
        Should
            .Throw<Refused>(() => PoolEdits.ReplaceDisk(Kiln, "vault", "p1", "kiln-data")(Lab))
            .Message.ShouldContain("belongs to the pool ember");
    }

    [Fact]
    public void Guests_follow_a_pool_that_is_called_otherwise()
    {
        var lab = Lab.WithGuestOn(Small.Guest("notes"), "kiln").With(PoolEdits.Change(Kiln, "ember", p => p with { Name = "clay" }));
        lab.Guests[0].Placement!.SystemPool.ShouldBe("clay");
        Should
            .Throw<Refused>(() => PoolEdits.Change(Kiln, "ember", p => p with { Name = "vault" })(Lab))
            .Message.ShouldContain("already has a pool");
    }

    [Theory]
    [InlineData(0.5)]
    [InlineData(50)]
    [InlineData(double.NaN)]
    public void Compression_that_cannot_be_is_refused(double ratio) =>
        Should
            .Throw<Refused>(() => PoolEdits.Change(Kiln, "vault", p => p with { Compression = ratio })(Lab))
            .Message.ShouldStartWith("Compression: a number from 1 to 20 belongs here");

    [Fact]
    public void A_pool_that_misses_a_disk_can_still_be_changed()
    {
        var missing = Lab.Losing("p2");
        missing.With(PoolEdits.Change(Kiln, "vault", p => p with { ScrubDays = 30 })).Hosts[0].PoolNamed("vault")!.ScrubDays.ShouldBe(30);
    }

    [Theory]
    [InlineData(PoolLayout.Parity3, 1, PoolFamily.BlockArray, null)]
    [InlineData(PoolLayout.Parity1, 2, PoolFamily.CopyOnWrite, null)]
    [InlineData(PoolLayout.Parity1, 3, PoolFamily.CopyOnWrite, "3 groups of single parity need at least 6 disks; 4 chosen.")]
    [InlineData(PoolLayout.Dedicated1, 1, PoolFamily.CopyOnWrite, "Parity on a disk of its own is a block array")]
    [InlineData(PoolLayout.Single, 1, PoolFamily.BlockArray, "A single-disk pool takes one disk")]
    public void A_layout_is_held_against_the_disks(PoolLayout layout, int groups, PoolFamily family, string? refused)
    {
        var edit = PoolEdits.Change(Kiln, "vault", p => p with { Layout = layout, Groups = groups, Family = family });
        if (refused is null)
        {
            edit(Lab).Sentence.ShouldStartWith("kiln: vault becomes");
        }
        else
        {
            Should.Throw<Refused>(() => edit(Lab)).Message.ShouldContain(refused);
        }
    }

    [Fact]
    public void What_is_only_said_of_a_pool_is_no_work_and_put_in_words()
    {
        foreach (
            var (change, words) in new (Func<Pool, Pool>, string)[]
            {
                (p => p with { Takes = [ContentKind.Backups, ContentKind.InstallMedia] }, "vault is for backups, install media"),
                (p => p with { Encrypted = true }, "vault is encrypted"),
                (p => p with { KeyPlaces = ["safe"] }, "vault has its key in 1 place"),
                (p => p with { ScrubDays = 30 }, "vault is scrubbed every 30 days"),
                (p => p with { Thin = true }, "vault holds thin volumes"),
                (p => p with { Compression = 1.5 }, "vault compresses 1.5 : 1"),
                (p => p with { AlreadyUsed = ByteSize.FromGiB(1024) }, "vault already holds 1"),
            }
        )
        {
            var changed = PoolEdits.Change(Kiln, "vault", change)(Lab);
            changed.Sentence.ShouldContain(words);
            LabDifference.Between(Lab, changed.Lab).Single().NeedsWork.ShouldBe(words == "vault is encrypted", words);
        }
    }

    [Fact]
    public void The_runbook_replaces_a_disk_in_its_place_by_stable_id()
    {
        var section = RunbookBuilder.Build(Lab, Lab.With(PoolEdits.ReplaceDisk(Kiln, "vault", "p1", "p5"))).Sections.Single();
        section.Title.ShouldBe("Replace 1 disk of vault on kiln");
        var step = section.Steps.Single();
        step.Values.ShouldContain(v => v.Label == "out" && v.Value.StartsWith("p1, "));
        step.Values.ShouldContain(v => v.Label == "in" && v.Value.StartsWith("p5, "));
        step.Caution.ShouldNotBeNull();
        step.Caution.ShouldContain("This wipes p5, 4\u202FTB, nothing mounted");
        step.Caution.ShouldContain("survives 0 failures");
        // 4 TB at 180 MB/s are 6.2 hours.
        step.Values.ShouldContain(v => v.Value.StartsWith("about 7 h"));
    }

    [Fact]
    public void The_runbook_widens_a_pool_without_laying_it_out_anew()
    {
        var section = RunbookBuilder.Build(Lab, Lab.With(PoolEdits.MoveDisk(Kiln, "p4", "vault"))).Sections.Single();
        section.Title.ShouldBe("Add 1 disk to vault on kiln");
        section.Steps.Single().Caution!.ShouldContain("p4");
    }

    [Fact]
    public void A_new_layout_keeps_the_data_by_a_copy_that_is_tried()
    {
        var draft = Lab.With(PoolEdits.Change(Kiln, "vault", p => p with { Layout = PoolLayout.Parity2 }));
        var section = RunbookBuilder.Build(Lab, draft).Sections.Single();
        section.Title.ShouldBe("Lay vault out anew on kiln");
        section.Steps.Select(s => s.What.Split(' ')[0]).ShouldBe(["Copy", "Take", "Make", "Copy"]);
        section.Steps[0].Check.ShouldContain("three files picked at random open");
    }

    [Fact]
    public void Ticking_the_steps_of_a_pool_makes_it_stand_as_planned()
    {
        foreach (
            var edit in new[]
            {
                PoolEdits.ReplaceDisk(Kiln, "vault", "p1", "p5"),
                PoolEdits.MoveDisk(Kiln, "p4", "vault"),
                PoolEdits.Change(Kiln, "vault", p => p with { Layout = PoolLayout.Parity2, Groups = 1 }),
            }
        )
        {
            var draft = Lab.With(edit);
            var standing = Lab;
            while (RunbookBuilder.Build(standing, draft).Sections.SelectMany(s => s.Steps).FirstOrDefault(s => !s.Done) is { } next)
            {
                standing = standing.With(RunbookTick.Off(draft, next.Id));
            }

            standing.Hosts[0].PoolNamed("vault").ShouldBe(draft.Hosts[0].PoolNamed("vault"));
        }
    }
}
