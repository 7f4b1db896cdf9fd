using Yuntak.Core.Base;
using Yuntak.Core.Devices;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Rehearsals;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Rehearsals;

/// <summary>
/// The mistakes people make, as the handbook numbers them (common practice, no published source): each that a runbook or its checks can meet is met here by a fault
/// that is caught, or by what a step says before it can be made.
/// </summary>
public class MistakeTests
{
    /// <summary>A home with a bit of everything: a machine that exports a folder, a stack that mounts it, a hub, a guest that moves, one that shrinks, one that goes.</summary>
    private static readonly (Lab Stands, Lab Draft) Home = MakeHome();

    private static readonly Rehearsal All = Rehearsal.Of(Home.Stands, Home.Draft, allFaults: true);

    /// <summary>Mistake, the fault that is it, and the kind of step it strikes.</summary>
    public static TheoryData<int, string, string> Faults() =>
        new()
        {
            { 1, "medium-left-in", "detach-medium" },
            { 2, "only-suspended", "set-figures" },
            { 4, "small-backup", "run-first-copy" },
            { 7, "address-taken", "first-visit" },
            { 15, "address-taken", "start-guest" },
            { 16, "step-skipped", "set-up-service" },
            { 20, "wrong-family", "lay-app-stack" },
            { 21, "step-skipped", "mount-bulk" },
            { 22, "power-cut", "install-guest" },
            { 25, "step-skipped", "backup-guest" },
            { 27, "step-skipped", "bring-back-for-drill" },
            { 28, "disk-full", "create-machine" },
            { 31, "wrong-disk", "make-pool" },
            { 32, "step-skipped", "first-visit" },
            { 33, "setup-timeout", "first-visit" },
            { 34, "small-backup", "archive-service" },
            { 35, "share-away", "mount-shares" },
            { 36, "step-skipped", "set-up-users" },
        };

    [Theory]
    [Trade]
    [MemberData(nameof(Faults))]
    public void The_mistake_is_caught_where_it_is_made(int mistake, string fault, string step)
    {
        var tried = All
            .Faults.Where(f => f.Fault.Name == fault && All.Steps.First(s => s.Step.Id == f.Step).Step.Act.Type == step)
            .ToList();
        tried.ShouldNotBeEmpty($"mistake {mistake} was made");
        tried.ShouldAllBe(f => f.Outcome == StepOutcome.Caught, $"mistake {mistake} is caught");
        tried.ShouldAllBe(f => f.Cost.Length > 0 && f.Message.Length > 0);
    }

    [Theory]
    [Trade]
    [InlineData(8, "create-system-container", "privileged")]
    [InlineData(9, "mount-bulk", "mount them on the host")]
    [InlineData(14, "move-guest", "through the backup")]
    [InlineData(16, "first-visit", "change it before anything else")]
    [InlineData(18, "encrypt-pool", "It must never be only on what it unlocks")]
    [InlineData(19, "lay-app-stack", "mkdir -p")]
    [InlineData(23, "fit-cooling", "before any overclocking")]
    [InlineData(24, "first-start", "do not trust tools that show memory")]
    [InlineData(25, "lay-app-stack", "not the newest of the day")]
    [InlineData(29, "set-up-firmware", "I/O isolation")]
    [InlineData(32, "first-visit", "before you log in")]
    [InlineData(34, "archive-service", "while the old one writes, the archive is worth nothing")]
    [InlineData(36, "install-engine", "without becoming administrator")]
    [InlineData(37, "install-engine", "never piped straight into a privileged shell")]
    public void The_step_says_it_before_it_can_be_made(int mistake, string step, string words)
    {
        var steps = All.Steps.Where(s => s.Step.Act.Type == step).Select(s => s.Step).ToList();
        steps.ShouldNotBeEmpty($"mistake {mistake}");
        steps.ShouldContain(
            s =>
                $"{s.What} {s.Check} {s.IfNot} {s.WayBack} {s.Caution} {string.Join(' ', s.Values.Select(v => v.Label + " " + v.Value))}".Contains(
                    words,
                    StringComparison.Ordinal
                ),
            $"mistake {mistake}"
        );
    }

    [Fact]
    [Trade]
    public void A_router_that_is_off_says_that_the_house_is_offline()
    {
        // Mistake 10.
        var router = Small.Guest("gate", ProfileBook.Router);
        var stands = Small.Lab(Small.Host("kiln"), Small.Host("wren")).WithGuestOn(router, "kiln");
        var draft = stands.With(GuestEdits.Place(new GuestId("gate"), new HostId("wren")));
        var runbook = RunbookBuilder.Build(stands, draft);
        runbook.Sections.Single().Cautions.ShouldContain(c => c.Contains("the whole household is offline", StringComparison.Ordinal));
        Rehearsal.Of(runbook).Away.Single().Guest.Value.ShouldBe("gate");
    }

