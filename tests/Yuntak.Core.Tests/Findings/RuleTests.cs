using CsCheck;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Findings;

/// <summary>Each rule notices its fault, stays silent without it, and its fixes settle it.</summary>
public class RuleTests
{
    public static TheoryData<string, Lab> Faults()
    {
        var kiln = Small.Host("kiln", 64, 8, 16, 8);
        var spare = Small.Host("wren", 64, 8, 16, 8);
        var machine = Small.Guest("notes");
        var stack = Small.Guest("cloud", "file-cloud", GuestKind.AppStack, new LoadValue("quota", 10));
        var pair = Small.Lab(kiln, spare);
        var bootPool = kiln with { Pools = [new Pool("local", PoolLayout.Single, PoolFamily.BlockArray, ["kiln-boot"])] };
        var both = kiln with { Pools = [.. bootPool.Pools, .. kiln.Pools] };
        var faults = new TheoryData<string, Lab>
        {
            {
                "kit.virtualisation-off",
                Small.Lab(kiln with { Processor = kiln.Processor with { Virtualisation = false } }, spare).WithGuestOn(machine, "kiln")
            },
            { "kit.router-one-port", Small.Lab(kiln with { NetworkPorts = 1 }, spare).WithGuestOn(Small.Guest("gate", "router"), "kiln") },
            {
                "kit.guests-on-boot-disk",
                Small.Lab(both).WithGuestOn(machine, "kiln").With(GuestEdits.UsePools(new GuestId("notes"), "local", null))
            },
            { "kit.old-disk", Small.Lab(kiln with { Disks = kiln.Disks.Change(_ => true, d => d with { HoursRun = 43_801 }) }) },
            {
                "kit.no-battery-backup",
                Small.Lab(
                    kiln with
                    {
                        BatteryBackup = false,
                        Pools = [new Pool("ember", PoolLayout.Single, PoolFamily.CopyOnWrite, ["kiln-data"])],
                    }
                )
            },
            {
                "kit.boot-from-stick",
                Small.Lab(kiln with { Disks = kiln.Disks.Change(d => d.IsBoot, d => d with { Kind = DiskKind.Usb }) })
            },
            {
                "kit.isolation-off",
                Small
                    .Lab(kiln.With(new Hardware(Functions: [new PciFunction("0000:04:00.0", "0c03")], Isolation: false)))
                    .WithGuestOn(machine, "kiln")
                    .With(KitEdits.HandOver(new HostId("kiln"), "0000:04:00.0", new GuestId("notes")))
            },
            { "kit.disk-failing", Small.Lab(WithHealth(kiln, new DiskHealth(Passed: false, ReallocatedSectors: 9))) },
            { "kit.disk-sectors", Small.Lab(WithHealth(kiln, new DiskHealth(Passed: true, PendingSectors: 1))) },
            { "kit.disk-worn", Small.Lab(WithHealth(kiln, new DiskHealth(Passed: true, WearPercent: 81))) },
            { "kit.pool-lost", Small.Lab(Parity(kiln, 3, 4)).Losing("p0", "p1") },
            { "kit.pool-degraded", Small.Lab(Parity(kiln, 3, 4)).Losing("p0") },
            { "kit.address-changes", Small.Lab(kiln with { AddressFixed = false }) },
            { "kit.stays-off", Small.Lab(kiln with { PowersOn = false }) },
            { "kit.too-hot", Small.Lab(kiln.With(new Hardware(Temperatures: [new Temperature("Package", 96, 95)]))) },
            {
                "kit.firmware-old",
                Small.Lab(
                    kiln.With(new Hardware(Firmware: new Firmware(new DateOnly(2024, 11, 19)))) with
                    {
                        ReadOn = new DateOnly(2026, 11, 20),
                    }
                )
            },
            { "wants.processors-short", pair.WithGuestOn(Films(2) with { Overrides = new SizeOverrides(Vcpu: 2) }, "kiln") },
            {
                "wants.pinned-cannot-shrink",
                Small
                    .Lab(kiln.With(new Hardware(Functions: [new PciFunction("0000:04:00.0", "0c03")], Isolation: true)))
                    .WithGuestOn(Given("big", 8) with { MayShrinkTo = ByteSize.FromGiB(4) }, "kiln")
                    .With(KitEdits.HandOver(new HostId("kiln"), "0000:04:00.0", new GuestId("big")))
            },
            {
                "wants.shrink-says-nothing",
                pair.WithGuestOn(
                    Small.Guest("films", "wiki", GuestKind.SystemContainer) with
                    {
                        MayShrinkTo = ByteSize.FromMiB(256),
                    },
                    "kiln"
                )
            },
            { "wants.more-vcpu-than-threads", pair.WithGuestOn(machine with { Overrides = new SizeOverrides(17) }, "kiln") },
            { "wants.machine-only", pair.WithGuestOn(Small.Guest("gate", "router", GuestKind.SystemContainer), "kiln") },
            { "wants.no-data-folder", pair.WithGuestOn(stack with { Folders = [] }, "kiln") },
            {
                "wants.memory-short",
                pair.WithGuestOn(machine with { Overrides = new SizeOverrides(Memory: ByteSize.FromMiB(256)) }, "kiln")
            },
            {
                "wants.memory-generous",
                pair.WithGuestOn(machine with { Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(8)) }, "kiln")
            },
            { "wants.latest-tag", pair.WithGuestOn(stack with { Image = "registry.example/cloud:latest" }, "kiln") },
            {
                "wants.scratch-on-spinning",
                Small
                    .Lab(kiln with { Disks = kiln.Disks.Change(d => !d.IsBoot, d => d with { Kind = DiskKind.Spinning }) })
                    .WithGuestOn(Films(1), "kiln")
            },
            {
                "wants.accelerator-busy",
                pair.WithGuestOn(
                    Small.Guest("owl", "camera-recorder", GuestKind.Machine, new LoadValue("cameras", 15), new LoadValue("days", 1)),
                    "kiln"
                )
            },
            {
                "wants.streams-over-link",
                Small
                    .Lab(kiln.With(new Hardware(Ports: [new NetworkPort("enp1s0", SpeedMbps: 100)])))
                    .WithGuestOn(
                        Small.Guest("films", "media-library", GuestKind.Machine, new LoadValue("plays", 7), new LoadValue("library", 1)),
                        "kiln"
                    )
            },
            {
                "wants.wrong-family",
                Small
                    .Lab(kiln with { Processor = kiln.Processor with { Architecture = "aarch64" } }, spare)
                    .WithGuestOn(machine with { MadeFor = "amd64" }, "kiln")
            },
            { "wants.health-check-short", pair.WithGuestOn(Small.Guest("hub", "automation-hub") with { HealthCheckMinutes = 5 }, "kiln") },
            {
                "wants.privileged-container",
                pair.WithGuestOn(Small.Guest("films", "wiki", GuestKind.SystemContainer) with { Privileged = true }, "kiln")
            },
            { "wants.encoder-over", Small.Lab(WithCard(kiln, 60)).WithGuestOn(Converting(GuestKind.SystemContainer, uhd: 1), "kiln") },
            { "wants.no-encoder", Small.Lab(WithCard(kiln, null)).WithGuestOn(Converting(GuestKind.Machine, uhd: 1), "kiln") },
            {
                "disks.parity-disk-small",
                Small.Lab(Pooled(kiln, PoolLayout.Dedicated1, PoolFamily.BlockArray, [Disk("a", 2), Disk("b", 6), Disk("c", 1)]))
            },
            {
                "disks.key-not-kept",
                Small.Lab(
                    WithPool(
                        Pooled(kiln, PoolLayout.Mirror, PoolFamily.BlockArray, [Disk("a", 2), Disk("b", 2)]),
                        p => p with { Encrypted = true, KeyPlaces = ["safe", "Safe"] }
                    )
                )
            },
            { "disks.full-soon", Growing(pair, 7_980, 100) },
            { "disks.fills-soon", Growing(pair, 6_300, 100) },
            {
                "disks.left-over",
                Small.Lab(Pooled(kiln, PoolLayout.Parity2, PoolFamily.BlockArray, [Disk("a", 2), Disk("b", 2), Disk("c", 2), Disk("d", 4)]))
            },
            {
                "disks.mixed-kinds",
                Small.Lab(
                    Pooled(kiln, PoolLayout.Mirror, PoolFamily.BlockArray, [Disk("a", 2), Disk("b", 2) with { Kind = DiskKind.SataFlash }])
                )
            },
            {
                "disks.usb-in-parity",
                Small.Lab(Pooled(kiln, PoolLayout.Mirror, PoolFamily.BlockArray, [Disk("a", 2), Disk("b", 2) with { Kind = DiskKind.Usb }]))
            },
            {
                "disks.no-scrub",
                Small.Lab(
                    WithPool(
                        Pooled(kiln, PoolLayout.Mirror, PoolFamily.BlockArray, [Disk("a", 2), Disk("b", 2)]),
                        p => p with { ScrubDays = 0 }
                    )
                )
            },
            {
                "disks.thin-promised",
                Small
                    .Lab(kiln with { Pools = kiln.Pools.Change(_ => true, p => p with { Thin = true }) })
                    .WithGuestOn(machine with { Overrides = new SizeOverrides(SystemDisk: ByteSize.FromTB(13)) }, "kiln")
            },
            {
                "disks.guest-disks-on-spinning",
                Small
                    .Lab(
                        kiln with
                        {
                            Disks = kiln.Disks.With(Disk("slow", 4)),
                            Pools = kiln.Pools.With(new Pool("clay", PoolLayout.Single, PoolFamily.BlockArray, ["slow"])),
                        }
                    )
                    .WithGuestOn(machine, "kiln")
                    .With(GuestEdits.UsePools(new GuestId("notes"), "clay", null))
            },
            {
                "disks.names-differ",
                Small.Lab(
                    WithPool(kiln, p => p with { Takes = [ContentKind.GuestDisks] }),
                    WithPool(spare, p => p with { Takes = [ContentKind.GuestDisks] }),
                    WithPool(Small.Host("cellar"), p => p with { Name = "clay", Takes = [ContentKind.GuestDisks, ContentKind.Scratch] })
                )
            },
            {
                "disks.guest-disks-on-parity",
                Small
                    .Lab(
                        Pooled(kiln, PoolLayout.Parity2, PoolFamily.CopyOnWrite, [.. Enumerable.Range(0, 6).Select(n => Disk($"p{n}", 4))])
                    )
                    .WithGuestOn(machine, "kiln")
            },
            {
                "wants.packaging-not-offered",
                Small
                    .Lab(kiln with { Type = HostType.Server })
                    .WithGuestOn(
                        Small.Guest("music", "music", GuestKind.SystemContainer) with
                        {
                            Folders = [new FolderMount("/srv/m", "/m")],
                        },
                        "kiln"
                    )
            },
            {
                "disks.half-of-boot",
                Small.Lab(
                    kiln with
                    {
                        Disks = [.. kiln.Disks, kiln.Disks.First(d => d.IsBoot) with { Id = "twin", Name = "sdt" }],
                        Pools = [new Pool("local", PoolLayout.Single, PoolFamily.BlockArray, ["twin"])],
                    }
                )
            },
            { "disks.folder-nowhere", Sharing("attic", "notes") },
            { "disks.folder-not-backed-up", Sharing("ember", "notes") },
            { "disks.landing-unprotected", Small.Lab(WithPool(kiln, p => p with { Tier = TierKind.Landing, Serves = "clay" }) with { }) },
            {
                "disks.tier-too-small",
                Small.Lab(WithPool(kiln, p => p with { Tier = TierKind.Landing, WrittenBetweenMoves = ByteSize.FromTB(7) }))
            },
            { "disks.tier-serves-nothing", Small.Lab(WithPool(both, p => p.Name == "local" ? p with { Tier = TierKind.ReadCache } : p)) },
            {
                "disks.same-batch",
                Small.Lab(
                    Pooled(
                        kiln,
                        PoolLayout.Parity2,
                        PoolFamily.BlockArray,
                        [.. Enumerable.Range(0, 4).Select(n => Disk($"p{n}", 4) with { Model = "Saltpan P8", HoursRun = 20_000 + n })]
                    )
                )
            },
            { "bench.memory-over", pair.WithGuestOn(Given("bigger", 40), "kiln").WithGuestOn(Given("big", 24), "kiln") },
            { "bench.memory-tight", pair.WithGuestOn(Given("bigger", 40), "kiln").WithGuestOn(Given("big", 17.5), "kiln") },
            { "bench.memory-promised", pair.WithGuestOn(Given("big", 90) with { MayShrinkTo = ByteSize.FromGiB(2) }, "kiln") },
            { "bench.cores-over", pair.WithGuestOn(Films(10), "kiln") },
            { "bench.cores-tight", pair.WithGuestOn(Films(7), "kiln") },
            {
                "bench.vcpu-crowded",
                Enumerable
                    .Range(0, 5)
                    .Aggregate(pair, (l, n) => l.WithGuestOn(machine with { Name = $"g{n}", Overrides = new SizeOverrides(14) }, "kiln"))
            },
            {
                "wants.system-disk-short",
                Small
                    .Lab(kiln)
                    .WithGuestOn(
                        Small.Guest("films", "media-library", GuestKind.SystemContainer, new LoadValue("conversions-2160p", 2)) with
                        {
                            Overrides = new SizeOverrides(SystemDisk: ByteSize.FromGiB(24)),
                        },
                        "kiln"
                    )
            },
            { "bench.pool-over", pair.WithGuestOn(Library(9), "kiln") },
            { "bench.pool-past-comfort", pair.WithGuestOn(Library(7), "kiln") },
            { "disks.thin-parity", Small.Lab(Parity(kiln, 3, 8)) },
            {
                "bench.no-pool-for-guest",
                Small.Lab(kiln).WithGuestOn(machine, "kiln").With(GuestEdits.UsePools(new GuestId("notes"), null, null))
            },
            {
                "bench.router-with-test-guests",
                pair.WithGuestOn(Small.Guest("gate", "router"), "kiln").WithGuestOn(Small.Guest("tinker", "test-machine"), "kiln")
            },
            {
                "bench.no-refuge",
                Small.Lab(kiln, Small.Host("shelf", 1)).WithGuestOn(machine with { Importance = Importance.Must, Survives = true }, "kiln")
            },
            { "bench.not-placed", pair.With(GuestEdits.Add(machine)) },
            {
                "runbook.wipe-unsaid",
                Small.Lab(kiln with { Disks = kiln.Disks.Change(d => d.Id == "kiln-data", d => d with { Holds = ["ntfs"] }) })
            },
            {
                "runbook.halt",
                (pair with { Shares = [new NetworkShare("reels", new ShareEnd(new GuestId("shelf"), Path: "/srv/reels"))] })
                    .With(GuestEdits.Add(Small.Guest("shelf", "file-cloud")))
                    .WithGuestOn(machine with { Mounts = [new ShareMount("reels", "/reels")] }, "kiln")
            },
        };
        foreach (var (rule, lab) in DeviceFaults.All().Concat(WireFaults.All()).Concat(KeepingFaults.All()))
        {
            faults.Add(rule, lab);
        }

