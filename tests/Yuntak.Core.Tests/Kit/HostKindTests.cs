using Yuntak.Core.Bench;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Kit;

/// <summary>What follows from the system a host runs: the table of chapter 1, its readiness lines, its first steps.</summary>
public class HostKindTests
{
    [Theory]
    [Trade]
    [FromMemory]
    [InlineData(HostType.Hypervisor, 1.5, 32)]
    [InlineData(HostType.Server, 0.5, 32)]
    [InlineData(HostType.StoreBox, 1, 0)]
    [InlineData(HostType.StickStore, 2, 0)]
    [InlineData(HostType.Board, 0.3, 8)]
    public void Each_kind_keeps_its_own_memory_and_share_of_the_boot_disk(HostType type, double memory, double share)
    {
        var host = Small.Host("kiln") with { Type = type };
        Assessment.Of(Small.Lab(host)).Hosts[0].Memory.HostBase.ShouldBe(ByteSize.FromGiB(memory));
        host.SystemShareOf(host.Disks.First(d => d.IsBoot)).ShouldBe(ByteSize.FromGiB(share));
    }

    [Fact]
    public void What_a_host_says_of_itself_counts_more_than_its_kind()
    {
        var host = Small.Host("kiln") with
        {
            Type = HostType.Board,
            BaseMemory = ByteSize.FromGiB(1),
            SystemShare = ByteSize.FromGB(9),
            CoreSpeed = 0.5,
        };
        Assessment.Of(Small.Lab(host)).Hosts[0].Memory.HostBase.ShouldBe(ByteSize.FromGiB(1));
        host.SystemShareOf(host.Disks.First(d => d.IsBoot)).ShouldBe(ByteSize.FromGB(9));
        host.Speed.ShouldBe(0.5);
    }

    [Fact]
    public void The_lab_s_setting_speaks_of_hypervisors()
    {
        var lab = Small.Lab(Small.Host("kiln"), Small.Host("wren") with { Type = HostType.Server });
        var set = lab with { Settings = lab.Settings with { HostBase = ByteSize.FromGiB(3) } };
        Assessment.Of(set).Hosts.Select(h => h.Memory.HostBase).ShouldBe([ByteSize.FromGiB(3), ByteSize.FromGiB(0.5)]);
    }

    [Fact]
    [Trade]
    public void A_40_GB_boot_disk_has_31_GB_left_when_its_system_takes_9()
    {
        var host = OneDisk(40) with { SystemShare = ByteSize.FromGB(9) };
        Assessment.Of(Small.Lab(host)).Hosts[0].Pools[0].Room.Usable.ShouldBe(ByteSize.FromGB(31));
    }

    [Fact]
    public void One_disk_hosts_keep_guests_beside_the_system_as_a_note_others_as_a_mind()
    {
        var one = Small.Lab(OneDisk(256)).WithGuestOn(Small.Guest("notes"), "wren");
        one.Finding("kit.guests-on-boot-disk").Rule.Severity.ShouldBe(Core.Findings.Severity.Note);

        var two = Small
            .Lab(
                OneDisk(256) with
                {
                    Disks =
                    [
                        .. OneDisk(256).Disks.Select(d => d with { MountedAt = ["/"] }),
                        new Disk("b", "sdb", ByteSize.FromTB(1), DiskKind.SataFlash),
                    ],
                }
            )
            .WithGuestOn(Small.Guest("notes"), "wren");
        two.Finding("kit.guests-on-boot-disk").Rule.Severity.ShouldBe(Core.Findings.Severity.Mind);
    }

    [Fact]
    public void The_disk_a_one_disk_host_starts_from_is_not_wiped_for_its_pool()
    {
        var runbook = RunbookBuilder.Build(Small.Lab(), Small.Lab(OneDisk(256)));
        runbook.Steps.Where(s => s.Act.Type == "make-pool").SelectMany(s => s.Act.Wipes).ShouldBeEmpty();
    }

    [Fact]
    [Trade]
    public void A_mirrored_boot_is_two_disks_with_the_same_share_and_both_are_installed_onto()
    {
        Disk[] disks = [Boot("a"), Boot("b")];
        var host = Small.Host("kiln") with
        {
            Disks = [.. disks],
            Pools = [new Pool("ember", PoolLayout.Mirror, PoolFamily.BlockArray, ["a", "b"])],
        };
        Assessment.Of(Small.Lab(host)).Hosts[0].Pools[0].Room.Usable.ShouldBe(ByteSize.FromGB(500) - ByteSize.FromGiB(32));

        var runbook = RunbookBuilder.Build(Small.Lab(), Small.Lab(host));
        runbook.Steps.Single(s => s.Act.Type == "install-host").Act.Wipes.ShouldBe(["a", "b"]);
        runbook.Steps.Single(s => s.Act.Type == "make-pool").Act.Wipes.ShouldBeEmpty("only what is free of either is used");
    }