    [Fact]
    public void Two_guests_that_swap_full_hosts_swap_with_one_of_them_off_for_a_while()
    {
        var (stands, draft) = Swap(memory: 6, disk: 100);
        var rehearsal = Rehearsal.Of(stands, draft);
        rehearsal.ReachesDraft.ShouldBeTrue();
        rehearsal.Steps.Count(s => s.Step.Act.Type == "shut-down-meanwhile").ShouldBe(1);
        rehearsal
            .Runbook.Sections[0]
            .Cautions.ShouldContain(c => c.Contains("it is off from here until its own turn comes", StringComparison.Ordinal));
        rehearsal.Away.Max(a => a.To - a.From).ShouldBeGreaterThan(rehearsal.Away.Min(a => a.To - a.From), "one of them is away longer");
    }

    [Fact]
    public void Two_guests_that_swap_full_pools_swap_through_a_third_place()
    {
        var (stands, draft) = Swap(memory: 6, disk: 380);
        var third = stands.With(HostEdits.Add(Small.Host("third", poolTB: 1)));
        var rehearsal = Rehearsal.Of(third, draft.With(HostEdits.Add(Small.Host("third", poolTB: 1))));
        rehearsal.Steps.Where(s => s.Outcome != StepOutcome.Done).Select(s => s.Message).ShouldBeEmpty();
        rehearsal.ReachesDraft.ShouldBeTrue();
        rehearsal.Steps.Count(s => s.Step.Act.Type == "park-volume").ShouldBe(1);
        rehearsal.Lost.ShouldBeEmpty();
    }

    [Fact]
    [Trade]
    public void Twenty_terabytes_over_a_gigabit_are_two_days_and_what_was_measured_counts_more()
    {
        // 20 TB at 1 Gbit/s less headers (IEEE 802.3, 1,500 bytes a packet): 47 h.
        var guest = Small.Guest("films") with
        {
            Overrides = new SizeOverrides(1, ByteSize.FromGiB(2), ByteSize.FromGB(20), ByteSize.FromTB(20)),
        };
        Host Big(string name) =>
            Small.Host(name) with
            {
                Disks = [.. Small.Host(name).Disks, new Disk($"{name}-bulk", "sdc", ByteSize.FromTB(24), DiskKind.NvmeFlash)],
                Pools = [.. Small.Host(name).Pools, new Pool("vault", PoolLayout.Single, PoolFamily.BlockArray, [$"{name}-bulk"])],
            };
        var stands = Small.Lab(Big("kiln"), Big("wren")).WithGuestOn(guest, "kiln").With(GuestEdits.UsePools(guest.Id, "ember", "vault"));
        var draft = stands.With(GuestEdits.Place(guest.Id, new HostId("wren"))).With(GuestEdits.UsePools(guest.Id, "ember", "vault"));
        var move = RunbookBuilder.Build(stands, draft).Steps.Single(s => s.Act.Type == "move-guest");
        (move.Minutes / 60.0).ShouldBeInRange(46.5, 47.6);

        var backup = RunbookBuilder.Build(stands, draft).Steps.First();
        var ticked = stands.With(RunbookTick.Off(draft, backup.Id, took: backup.Minutes / 2.0));
        ticked.Took.Single().Factor.ShouldBe(0.5, 0.01);
        Should.Throw<Refused>(() => RunbookTick.Off(draft, backup.Id, took: -1)(stands)).Message.ShouldContain("Nothing was ticked off");
    }

    [Fact]
    public void The_blanks_of_all_steps_are_those_nobody_can_know()
    {
        // A runbook read aloud misses no value: only names people choose for themselves, what a maker publishes on the day, and what runs today.
        string[] allowed =
        [
            "address of the file",
            "sum its maker publishes",
            "everyday user",
            "administrator",
            "to",
            "image and its tag",
            "version",
            "account",
            "fingerprint",
            "address",
        ];
        var blanks = All.Steps.SelectMany(s => s.Step.Values).Where(v => v.Blank).Select(v => v.Label).Distinct().ToList();
        blanks.ShouldBeSubsetOf(allowed);
        blanks.Count.ShouldBeGreaterThan(5, "the home has a bit of everything");
    }

    [Fact]
    public void Sittings_are_no_longer_than_wanted_and_end_with_everybody_served()
    {
        foreach (var minutes in new[] { 30, 60, 120, 600 })
        {
            var sittings = Sitting.Of(All, minutes);
            sittings.SelectMany(s => s.Steps).ShouldBe(All.Steps);
            sittings.ShouldAllBe(s => s.Away.Count == 0);
            // Longer only where the steps between two safe places are.
            sittings
                .Where(s => s.Minutes > minutes)
                .ShouldAllBe(s => s.Longer && (s.Steps.Count == 1 || s.Steps.SkipLast(1).All(t => t.Away.Count > 0 || Moving(s, t))));
            sittings.ShouldAllBe(s => !Moving(s, s.Steps[s.Steps.Count - 1]));
        }
    }

