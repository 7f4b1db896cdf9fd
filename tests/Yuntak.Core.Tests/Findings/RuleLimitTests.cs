using System.Text.RegularExpressions;
using Yuntak.Core.Disks;
using Yuntak.Core.Disks.Rules;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Findings;

/// <summary>
/// Every limit of every rule, just below it, at it and just above. The list is the rule book's own: a rule with a limit and no lab here fails, and so does a rule that
/// speaks of a number and has no limit.
/// </summary>
public partial class RuleLimitTests
{
    private const double Hair = 1e-6;
    private static readonly Host Kiln = Small.Host("kiln", 64, 8, 16, 8);

    /// <summary>A lab in which what is held against the limit is exactly the figure given, and the least step that is worth one.</summary>
    private static readonly Dictionary<string, (double Step, Func<double, Lab> At)> Labs = new()
    {
        ["bench.memory-over"] = (Hair, x => MemoryAt(x, null)),
        ["bench.memory-tight"] = (Hair, x => MemoryAt(x, null)),
        ["bench.memory-promised"] = (Hair, x => MemoryAt(x, ByteSize.FromGiB(2))),
        ["bench.cores-over"] = (Hair, x => Busy(Small.Host("kiln", 64, 8, 8), x * 8, 4096)),
        ["bench.cores-tight"] = (Hair, x => Busy(Small.Host("kiln", 64, 8, 8), x * 8, 4096)),
        ["bench.vcpu-crowded"] = (1.0 / 16, x => Busy(Kiln, 0.1, (int)Math.Round(x * 16))),
        ["bench.pool-over"] = (Hair, Filled),
        ["bench.pool-past-comfort"] = (Hair, Filled),
        ["wants.more-vcpu-than-threads"] = (1.0 / 16, x => Busy(Kiln, 0.1, (int)Math.Round(x * 16))),
        ["wants.processors-short"] = (Hair, x => Busy(Kiln, x * 4, 4)),
        ["wants.memory-short"] = (Hair, x => Given(x * Small.Size(Small.Guest("notes")).LeastMemory.Bytes)),
        ["wants.memory-generous"] = (Hair, x => Given(x * Small.Size(Small.Guest("notes")).AdvisedMemory.Value.Bytes)),
        ["wants.accelerator-busy"] = (
            Hair,
            x => With("camera-recorder", GuestKind.AppStack, ("cameras", 7), ("frames", 10), ("look-time", x * 1000 / 70), ("days", 1))
        ),
        ["wants.encoder-over"] = (Hair, Encoding),
        ["wants.health-check-short"] = (
            1.0 / 20,
            x =>
                Small
                    .Lab(Kiln)
                    .WithGuestOn(Small.Guest("hub", "automation-hub") with { HealthCheckMinutes = (int)Math.Round(20 * x) }, "kiln")
        ),
        ["keeping.piles-up"] = (1e-4, KeepingFaults.Piling),
        ["keeping.no-drill"] = (1, KeepingFaults.Drilled),
        ["keeping.copy-missing"] = (1.0 / (24 * 60), KeepingFaults.Aged),
        ["keeping.copy-small"] = (Hair, KeepingFaults.Sized),
        ["keeping.copy-unchecked"] = (1, KeepingFaults.Read),
        ["wires.link-full"] = (Hair, x => WireFaults.Reading(16 / x)),
        ["wants.streams-over-link"] = (
            Hair,
            x =>
                Small
                    .Lab(Kiln.With(new Hardware(LinkSpeeds: [new LinkSpeed("kiln", "wren", DataRate.FromMbps(16 / x))])))
                    .WithGuestOn(Small.Guest("owl", "camera-recorder", GuestKind.AppStack, new LoadValue("days", 1)), "kiln")
        ),
        ["disks.parity-disk-small"] = (Hair, x => Pool(PoolLayout.Dedicated1, [x * 4, 4, 4])),
        ["disks.key-not-kept"] = (
            1,
            x =>
                Pool(
                    PoolLayout.Mirror,
                    [4, 4],
                    p => p with { Encrypted = true, KeyPlaces = [.. Enumerable.Range(0, (int)x).Select(n => $"{n}")] }
                )
        ),
        ["disks.full-soon"] = (Hair, x => Growing(7.9, x, FillsSoon.Month)),
        ["disks.fills-soon"] = (Hair, x => Growing(6.3, x, FillsSoon.Quarter)),
        ["disks.left-over"] = (Hair, x => Pool(PoolLayout.Parity1, [1, 1, (1 + (2 * x)) / (1 - x)])),
        ["disks.thin-promised"] = (Hair, Promised),
        ["disks.tier-too-small"] = (
            Hair,
            x =>
                Pool(
                    PoolLayout.Mirror,
                    [2, 2],
                    p => p with { Tier = TierKind.Landing, Serves = "clay", WrittenBetweenMoves = ByteSize.Rounded(x * 2e12 / 1.5) }
                )
        ),
        ["disks.same-batch/disks"] = (1, x => Batch((int)x, 3, 0)),
        ["disks.same-batch/years"] = (Hair, x => Batch(4, x, 0)),
        ["disks.same-batch/hours"] = (Hair, x => Batch(4, 3, x)),
        ["disks.thin-parity/disks"] = (1, x => Pool(PoolLayout.Parity1, [.. Enumerable.Repeat(4.0, (int)x)])),
        ["disks.thin-parity/TB"] = (Hair, x => Pool(PoolLayout.Parity1, [x, x, x])),
        ["disks.thin-parity/years"] = (Hair, x => Pool(PoolLayout.Parity1, [4, 4, 4], p => p with { AgeYears = x })),
        ["kit.disk-worn"] = (Hair, x => BootDisk(d => d with { Health = new DiskHealth(Passed: true, WearPercent: x * 100) })),
        ["kit.old-disk"] = (Hair, x => BootDisk(d => d with { HoursRun = x })),
        ["kit.firmware-old"] = (1.0 / 365, Firmware),
        ["kit.too-hot"] = (Hair, x => Small.Lab(Kiln.With(new Hardware(Temperatures: [new Temperature("Package", x * 95, 95)])))),
    };