    [Theory]
    [Trade]
    [InlineData(
        HostType.Hypervisor,
        "set-up-firmware write-medium install-host take-medium-out fix-address update-host read-host send-alerts keep-settings"
    )]
    [InlineData(
        HostType.Server,
        "set-up-firmware write-medium install-host take-medium-out fix-address update-host set-up-users install-engine read-host send-alerts keep-settings"
    )]
    [InlineData(HostType.StoreBox, "set-up-store-box fix-address send-alerts keep-settings")]
    [InlineData(
        HostType.StickStore,
        "set-up-firmware write-stick start-from-stick fix-address update-host read-host send-alerts keep-settings"
    )]
    [InlineData(
        HostType.Board,
        "write-card fit-cooling fix-address update-host set-up-users install-engine read-host send-alerts keep-settings"
    )]
    public void First_steps_follow_the_kind(HostType type, string acts)
    {
        var host = Small.Host("kiln") with { Type = type, Pools = [], BatteryBackup = null };
        var steps = RunbookBuilder.Build(Small.Lab(), Small.Lab(host)).Steps.Select(s => s.Act.Type);
        string.Join(' ', steps).ShouldBe(acts);
    }

    [Fact]
    public void Nothing_is_installed_onto_the_disks_of_a_store()
    {
        foreach (var type in new[] { HostType.StoreBox, HostType.StickStore })
        {
            var host = Small.Host("kiln") with { Type = type, Pools = [] };
            RunbookBuilder.Build(Small.Lab(), Small.Lab(host)).Steps.SelectMany(s => s.Act.Wipes).ShouldBeEmpty(type.ToString());
        }
    }

    [Fact]
    [Trade]
    public void A_board_is_asked_nothing_it_cannot_answer()
    {
        var asked = Lines(HostType.Board);
        asked.ShouldNotContain("virtualisation");
        asked.ShouldNotContain("isolation");
        asked.ShouldContain("cooling");
        Lines(HostType.StickStore).ShouldContain("stick-copy");
        Lines(HostType.Hypervisor).ShouldBe(Lines(HostType.Server));
    }

    [Fact]
    [FromMemory]
    public void A_slow_core_takes_longer_and_the_working_says_so()
    {
        var guest = Small.Guest("films", "media-library", GuestKind.AppStack, new LoadValue("conversions-1080p", 2));
        var fast = On(HostType.Server, guest);
        var slow = On(HostType.Board, guest);
        slow.BusyCores.Value.ShouldBe(fast.BusyCores.Value / 0.35, 1e-9);
        slow.AdvisedVcpu.Formula.ShouldContain("0.35");
        fast.AdvisedVcpu.Formula.ShouldNotContain("reference");
    }

    [Theory]
    [InlineData(HostType.Server, GuestKind.SystemContainer)]
    [InlineData(HostType.StoreBox, GuestKind.SystemContainer)]
    [InlineData(HostType.Board, GuestKind.Machine)]
    public void What_a_kind_does_not_run_is_not_put_there(HostType type, GuestKind kind)
    {
        var lab = Small.Lab(Small.Host("kiln", 64, 8, 16) with { Type = type });
        var answer = FitCheck.OnEveryHost(Assessment.Of(lab), Small.Guest("notes", kind: kind)).Single();
        answer.CanGo.ShouldBeFalse();
        answer.Limits[0].Text.ShouldContain(kind.Words());
    }

    [Fact]
    public void A_reading_says_what_kind_it_looks_like()
    {
        HostReading Read(string family, DiskKind kind, params string[] at) =>
            new(new Processor(family, 1, 4, 4), ByteSize.FromGiB(4), [new Disk("a", "sda", ByteSize.FromGB(64), kind, [.. at])], []);
        HostGuess.Of(Read("aarch64", DiskKind.Card, "/")).ShouldBe(HostType.Board);
        HostGuess.Of(Read("aarch64", DiskKind.NvmeFlash, "/")).ShouldBe(HostType.Hypervisor);
        HostGuess.Of(Read("x86_64", DiskKind.Usb, "/boot")).ShouldBe(HostType.StickStore);
        HostGuess.Of(Read("x86_64", DiskKind.SataFlash, "/")).ShouldBe(HostType.Hypervisor);
    }

    private static Sizing On(HostType type, Guest guest)
    {
        var lab = Small.Lab(Small.Host("kiln", 16, 8, 8) with { Type = type }).WithGuestOn(guest, "kiln");
        return Assessment.Of(lab).Guests[0];
    }

    private static List<string> Lines(HostType type)
    {
        var assessment = Assessment.Of(Small.Lab(Small.Host("kiln") with { Type = type }));
        return [.. HostReadiness.Of(assessment, assessment.Hosts[0]).Select(l => l.Item.Id)];
    }

    private static Disk Boot(string id) => new(id, "sd" + id, ByteSize.FromGB(500), DiskKind.SataFlash, ["/"]);

    private static Host OneDisk(double gb) =>
        Small.Host("wren", 8) with
        {
            Disks = [new Disk("only", "sda", ByteSize.FromGB(gb), DiskKind.SataFlash)],
            Pools = [new Pool("local", PoolLayout.Single, PoolFamily.BlockArray, ["only"])],
        };
}
