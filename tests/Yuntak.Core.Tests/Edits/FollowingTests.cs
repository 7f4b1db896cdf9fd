using CsCheck;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Edits;

/// <summary>What names something follows its new name, and goes or stays in words when it is gone: nothing is left that names what is not there.</summary>
public class FollowingTests
{
    private static readonly HostId Kiln = new("kiln");
    private static readonly GuestId Cloud = Copied.Cloud;

    /// <summary>A host that keeps a store and a shared folder in a pool, a box that shares a library and keeps a store, and a job of all that.</summary>
    private static readonly Lab House = Copied
        .Sound()
        .With(FolderEdits.Add(new SharedFolder("films", Kiln, "ember", ByteSize.FromGB(90), [new FolderUse(Cloud, "/films")])))
        .With(ReachEdits.Box(new Box("sandstone", "attic")))
        .With(ReachEdits.Share(new NetworkShare("prints", new ShareEnd(Box: "sandstone", Path: "/prints"), Size: ByteSize.FromGB(40))))
        .With(ReachEdits.Mount(Cloud, new ShareMount("prints", "/prints")))
        .With(KeepingEdits.Store(new Store("near", Host: Kiln, Pool: "ember")))
        .With(KeepingEdits.Store(new Store("attic", Box: "sandstone", Room: ByteSize.FromTB(2))))
        .With(KeepingEdits.Job(new CopyJob("folders", "attic", "03:30", [new JobPart(Folder: "films"), new JobPart(Folder: "prints")])))
        .With(KeepingEdits.TakeCopies([new KnownCopy(Cloud, "near", "2027-02-28T23:30", ByteSize.FromGB(510))]));

    [Fact]
    public void A_pool_takes_its_folders_and_stores_along_to_a_new_name()
    {
        var renamed = House.With(PoolEdits.Change(Kiln, "ember", p => p with { Name = "cinder" }));
        renamed.Folders.Single(f => f.Name == "films").Pool.ShouldBe("cinder");
        renamed.Stores.Single(s => s.Name == "near").Pool.ShouldBe("cinder");
        renamed.Keeping().Store("near")!.IsThere.ShouldBeTrue();
        (renamed.Keeping().Jobs.Single(j => j.Job.Name == "folders").First, renamed.Keeping().InNoJob.Count()).ShouldBe(
            (House.Keeping().Jobs.Single(j => j.Job.Name == "folders").First, House.Keeping().InNoJob.Count())
        );
        var shared = House.With(ReachEdits.Share(new NetworkShare("scans", new ShareEnd(Host: Kiln, Path: "/ember/scans"))));
        shared.With(PoolEdits.Change(Kiln, "ember", p => p with { Name = "cinder" })).Shares[^1].From.Path.ShouldBe("/cinder/scans");
        // A pool that is mounted elsewhere stays mounted there, whatever it is called.
        var elsewhere = shared
            .With(PoolEdits.Change(Kiln, "ember", p => p with { MountedAt = "/srv/" }))
            .With(ReachEdits.Share(new NetworkShare("all", new ShareEnd(Host: Kiln, Path: "/srv"))))
            .With(PoolEdits.Change(Kiln, "ember", p => p with { Name = "cinder" }));
        elsewhere.Shares[^1].From.Path.ShouldBe("/srv");
        // The pool of that name on another host is another pool.
        var other = House.With(PoolEdits.Change(new HostId("wren"), "ember", p => p with { Name = "cinder" }));
        other.Stores.ShouldBe(House.Stores);
        other.Folders.ShouldBe(House.Folders);
    }

    [Fact]
    public void A_box_takes_its_shares_and_stores_along_to_a_new_name_and_leaves_copies_where_they_are()
    {
        var renamed = House.With(ReachEdits.Box(House.Boxes.Single() with { Name = "slate" }, "sandstone"));
        renamed.Shares.Single().From.Box.ShouldBe("slate");
        renamed.Keeping().Store("attic")!.IsThere.ShouldBeTrue();
        var gone = House.With(ReachEdits.RemoveBox("sandstone"));
        gone.Keeping().Store("attic")!.IsThere.ShouldBeFalse("what is planned of it is not thrown away, but said");
        gone.Shares.ShouldBeEmpty();
        gone.Guest(Cloud)!.Mounts.ShouldBeEmpty();
        Folders(gone).ShouldBe(["films"]);
    }