    public static TheoryData<string, RuleLimit> Limits()
    {
        var all = new TheoryData<string, RuleLimit>();
        foreach (var rule in RuleBook.Rules.Select(r => r.Info))
        {
            foreach (var limit in rule.Limits)
            {
                all.Add(rule.Id, limit);
            }
        }

        return all;
    }

    [Theory]
    [MemberData(nameof(Limits))]
    public void Just_below_at_and_just_above_its_limit_a_rule_says_what_it_ought_to(string rule, RuleLimit limit)
    {
        var several = RuleBook.Rules.Single(r => r.Info.Id == rule).Info.Limits.Count > 1;
        var (step, at) = Labs[several ? $"{rule}/{limit.Unit}" : rule];
        // A hair is a part of the limit, a count is one more or less.
        var far = step == Hair ? limit.Value * Hair : step;
        var (below, above) = limit.Side is LimitSide.Below or LimitSide.UpTo ? (true, false) : (false, true);
        var exactly = limit.Side is LimitSide.From or LimitSide.UpTo;

        Says(at(limit.Value - far)).ShouldBe(below, $"just below: {limit}");
        Says(at(limit.Value)).ShouldBe(exactly, $"at it: {limit}");
        Says(at(limit.Value + far)).ShouldBe(above, $"just above: {limit}");

        bool Says(Lab lab) => lab.Findings(rule).Count > 0;
    }

    [Fact]
    public void Labs_are_there_for_limits_that_are_there() =>
        Limits()
            .Select(l => (Rule: l.Data.Item1, l.Data.Item2.Unit))
            .GroupBy(l => l.Rule)
            .SelectMany(g => g.Count() > 1 ? g.Select(l => $"{l.Rule}/{l.Unit}") : [g.Key])
            .ShouldBe(Labs.Keys, ignoreOrder: true);

    [Fact]
    public void A_rule_that_speaks_of_a_number_has_its_limit_in_figures() =>
        RuleBook
            .Rules.Select(r => r.Info)
            .Where(r => r.Limits.Count == 0)
            .ShouldAllBe(r => !NumberWords().IsMatch(r.Says) || r.Id == "kit.router-one-port");

    /// <summary>15 × 0.4 cores of 5.0 are 120 %, 40 × 0.1 of 5 are 80 %: sums in binary are a hair more.</summary>
    [Theory]
    [Trade]
    [InlineData(15, 0.4, "bench.cores-over")]
    [InlineData(40, 0.1, "bench.cores-tight")]
    public void Round_sums_at_a_limit_are_at_it(int guests, double cores, string rule)
    {
        var profile = Steady(cores);
        var host = Small.Host("kiln", 64, 5, 5);
        var lab = Enumerable
            .Range(0, guests)
            .Aggregate(
                Small.Lab(host) with
                {
                    Profiles = [profile],
                },
                (l, n) => l.WithGuestOn(Small.Guest($"g{n}", profile.Id, GuestKind.SystemContainer), "kiln")
            );
        lab.Findings(rule).ShouldBeEmpty();
    }

