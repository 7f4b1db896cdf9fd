using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;
using Yuntak.Formats.Intake;
using Yuntak.Tests;

namespace Yuntak.Formats.Tests.Intake;

/// <summary>What a host was found doing: mounts, arrays, listeners, control groups, the speed of a core.</summary>
public class StandingTests
{
    private const string Disks = """
        {"blockdevices": [
          {"name":"sda","path":"/dev/sda","type":"disk","size":500000000000,"rota":false,"serial":"A","children":[
            {"name":"sda1","path":"/dev/sda1","type":"part","size":1,"fstype":"linux_raid_member","children":[{"name":"md0","path":"/dev/md0","type":"raid1","size":1,"mountpoints":["/"],"fstype":"ext4"}]}]},
          {"name":"sdb","path":"/dev/sdb","type":"disk","size":500000000000,"rota":false,"serial":"B","children":[
            {"name":"sdb1","path":"/dev/sdb1","type":"part","size":1,"fstype":"linux_raid_member","children":[{"name":"md0","path":"/dev/md0","type":"raid1","size":1,"mountpoints":["/"],"fstype":"ext4"}]}]},
          {"name":"sdc","path":"/dev/sdc","type":"disk","size":8000000000000,"rota":true,"serial":"C","children":[{"name":"sdc1","path":"/dev/sdc1","type":"part","size":1}]},
          {"name":"sdd","path":"/dev/sdd","type":"disk","size":8000000000000,"rota":true,"serial":"D","children":[{"name":"sdd1","path":"/dev/sdd1","type":"part","size":1}]},
          {"name":"sde","path":"/dev/sde","type":"disk","size":8000000000000,"rota":true,"serial":"E","children":[{"name":"sde1","path":"/dev/sde1","type":"part","size":1}]},
          {"name":"sdh","path":"/dev/sdh","type":"disk","size":4000000000000,"rota":true,"serial":"H","children":[{"name":"sdh1","path":"/dev/sdh1","type":"part","size":1,"fstype":"exfat"}]}
        ]}
        """;

    private const string Mounts = """
        {"filesystems": [
          {"target":"/","source":"/dev/md0","fstype":"ext4","options":"rw","size":"490000000000","used":"20000000000","children":[
            {"target":"/proc","source":"proc","fstype":"proc","options":"rw"},
            {"target":"/srv/bulk","source":"/dev/md1","fstype":"ext4","options":"rw,noexec,nosuid","size":15500000000000,"used":9100000000000,"uuid":"00000000-0000-4000-8000-000000000009"},
            {"target":"/mnt/old","source":"/dev/sdh1","fstype":"exfat","options":"rw","size":3999000000000,"used":1000000000000},
            {"target":"/mnt/films","source":"//store/films","fstype":"cifs","options":"ro"}]}
        ]}
        """;

    [Fact]
    public void A_mirrored_boot_is_seen_on_both_its_disks()
    {
        var reading = IntakeReader.Read(Disks);
        reading.Disks.Where(d => d.IsBoot).Select(d => d.Name).ShouldBe(["sda", "sdb"]);
    }

    [Fact]
    [FromMemory]
    public void Arrays_and_mounts_become_pools_and_the_boot_mirror_does_not()
    {
        var reading = IntakeReader.Read(Disks + "\n" + Samples.Text("mdstat-invented.txt") + Mounts);
        var pools = reading.Hardware.Found;
        pools.Select(p => p.Name).ShouldBe(["bulk", "old"]);
        pools[0].Layout.ShouldBe(PoolLayout.Parity2);
        pools[0].Missing.ShouldBe(1, "the failed disk is marked with an underscore");
        pools[0].DiskIds.Count.ShouldBe(3, "sdf is not among the disks, and sdg is a spare");
        pools[0].MountedAt.ShouldBe("/srv/bulk");
        pools[0].Used.ShouldBe(ByteSize.FromTB(9.1));
        pools[1].Size.ShouldBe(ByteSize.FromGB(3999));
        reading.Problems.ShouldBeEmpty();

        var host = NewHost.From(reading, "store", new Processor("x86_64", 1, 4, 4), ByteSize.FromGiB(8));
        var taken = Core.Disks.PoolProposal.Found(host);
        taken.Select(p => p.KeptAsFound).ShouldBe([false, true], "other computers read exfat");
    }

    [Fact]
    public void A_mount_says_where_it_comes_from_and_what_it_forbids()
    {
        var mounts = IntakeReader.Read(Mounts).Hardware.Mounts;
        mounts.Select(m => m.Target).ShouldBe(["/", "/srv/bulk", "/mnt/old", "/mnt/films"], ignoreOrder: true);
        mounts.Single(m => m.Target == "/srv/bulk").NoExecution.ShouldBeTrue();
        mounts.Where(m => m.FromNetwork).Select(m => m.Source).ShouldBe(["//store/films"]);
    }

    [Fact]
    [Reference("findmnt (util-linux 2.38) on this machine")]
    public void This_machine_s_mounts_are_read_without_the_kernel_s_own()
    {
        var mounts = Samples.Read("findmnt-this-machine.json").Hardware.Mounts;
        mounts.ShouldNotBeEmpty();
        mounts.ShouldContain(m => m.Target == "/" && m.Size != null);
        mounts.ShouldNotContain(m => m.FileSystem == "proc" || m.FileSystem == "tmpfs");
    }