    /// <summary>Whether a service has been archived for its move and not yet been held against what it was, when a step is through.</summary>
    private static bool Moving(Sitting sitting, RehearsedStep step)
    {
        var until = sitting.Steps.TakeWhile(s => s != step).Append(step).ToList();
        return until.FindLastIndex(s => s.Step.Act.Type == "archive-service") > until.FindLastIndex(s => s.Step.Act.Type == "check-items");
    }

    private static (Lab Stands, Lab Draft) Swap(int memory, int disk)
    {
        var size = new SizeOverrides(1, ByteSize.FromGiB(memory), ByteSize.FromGB(disk), null);
        var stands = Small
            .Lab(Small.Host("kiln", gib: 9, poolTB: 0.5), Small.Host("wren", gib: 9, poolTB: 0.5))
            .WithGuestOn(Small.Guest("a") with { Overrides = size }, "kiln")
            .WithGuestOn(Small.Guest("b") with { Overrides = size }, "wren");
        return (
            stands,
            stands.With(GuestEdits.Place(new GuestId("a"), new HostId("wren"))).With(GuestEdits.Place(new GuestId("b"), new HostId("kiln")))
        );
    }

    private static (Lab Stands, Lab Draft) MakeHome()
    {
        var board = Small.Host("board", gib: 8) with { Type = HostType.Board };
        var kiln = Small.Host("kiln", gib: 64) with
        {
            Disks =
            [
                .. Small.Host("kiln").Disks,
                new Disk("spare-1", "sdx", ByteSize.FromTB(2), DiskKind.Spinning),
                new Disk("spare-2", "sdy", ByteSize.FromTB(2), DiskKind.Spinning),
            ],
        };
        var wren = Small.Host("wren", gib: 32) with { Pools = [Small.Host("wren").Pools[0] with { Name = "other" }] };
        var leg = new Leg("house", "10.40.7.20");
        var stands = Small.Lab(kiln, wren).With(WireEdits.AddNetwork(new Network("house", "10.40.7.0/24", "10.40.7.1")));
        stands = stands
            .WithGuestOn(
                Small.Guest("shrinks") with
                {
                    Overrides = new SizeOverrides(2, ByteSize.FromGiB(4), ByteSize.FromGB(40), null),
                    Interfaces = [leg],
                },
                "kiln"
            )
            .WithGuestOn(Small.Guest("moves"), "kiln")
            .WithGuestOn(Small.Guest("becomes", "file-cloud"), "kiln")
            .WithGuestOn(Small.Guest("goes"), "kiln");
        stands = stands with
        {
            Shares = [new NetworkShare("films", new ShareEnd(Host: new HostId("kiln"), Path: "/ember/films"), ["10.40.7.0/24"])],
        };

        var draft = stands
            .With(HostEdits.Add(board))
            .With(HostEdits.Add(Small.Host("server") with { Type = HostType.Server }))
            .With(GuestEdits.Place(new GuestId("moves"), new HostId("wren")))
            .With(GuestEdits.Remove(new GuestId("goes")))
            .With(
                GuestEdits.Change(
                    new GuestId("shrinks"),
                    g => g with { Overrides = new SizeOverrides(2, ByteSize.FromGiB(3), ByteSize.FromGB(40), null) }
                )
            )
            .With(GuestEdits.Change(new GuestId("becomes"), g => g with { Kind = GuestKind.SystemContainer }))
            .With(
                HostEdits.AddPool(
                    new HostId("kiln"),
                    new Pool("vault", PoolLayout.Mirror, PoolFamily.BlockArray, ["spare-1", "spare-2"], Encrypted: true)
                )
            )
            .WithGuestOn(
                Small.Guest("cloud", "file-cloud") with
                {
                    Interfaces = [new Leg("house", "10.40.7.21")],
                    Listens = [new Listen(443, Page: true, Encrypted: true)],
                },
                "kiln"
            )
            .WithGuestOn(Small.Guest("box", "file-cloud", GuestKind.SystemContainer) with { Privileged = false }, "kiln")
            .WithGuestOn(
                Small.Guest("stack", "file-cloud", GuestKind.AppStack) with
                {
                    Mounts = [new ShareMount("films", "/srv/films", MountBy.Host)],
                },
                "wren"
            )
            .With(KeepingEdits.Store(new Store("shelf", Place: "boathouse", ChecksNew: true)))
            .With(
                KeepingEdits.Job(
                    new CopyJob("nightly", "shelf", "22:30", [new JobPart(new GuestId("cloud")), new JobPart(new GuestId("moves"))])
                )
            )
            .With(KeepingEdits.Drill(new Drill(DrillKind.Guest, new DateOnly(2027, 3, 6), new GuestId("cloud"))));
        return (stands, draft);
    }
}