    [Fact]
    public void A_job_copies_a_shared_folder_or_library_under_its_new_name_and_no_longer_when_it_is_shared_no_longer()
    {
        Folders(House.With(ReachEdits.ChangeShare("prints", s => s with { Name = "paper" }))).ShouldBe(["films", "paper"]);
        Folders(House.With(FolderEdits.Change("films", f => f with { Name = "reels" }))).ShouldBe(["reels", "prints"]);
        Folders(House.With(ReachEdits.RemoveShare("prints"))).ShouldBe(["films"]);
        var without = House.With(FolderEdits.Remove("films"));
        Folders(without).ShouldBe(["prints"]);
        // Or nothing could be changed there any more: every change would be refused for what is not there.
        without.With(KeepingEdits.ChangeJob("folders", j => j with { Times = "04:00" })).Jobs[^1].Times.ShouldBe("04:00");
    }

    [Fact]
    public void Known_copies_follow_the_name_of_their_store_and_go_with_their_guest()
    {
        var renamed = House.With(KeepingEdits.ChangeStore("near", s => s with { Name = "close" }));
        renamed.Copies.Single().Store.ShouldBe("close");
        var gone = House.With(GuestEdits.Remove(Cloud));
        (gone.Copies.Count, gone.Jobs.Count(j => j.Takes.Any(p => p.Guest == Cloud))).ShouldBe((0, 0));
        House.With(KeepingEdits.ForgetCopies("near")).Copies.ShouldBeEmpty();
    }

    [Fact]
    public void A_drill_is_taken_out_and_one_that_is_not_there_is_said()
    {
        var drill = House.Drills.Single();
        House.With(KeepingEdits.RemoveDrill(drill.Key)).Drills.ShouldBeEmpty();
        Should.Throw<Refused>(() => KeepingEdits.RemoveDrill("house  2031-01-01")(House)).Message.ShouldContain("There is no drill");
    }

    [Fact]
    public void Whatever_is_changed_nothing_is_left_that_names_what_is_not_there() =>
        (from lab in Gens.AnyLab from seeds in Gen.Int.Array[4, 12] select (lab, seeds)).Holds(
            (lab, seeds) =>
            {
                foreach (var seed in seeds)
                {
                    var after = Gens.Try(lab, Any(lab, new Random(seed)));
                    var had = Missing(lab).ToHashSet(StringComparer.Ordinal);
                    Missing(after).Where(p => !had.Contains(p)).ShouldBeEmpty();
                    lab = after;
                }
            },
            iter: 400
        );

    /// <summary>A random change, more often than not one that renames something or takes it out.</summary>
    private static Edit Any(Lab lab, Random random)
    {
        T? Of<T>(ValueList<T> list)
            where T : class => list.Count == 0 ? null : list[random.Next(list.Count)];
        var (host, guest) = (Of(lab.Hosts), Of(lab.Guests));
        return random.Next(14) switch
        {
            0 when guest is not null => GuestEdits.Remove(guest.Id),
            1 when host is not null => HostEdits.Remove(host.Id),
            2 when host is not null && Of(host.Pools) is { } pool => HostEdits.RemovePool(host.Id, pool.Name),
            3 when host is not null && Of(host.Pools) is { } pool => PoolEdits.Change(host.Id, pool.Name, p => p with { Name = "anew" }),
            4 when Of(lab.Shares) is { } share => ReachEdits.RemoveShare(share.Name),
            5 when Of(lab.Shares) is { } share => ReachEdits.ChangeShare(share.Name, s => s with { Name = "anew" }),
            6 when Of(lab.Boxes) is { } box => ReachEdits.RemoveBox(box.Name),
            7 when Of(lab.Boxes) is { } box => ReachEdits.Box(box with { Name = "anew" }, box.Name),
            8 when Of(lab.Folders) is { } folder => FolderEdits.Remove(folder.Name),
            9 when Of(lab.Networks) is { } network => WireEdits.RemoveNetwork(network.Name),
            10 when Of(lab.Stores) is { } store => KeepingEdits.RemoveStore(store.Name),
            11 when lab.AllFolders.Count > 0 && Of(lab.Jobs) is { } job => KeepingEdits.Take(
                job.Name,
                new JobPart(Folder: Of(lab.AllFolders)!.Name)
            ),
            12 => WireGens.Any(lab, random),
            _ => CopyGens.Any(lab, random),
        };
    }

    private static IEnumerable<string> Missing(Lab lab) =>
        LabChecks.Problems(lab, (host, pool) => [.. pool.DiskIds.Where(id => host.Disks.All(d => d.Id != id))]).Select(p => p.Text);

    private static IEnumerable<string> Folders(Lab lab) =>
        lab.Jobs.Single(j => j.Name == "folders").Takes.Select(p => p.Folder).OfType<string>();
}