    [Fact]
    [Reference("pvs (lvm2 2.03) on this machine, over three loop devices in one volume group")]
    public void A_volume_group_becomes_a_pool_over_its_disks()
    {
        var disks =
            """{"blockdevices":[{"name":"loop9","type":"loop","size":1}, """
            + string.Join(
                ",",
                Enumerable
                    .Range(0, 3)
                    .Select(n => $$"""{"name":"vd{{n}}","path":"/dev/loop{{n}}","type":"disk","size":67108864,"serial":"L{{n}}"}""")
            )
            + "]}";
        var reading = IntakeReader.Read(disks + "\n" + Samples.Text("pvs-this-machine.json"));
        var pool = reading.Hardware.Found.ShouldHaveSingleItem();
        (pool.Name, pool.Layout, pool.DiskIds.Count).ShouldBe(("ash", PoolLayout.Stripe, 3));
    }

    [Theory]
    [InlineData(PoolLayout.Parity1)]
    [InlineData(PoolLayout.Parity2)]
    [InlineData(PoolLayout.StripedMirrors)]
    [InlineData(PoolLayout.Mirror)]
    public void The_layout_of_a_copy_on_write_pool_is_worked_out_from_its_room(PoolLayout layout)
    {
        ByteSize[] disks = [.. Enumerable.Repeat(ByteSize.FromTB(8), 6)];
        var room = Core.Disks.PoolRoom.Of(layout, PoolFamily.CopyOnWrite, disks).AfterReserve;
        var read = string.Join(
            ",",
            Enumerable
                .Range(0, 6)
                .Select(n =>
                    $$"""{"name":"sd{{(char)('b' + n)}}","type":"disk","size":8000000000000,"serial":"S{{n}}","fstype":"cow_member","label":"clay"}"""
                )
        );
        var text =
            "{\"blockdevices\":["
            + read
            + "]}\n{\"filesystems\":[{\"target\":\"/clay\",\"source\":\"clay\",\"fstype\":\"cow\",\"size\":"
            + room.Bytes
            + ",\"used\":1000}]}";
        var pool = IntakeReader.Read(text).Hardware.Found.ShouldHaveSingleItem();
        pool.Layout.ShouldBe(layout);
        pool.Unsure.ShouldNotBeNull();
    }

    [Fact]
    [Reference("ss (iproute2 6.1) on this machine")]
    public void Listeners_are_read_with_what_only_this_host_reaches()
    {
        Samples
            .Read("ss-this-machine.txt")
            .Hardware.Listeners.ShouldContain(l => l.Protocol == "tcp" && l.Address == "*" && l.Port == 2024);
        var bundle = IntakeReader.Read(Samples.Bundle).Hardware.Listeners;
        bundle.Single(l => l.Port == 8086).OnlyHere.ShouldBeTrue();
        bundle.Count(l => l.Port == 22).ShouldBe(1, "0.0.0.0 and [::] are both any address");
    }

    [Fact]
    public void Control_groups_that_look_like_guests_are_told_from_the_host_s_own_services()
    {
        var runs = IntakeReader.Read(Samples.Bundle).Hardware.Runs;
        runs.Where(r => r.Kind is not null)
            .Select(r => (r.Name, r.Kind))
            .ShouldBe([
                ("tinker", GuestKind.Machine),
                ("owlwatch", GuestKind.SystemContainer),
                ("lantern", GuestKind.SystemContainer),
                ("container 4f1c0de5ca1a", GuestKind.AppStack),
            ]);
        runs.Single(r => r.Name == "lantern").Peak.ShouldBe(new ByteSize(2_310_000_000));
        runs.Single(r => r.Name == "lantern").ProcessorSeconds.ShouldBe(91_000);
        runs.ShouldContain(r => r.Name == "ssh" && r.Kind == null);
    }

    [Fact]
    [Trade]
    public void The_least_of_three_tries_says_how_fast_a_core_is()
    {
        // core speed = 1.0 s / the least user time (chapter 1).
        IntakeReader.Read("core speed, seconds: 0.86 0.80 0.82\n").CoreSpeed.ShouldBe(1.25);
        IntakeReader.Read("core speed, seconds: x\n").CoreSpeed.ShouldBeNull();
        NewHost.From(IntakeReader.Read(Samples.Bundle), "kiln").Speed.ShouldBe(1.25);
    }

    [Theory]
    [InlineData("lspci", "pciutils")]
    [InlineData("lsusb", "usbutils")]
    [InlineData("dmidecode", "dmidecode")]
    [InlineData("smartctl", "smartmontools")]
    [InlineData("sensors", "lm-sensors")]
    public void A_tool_that_is_missing_is_a_hint_with_the_package_that_brings_it(string tool, string package)
    {
        var part = IntakeReader.Read($"=== yuntak part cards: x ===\n# not run: {tool} is not installed\n").Parts.Single();
        part.Problems.ShouldBeEmpty();
        part.Hints.ShouldHaveSingleItem().ShouldContain($"package {package} ");
    }
}