    private static Lab MemoryAt(double share, ByteSize? shrinkTo)
    {
        var guest = Small.Guest("big") with { Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(32)), MayShrinkTo = shrinkTo };
        // Handbook: host base 1.5 GiB, and for a machine its memory, 150 MiB and 1/256 of it.
        var taken = ByteSize.FromGiB(1.5 + 32 + (32.0 / 256)) + ByteSize.FromMiB(150);
        return Small
            .Lab(Kiln with { Memory = new ByteSize((long)Math.Round(taken.Bytes / share)) }, Small.Host("wren", 512))
            .WithGuestOn(guest, "kiln");
    }

    private static Profile Steady(double cores) =>
        ProfileBook.Standard.Get("wiki") with
        {
            Id = "steady",
            Idle = [new Term("all day", cores)],
            Busy = [],
            Shape = DayShape.Flat,
        };

    private static Lab Busy(Host host, double cores, int vcpu)
    {
        var profile = Steady(cores);
        var guest = Small.Guest("works", profile.Id, GuestKind.SystemContainer) with { Overrides = new SizeOverrides(Vcpu: vcpu) };
        return (Small.Lab(host) with { Profiles = [profile] }).WithGuestOn(guest, "kiln");
    }

    private static Lab Filled(double share) =>
        Small.Lab(Kiln with { Pools = Kiln.Pools.Change(_ => true, p => p with { AlreadyUsed = ByteSize.FromTB(8 * share) }) });

    private static Lab Given(double bytes) =>
        Small.Lab(Kiln).WithGuestOn(Small.Guest("notes") with { Overrides = new SizeOverrides(Memory: ByteSize.Rounded(bytes)) }, "kiln");

    private static Lab With(string profile, GuestKind kind, params (string Id, double Value)[] loads) =>
        Small.Lab(Kiln).WithGuestOn(Small.Guest("it", profile, kind, [.. loads.Select(l => new LoadValue(l.Id, l.Value))]), "kiln");

    private static Lab Encoding(double share)
    {
        // One 2160p film to 1080p: (3840 × 2160 ÷ 2 + 1920 × 1080) × 30 frames = 186.624 Mpx/s.
        var card = new PciFunction("0000:01:00.0", "0300", EncodeMegapixels: 186.624 / share);
        return Small
            .Lab(Kiln.With(new Hardware(Functions: [card], Isolation: true)))
            .WithGuestOn(
                Small.Guest(
                    "films",
                    "media-library",
                    GuestKind.SystemContainer,
                    new LoadValue("conversions-1080p", 0),
                    new LoadValue("conversions-2160p", 1),
                    new LoadValue("software-encoding", 0)
                ),
                "kiln"
            );
    }

    private static Lab Pool(PoolLayout layout, double[] tb, Func<Pool, Pool>? change = null)
    {
        Disk[] disks = [.. tb.Select((t, n) => new Disk($"p{n}", $"sd{n}", ByteSize.FromTB(t), DiskKind.Spinning))];
        var pool = new Pool("vault", layout, PoolFamily.BlockArray, [.. disks.Select(d => d.Id)]);
        return Small.Lab(Kiln with { Disks = [.. Kiln.Disks, .. disks], Pools = [change is null ? pool : change(pool)] });
    }

    private static Lab Growing(double now, double share, double years)
    {
        var perMonth = ((8 * share) - now) / (years * 12);
        var guest = Small.Guest("music", "music", GuestKind.SystemContainer) with
        {
            Growth = new Growth(ByteSize.FromTB(perMonth)),
            Overrides = new SizeOverrides(SystemDisk: ByteSize.FromTB(0.1), Bulk: ByteSize.FromTB(now - 0.1)),
        };
        return Small.Lab(Kiln).WithGuestOn(guest, "kiln");
    }

    private static Lab Promised(double share) =>
        Small
            .Lab(Kiln with { Pools = Kiln.Pools.Change(_ => true, p => p with { Thin = true }) })
            .WithGuestOn(Small.Guest("notes") with { Overrides = new SizeOverrides(SystemDisk: ByteSize.FromTB(8 * share)) }, "kiln");

    private static Lab Batch(int count, double years, double apart)
    {
        var lab = Pool(PoolLayout.Parity1, [.. Enumerable.Repeat(4.0, count)], p => p with { AgeYears = years });
        return lab.WithHost(
            lab.Hosts[0].Id,
            h =>
                h with
                {
                    Disks = h.Disks.Change(
                        d => d.Id[0] == 'p',
                        d => d with { Model = "Saltpan P8", HoursRun = d.Id == "p0" ? 20_000 + apart : 20_000 }
                    ),
                }
        );
    }

    private static Lab BootDisk(Func<Disk, Disk> change) => Small.Lab(Kiln with { Disks = Kiln.Disks.Change(d => d.IsBoot, change) });

    private static Lab Firmware(double years)
    {
        var read = new DateOnly(2026, 11, 20);
        var made = read.AddYears(-2).AddDays(-(int)Math.Round((years - 2) * 365));
        return Small.Lab(Kiln.With(new Hardware(Firmware: new Firmware(made))) with { ReadOn = read });
    }

    [GeneratedRegex("[0-9]|\\b(two|three|four|five|tenth|fifth|times|half)\\b")]
    private static partial Regex NumberWords();
}