        return faults;
    }

    [Theory]
    [MemberData(nameof(Faults))]
    public void Each_fault_is_noticed_once_in_plain_words(string rule, Lab lab)
    {
        var finding = lab.Finding(rule);

        finding.Title.ShouldNotBeNullOrWhiteSpace();
        finding.Text.ShouldEndWith(".");
        finding.Rule.Because.ShouldEndWith(".");
        finding.Key.ShouldStartWith($"{rule}@{finding.Subject.Kind.ToString().ToLowerInvariant()}:");
    }

    [Fact]
    public void No_two_findings_share_a_key() =>
        Gens.AnyLab.Holds(lab => Assessment.Of(lab).Findings.Select(f => f.Key).ShouldBeUnique(), iter: 60);

    [Fact]
    public void What_stands_out_about_a_stack_belongs_to_the_host_of_its_engine()
    {
        var lab = Small
            .Lab(Small.Host("kiln"), Small.Host("wren"))
            .WithGuestOn(Small.Guest("engine", "app-engine"), "kiln")
            .With(
                GuestEdits.Add(
                    Small.Guest("papers", "file-cloud") with
                    {
                        Kind = GuestKind.AppStack,
                        Image = "registry.example/papers:latest",
                    }
                )
            )
            .With(NestingEdits.RunIn(new GuestId("papers"), new GuestId("engine")));
        var sums = Assessment.Of(lab);
        var finding = sums.Findings.Single(f => f.Rule.Id == "wants.latest-tag");
        sums.Hosts.Where(finding.Concerns).Select(h => h.Host.Name).ShouldBe(["kiln"]);
    }

    /// <summary>Rules whose fault no change of the plan can settle: somebody has to buy, look or plug.</summary>
    private static readonly string[] OnlyByHand =
    [
        "bench.cores-over",
        "bench.cores-tight",
        "bench.memory-promised",
        "bench.pool-over",
        "bench.pool-past-comfort",
        "bench.vcpu-crowded",
        "devices.node-without-driver",
        "disks.fills-soon",
        "disks.full-soon",
        "disks.guest-disks-on-parity",
        "disks.key-not-kept",
        "disks.landing-unprotected",
        "disks.left-over",
        "keeping.two-stores",
        "keeping.store-over",
        "keeping.store-fills",
        "keeping.store-nowhere",
        "keeping.three-places",
        "keeping.copy-missing",
        "keeping.copy-small",
        "keeping.copy-unchecked",
        "disks.mixed-kinds",
        "disks.same-batch",
        "disks.thin-parity",
        "disks.thin-promised",
        "disks.tier-too-small",
        "disks.usb-in-parity",
        "runbook.halt",
        "kit.boot-from-stick",
        "kit.disk-failing",
        "kit.disk-sectors",
        "kit.disk-worn",
        "kit.no-battery-backup",
        "kit.old-disk",
        "kit.pool-degraded",
        "kit.pool-lost",
        "kit.too-hot",
        "wants.accelerator-busy",
        "wants.encoder-over",
        "wants.latest-tag",
        "wants.scratch-on-spinning",
        "wants.streams-over-link",
        "wires.default-router-address",
        "wires.double-translation",
        "wires.link-full",
        "wires.served-twice",
        "wires.sites-overlap",
    ];

    [Theory]
    [MemberData(nameof(Faults))]
    public void Every_fix_settles_its_finding_and_says_what_it_did(string rule, Lab lab)
    {
        var fixes = lab.Finding(rule).Fixes;
        (fixes.Count == 0).ShouldBe(OnlyByHand.Contains(rule), $"{rule} offers {fixes.Count} fixes");
        foreach (var fix in fixes)
        {
            var changed = fix.Edit(lab);
            changed.Lab.Findings(rule).ShouldBeEmpty($"{rule}: {fix.Label}");
            changed.Sentence.ShouldNotContain("nothing changed");
        }
    }

    [Theory]
    [InlineData("kit.virtualisation-off", "I have switched it on")]
    [InlineData("kit.router-one-port", "Move gate to wren")]
    [InlineData("kit.guests-on-boot-disk", "Move notes's disks to ember")]
    [InlineData("kit.address-changes", "It is reserved now")]
    [InlineData("kit.firmware-old", "I have looked")]
    [InlineData("wants.more-vcpu-than-threads", "Give it 16")]
    [InlineData("wants.machine-only", "Make gate a machine")]
    [InlineData("wants.no-data-folder", "Keep it in /srv/cloud/data")]
    [InlineData("wants.wrong-family", "Move notes to wren")]
    [InlineData("wants.health-check-short", "Let it wait 20 minutes")]
    [InlineData("wants.privileged-container", "Make it unprivileged")]
    [InlineData("wants.no-encoder", "Count the cores it takes instead")]
    [InlineData("wants.encoder-over", null)]
    [InlineData("disks.parity-disk-small", "Use the largest for parity")]
    [InlineData("disks.no-scrub", "Plan one a month")]
    [InlineData("disks.names-differ", "Call it ember")]
    [InlineData("disks.guest-disks-on-spinning", "Move their disks to ember")]
    [InlineData("disks.left-over", null)]
    [InlineData("bench.memory-over", "Move big to wren")]
    [InlineData("bench.memory-tight", "Move big to wren")]
    [InlineData("bench.cores-over", null)]
    [InlineData("bench.no-pool-for-guest", "Choose pools for it")]
    [InlineData("bench.not-placed", "Put it on kiln")]
    [InlineData("bench.router-with-test-guests", "Move tinker to wren")]
    public void The_fix_is_named_for_what_it_does(string rule, string? label)
    {
        var lab = Faults().Single(f => f.Data.Item1 == rule).Data.Item2;
        var labels = lab.Finding(rule).Fixes.Select(f => f.Label).ToList();
        if (label is null)
        {
            labels.ShouldBeEmpty("nothing short of asking for less, or of another host, settles it");
        }
        else
        {
            labels.ShouldContain(label);
        }
    }

    [Fact]
    public void A_sound_lab_has_nothing_to_say()
    {
        Assessment.Of(Copied.Sound(), Copied.Today).Findings.Select(f => f.Title).ShouldBeEmpty();
    }

    [Fact]
    public void An_empty_lab_has_nothing_to_say() => Assessment.Of(Lab.Empty("new")).Findings.ShouldBeEmpty();

    [Theory]
    [InlineData(PoolLayout.Mirror, 1)]
    [InlineData(PoolLayout.Parity2, 1)]
    [InlineData(PoolLayout.StripedMirrors, 1)]
    [InlineData(PoolLayout.Dedicated1, 1)]
    [InlineData(PoolLayout.Parity1, 2)]
    public void A_pool_whose_disks_are_all_gone_is_lost_and_nothing_worse(PoolLayout layout, int groups)
    {
        var host = WithPool(Parity(Small.Host("kiln"), 4, 4), p => p with { Layout = layout, Groups = groups, ScrubDays = 0, Thin = true });
        var lab = Small.Lab(host).WithGuestOn(Small.Guest("notes"), "kiln");
        for (var n = 0; n < 4; n++)
        {
            lab = lab.Losing($"p{n}");
            Assessment.Of(lab).Findings.ShouldNotBeEmpty();
        }

        lab.Finding("kit.pool-lost").Severity.ShouldBe(Severity.Stop);
    }

    [Fact]
    public void What_is_unknown_is_not_held_against_a_host()
    {
        var host = Small.Host("kiln") with { NetworkPorts = null, BatteryBackup = null, Processor = new Processor("x86_64", 1, 4, 8) };
        var lab = Small.Lab(host).WithGuestOn(Small.Guest("gate", "router"), "kiln");
        Assessment.Of(lab).Findings.Where(f => f.Rule.Station == Station.Kit).ShouldBeEmpty();
    }

    [Fact]
    public void Every_rule_has_a_fault_here()
    {
        var tested = Faults().Select(f => f.Data.Item1).ToList();
        RuleBook.Rules.Select(r => r.Info.Id).ShouldBe(tested, ignoreOrder: true);
    }

    [Fact]
    public void The_worst_comes_first()
    {
        var findings = Assessment.Of(Faults().Single(f => f.Data.Item1 == "bench.memory-over").Data.Item2).Findings;
        findings.Select(f => f.Severity).ShouldBeInOrder(SortDirection.Descending);
    }

    [Fact]
    [Trade]
    public void Single_parity_on_few_small_young_disks_is_left_alone() =>
        Small.Lab(Parity(Small.Host("kiln"), 3, 4)).Findings("disks.thin-parity").ShouldBeEmpty();

    private static Host WithHealth(Host host, DiskHealth health) =>
        host with
        {
            Disks = host.Disks.Change(d => d.IsBoot, d => d with { Health = health }),
        };

    private static Disk Disk(string id, double tb) => new(id, $"sd-{id}", ByteSize.FromTB(tb), DiskKind.Spinning);

    private static Host Pooled(Host host, PoolLayout layout, PoolFamily family, Disk[] disks) =>
        host with
        {
            Disks = [.. host.Disks, .. disks],
            Pools = [new Pool("vault", layout, family, [.. disks.Select(d => d.Id)])],
        };

    /// <summary>A guest that uses a folder of a pool, which may not be there.</summary>
    private static Lab Sharing(string pool, string guest) =>
        Small.Lab(Small.Host("kiln")).WithGuestOn(Small.Guest("notes"), "kiln") with
        {
            Folders =
            [
                new SharedFolder("films", new HostId("kiln"), pool, ByteSize.FromGB(100), [new FolderUse(new GuestId(guest), "/films")]),
            ],
        };

    private static Host WithPool(Host host, Func<Pool, Pool> change) => host with { Pools = host.Pools.Change(_ => true, change) };

    /// <summary>A lab with a pool of 8 TB that holds so much and grows by so much a month.</summary>
    private static Lab Growing(Lab lab, double gb, double perMonth) =>
        lab.WithGuestOn(
            Small.Guest("music", "music", GuestKind.SystemContainer, new LoadValue("library", gb)) with
            {
                Growth = new Growth(ByteSize.FromGB(perMonth)),
                Overrides = new SizeOverrides(SystemDisk: ByteSize.FromGB(5)),
            },
            "kiln"
        );

    private static Guest Given(string name, double gib) =>
        Small.Guest(name) with
        {
            Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(gib)),
        };

    private static Guest Films(double conversions) =>
        Small.Guest(
            "films",
            "media-library",
            GuestKind.Machine,
            new LoadValue("conversions-1080p", conversions),
            new LoadValue("library", 1)
        );

    private static Guest Converting(GuestKind kind, double uhd) =>
        Small.Guest(
            "films",
            "media-library",
            kind,
            new LoadValue("conversions-2160p", uhd),
            new LoadValue("library", 1),
            new LoadValue("software-encoding", 0)
        );

    private static Host WithCard(Host host, double? encode) =>
        host.With(new Hardware(Functions: [new PciFunction("0000:01:00.0", "0300", EncodeMegapixels: encode)], Isolation: true));

    private static Guest Library(double tb) => Small.Guest("films", "media-library", GuestKind.Machine, new LoadValue("library", tb));

    private static Host Parity(Host host, int disks, double tb) =>
        host with
        {
            Disks =
            [
                .. host.Disks,
                .. Enumerable.Range(0, disks).Select(n => new Disk($"p{n}", $"sd{n}", ByteSize.FromTB(tb), DiskKind.Spinning)),
            ],
            Pools = [new Pool("vault", PoolLayout.Parity1, PoolFamily.BlockArray, [.. Enumerable.Range(0, disks).Select(n => $"p{n}")])],
        };
}
