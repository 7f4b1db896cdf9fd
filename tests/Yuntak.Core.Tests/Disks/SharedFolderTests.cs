using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Disks;

/// <summary>Folders that several guests use, disks kept as found, and what encryption and parity ask of a new pool.</summary>
public class SharedFolderTests
{
    private static readonly HostId Kiln = new("kiln");

    [Fact]
    public void A_folder_counts_once_however_many_use_it_and_takes_the_place_of_their_bulk_data()
    {
        var lab = Two();
        var before = Claimed(lab);
        var shared = lab.With(FolderEdits.Add(Films()));
        var bulk = Assessment.Of(lab).Guests.Aggregate(ByteSize.Zero, (sum, g) => sum + g.Bulk);
        Claimed(shared).ShouldBe(before - bulk + ByteSize.FromGB(900));
        shared.Findings("bench.no-pool-for-guest").ShouldBeEmpty();
    }

    [Fact]
    public void What_a_host_says_is_used_and_the_guests_in_it_count_twice_until_they_are_subtracted()
    {
        // 7.5 of 8 TB are used as the host's own tools say, 900 GB of them the folder that the file names too.
        var both = Two()
            .With(FolderEdits.Add(Films()))
            .WithHost(
                Kiln,
                h =>
                    h with
                    {
                        Pools = [.. h.Pools.Select(p => p with { AlreadyUsed = p.Name == "ember" ? ByteSize.FromTB(7.5) : p.AlreadyUsed })],
                    }
            );
        var over = both.Finding("bench.pool-over");
        var fix = over.Fixes[0];
        fix.Label.ShouldContain("subtract");
        var once = both.With(fix.Edit);
        once.Findings("bench.pool-over").ShouldBeEmpty();
        Claimed(once).ShouldBe(ByteSize.FromTB(7.5));

        // More than the pool holds is never explained by that.
        var full = both.WithHost(
            Kiln,
            h => h with { Pools = [.. h.Pools.Select(p => p.Name == "ember" ? p with { AlreadyUsed = ByteSize.FromTB(30) } : p)] }
        );
        full.Finding("bench.pool-over").Fixes.ShouldNotContain(f => f.Label.Contains("subtract"));
    }

    [Fact]
    public void A_folder_beside_a_guest_s_own_bulk_data_adds_to_it()
    {
        var lab = Two();
        var beside = Films() with { Uses = [new FolderUse(new GuestId("films"), "/films", InPlaceOfBulk: false)] };
        Claimed(lab.With(FolderEdits.Add(beside))).ShouldBe(Claimed(lab) + ByteSize.FromGB(900));
    }

    [Fact]
    public void A_name_is_given_once_and_a_folder_lies_in_a_pool_that_is_there()
    {
        var lab = Two().With(FolderEdits.Add(Films()));
        Should.Throw<Base.Refused>(() => lab.With(FolderEdits.Add(Films()))).Message.ShouldContain("already");
        Should
            .Throw<Base.Refused>(() => lab.With(FolderEdits.Add(Films() with { Name = "x", Pool = "attic" })))
            .Message.ShouldContain("attic");
        lab.With(FolderEdits.Remove("films")).Folders.ShouldBeEmpty();
    }

    [Fact]
    public void A_disk_kept_as_found_is_mounted_and_never_wiped()
    {
        var found = new Disk("old", "sdx", ByteSize.FromTB(4), DiskKind.Usb, Holds: ["exfat"]);
        var host = Small.Host("kiln") with { Disks = [.. Small.Host("kiln").Disks, found] };
        var built = Small.Lab(host);
        var pool = new Pool("attic", PoolLayout.Single, PoolFamily.BlockArray, ["old"], KeptAsFound: true, MountedAt: "/mnt/attic");
        var draft = Small.Lab(host with { Pools = [.. host.Pools, pool] });

        var step = RunbookBuilder.Build(built, draft).Steps.Single();
        step.Act.Type.ShouldBe("mount-as-found");
        step.Act.Wipes.ShouldBeEmpty();
        step.Text.Values.ShouldContain(v => v.Value.Contains("/mnt/attic") && v.Value.StartsWith("UUID="));
    }

    [Fact]
    public void Moving_a_disk_kept_as_found_to_the_native_format_copies_out_wipes_and_copies_back()
    {
        var pool = new Pool("attic", PoolLayout.Single, PoolFamily.BlockArray, ["d0"], ByteSize.FromTB(1), KeptAsFound: true);
        var host = Bare() with { Pools = [pool, Array(PoolLayout.Single, 1) with { DiskIds = ["d1"] }] };
        var draft = host with { Pools = [pool with { KeptAsFound = false }, host.Pools[1]] };
        var steps = RunbookBuilder.Build(Small.Lab(host), Small.Lab(draft)).Steps.Select(s => s.Act.Type);
        steps.ShouldBe(["copy-pool-away", "take-pool-apart", "make-pool", "copy-pool-back"]);
    }

    [Fact]
    public void An_encrypted_pool_is_encrypted_before_anything_goes_in_and_its_key_is_tried()
    {
        var steps = RunbookBuilder
            .Build(
                Small.Lab(Bare()),
                Small.Lab(Bare() with { Pools = [Array(PoolLayout.Mirror, 2) with { Encrypted = true, KeyPlaces = ["safe", "letter"] }] })
            )
            .Steps.ToList();
        steps.Select(s => s.Act.Type).ShouldBe(["make-pool", "encrypt-pool"]);
        steps[1].Text.Values.ShouldContain(v => v.Value == "safe, letter");
    }

    [Fact]
    [Trade]
    public void A_parity_array_names_its_parity_disk_and_says_how_long_its_first_build_takes()
    {
        var step = RunbookBuilder
            .Build(Small.Lab(Bare()), Small.Lab(Bare() with { Pools = [Array(PoolLayout.Dedicated1, 3)] }))
            .Steps.Single();
        step.Text.Values.Single(v => v.Label == "parity disk").Value.ShouldStartWith("d0");
        // 20 TB at 180 MB/s: 30.9 h (chapter 3).
        step.Text.Values.Single(v => v.Label == "first build of the parity").Value.ShouldContain("31 h");
        var mirror = RunbookBuilder
            .Build(Small.Lab(Bare()), Small.Lab(Bare() with { Pools = [Array(PoolLayout.Mirror, 2)] }))
            .Steps.Single();
        mirror.Text.Values.ShouldNotContain(v => v.Label == "first build of the parity");
    }

    private static Lab Two() =>
        Small
            .Lab(Small.Host("kiln", 32, 8, 16, 8))
            .WithGuestOn(Small.Guest("films", "media-library", GuestKind.SystemContainer, new LoadValue("library", 1)), "kiln")
            .WithGuestOn(Small.Guest("music", "music", GuestKind.SystemContainer, new LoadValue("library", 500)), "kiln");

    private static SharedFolder Films() =>
        new(
            "films",
            Kiln,
            "ember",
            ByteSize.FromGB(900),
            [new FolderUse(new GuestId("films"), "/films"), new FolderUse(new GuestId("music"), "/library", Writes: true)],
            new GuestId("music")
        );

    private static ByteSize Claimed(Lab lab) => Assessment.Of(lab).Hosts[0].Pools[0].Claimed.Value;

    private static Host Bare() =>
        Small.Host("kiln") with
        {
            Disks =
            [
                .. Small.Host("kiln").Disks.Take(1),
                .. Enumerable.Range(0, 3).Select(n => new Disk($"d{n}", $"sd{n}", ByteSize.FromTB(20), DiskKind.Spinning)),
            ],
            Pools = [],
        };

    private static Pool Array(PoolLayout layout, int disks) =>
        new("bulk", layout, PoolFamily.BlockArray, [.. Enumerable.Range(0, disks).Select(n => $"d{n}")]);
}
