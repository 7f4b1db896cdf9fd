using CsCheck;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Runbooks;

/// <summary>What stands is never installed, wiped or started anew; handbook, chapter 0 (mistake 31) and chapter 1.</summary>
public class StandingTests
{
    private static readonly HostId Kiln = new("kiln");

    [Fact]
    public void A_home_that_stands_whole_asks_for_no_step() =>
        Gens
            .AnyLab
            // Who stands and mounts from somebody on no host contradicts itself; that is a stop of its own.
            .Where(lab => lab.Findings("wires.share-nowhere").Count == 0)
            .Holds(
                lab => RunbookBuilder.Build(Standing.Of(Standing.AllMarked(lab)), lab).Steps.Select(s => s.What).ShouldBeEmpty(),
                iter: 150
            );

    [Fact]
    public void Whatever_is_marked_no_act_wipes_installs_or_creates_what_stands() =>
        (from lab in Gens.AnyLab from marks in Gen.Int[0, int.MaxValue] select (lab, marks)).Holds(
            (lab, marks) =>
            {
                var random = new Random(marks);
                bool Mark() => random.Next(2) == 0;
                var marked = lab with
                {
                    Hosts = lab.Hosts.Change(
                        _ => true,
                        h => h with { Stands = Mark(), Pools = h.Pools.Change(_ => true, p => p with { Stands = Mark() }) }
                    ),
                    Guests = lab.Guests.Change(_ => true, g => g with { Stands = lab.HostOf(g) is not null && Mark() }),
                };
                var stands = Standing.Of(marked);
                foreach (var step in RunbookBuilder.Build(stands, marked).Steps.Where(s => s.Act.CanBeDone))
                {
                    foreach (var host in marked.Hosts.Where(h => h.Name == step.Where))
                    {
                        var kept = host.Pools.Where(p => p.Stands).SelectMany(p => p.DiskIds);
                        step.Act.Wipes.Intersect(kept).ShouldBeEmpty($"{step.What} on {host.Name}");
                        if (host.Stands)
                        {
                            step.Act.Wipes.Intersect(host.Disks.Where(d => d.IsBoot).Select(d => d.Id)).ShouldBeEmpty(step.What);
                        }
                    }
                }

                var acts = RunbookBuilder.Build(stands, marked).Sections.ToDictionary(s => s.Key);
                foreach (var host in marked.Hosts.Where(h => h.Stands))
                {
                    acts.Keys.ShouldNotContain($"add-host/{host.Id}");
                }

                foreach (var guest in marked.Guests.Where(g => g.Stands))
                {
                    acts.Values.ShouldNotContain(s => s.Builds == guest.Id, guest.Name);
                }
            },
            iter: 150
        );

    [Fact]
    public void What_carries_something_that_stands_does_too()
    {
        var lab = Small.Lab(Small.Host("kiln")).WithGuestOn(Small.Guest("notes"), "kiln");
        var marked = lab with { Guests = lab.Guests.Change(_ => true, g => g with { Stands = true }) };
        var stands = Standing.Of(marked);
        stands.Hosts.Single().Pools.Select(p => p.Name).ShouldBe(["ember"]);
        stands.Guests.Single().Overrides.Memory.ShouldNotBeNull("what stands has figures, not advice");
        RunbookBuilder.Build(stands, marked).Open.ShouldBe(0);
    }

    [Fact]
    public void A_disk_that_holds_something_is_wiped_only_after_somebody_said_so()
    {
        var host = Read("cow_member");
        var stands = Small.Lab(host);
        var draft = stands.With(HostEdits.AddPool(Kiln, new Pool("vault", PoolLayout.Single, PoolFamily.BlockArray, ["p0"])));

        var stop = RunbookBuilder.Build(stands, draft).Steps.Single();
        stop.Act.Type.ShouldBe("stop");
        stop.Caution.ShouldNotBeNull().ShouldContain("p0");
        stop.Caution.ShouldContain("holds cow_member");
        stop.Values[0].Value.ShouldContain("may be wiped");

        var said = draft.With(KitEdits.MayBeWiped(Kiln, "p0", new DateOnly(2026, 11, 20)));
        RunbookBuilder.Build(stands, said).Steps.Single().Act.Wipes.ShouldBe(["p0"]);
        var empty = Small.Lab(Read());
        RunbookBuilder
            .Build(empty, empty.With(HostEdits.AddPool(Kiln, new Pool("vault", PoolLayout.Single, PoolFamily.BlockArray, ["p0"]))))
            .Steps.Single()
            .Act.Wipes.ShouldBe(["p0"]);
    }

    [Fact]
    public void A_running_host_is_not_installed_over_until_it_is_said_to_stand_or_its_disk_may_go()
    {
        var lab = Small.Lab(Read() with { Pools = [] });
        var steps = RunbookBuilder.Build(Lab.Empty("new"), lab).Steps.ToList();
        steps.ShouldHaveSingleItem().Act.CanBeDone.ShouldBeFalse();
        steps[0].Values[0].Value.ShouldContain("say that it stands");

        RunbookBuilder.Build(Standing.TakeHost(lab, Kiln)(Lab.Empty("new")).Lab, lab).Open.ShouldBe(0);
        var mayGo = lab.With(KitEdits.MayBeWiped(Kiln, "kiln-boot", new DateOnly(2026, 11, 20)));
        RunbookBuilder.Build(Lab.Empty("new"), mayGo).Steps.ShouldContain(s => s.Act.Type == "install-host");
    }

    [Fact]
    public void One_answer_moves_a_host_and_its_guests_there_and_back()
    {
        var draft = Small
            .Lab(Small.Host("kiln"))
            .WithGuestOn(Small.Guest("notes"), "kiln")
            .WithGuestOn(Small.Guest("films", "music"), "kiln");
        var none = Lab.Empty("new");
        var both = Standing.TakeGuests(draft, [new GuestId("notes"), new GuestId("films")])(none);
        both.Sentence.ShouldBe("notes, films stand");
        RunbookBuilder.Build(both.Lab, draft).Open.ShouldBe(0);
        Should.Throw<Refused>(() => Standing.TakeGuests(draft, [new GuestId("notes")])(both.Lab)).Message.ShouldContain("stand already");
        var one = Standing.LetGuestsGo([new GuestId("notes")])(both.Lab).Lab;
        RunbookBuilder.Build(one, draft).Sections.Single().Builds.ShouldBe(new GuestId("notes"));
        var gone = Standing.LetHostGo(Kiln)(both.Lab).Lab;
        gone.Hosts.ShouldBeEmpty();
        gone.Guests.ShouldBeEmpty();
        var waiting = draft.With(GuestEdits.TakeOff(new GuestId("notes")));
        Should.Throw<Refused>(() => Standing.TakeGuests(waiting, [new GuestId("notes")])(none)).Message.ShouldContain("on no host yet");
    }

    [Fact]
    public void Pools_over_empty_disks_are_still_to_be_made_on_a_host_that_stands()
    {
        var host = Read() with
        {
            Pools =
            [
                new Pool("there", PoolLayout.Single, PoolFamily.BlockArray, ["p1"]),
                new Pool("new", PoolLayout.Single, PoolFamily.BlockArray, ["p0"]),
            ],
        };
        host = host with { Disks = host.Disks.Change(d => d.Id == "p1", d => d with { Holds = ["ext4"] }) };
        var draft = Small.Lab(host);
        var stands = Standing.TakeHost(draft, Kiln)(Lab.Empty("new")).Lab;
        stands.Hosts[0].Pools.Select(p => p.Name).ShouldBe(["there"]);
        RunbookBuilder.Build(stands, draft).Steps.Single().Act.Wipes.ShouldBe(["p0"]);
    }

    [Fact]
    public void That_a_disk_may_go_lasts_until_something_else_is_on_it()
    {
        var marked = KitEdits.MayBeWiped(Kiln, "p0", new DateOnly(2026, 11, 20))(Small.Lab(Read("ext4"))).Lab.Hosts[0];
        HostReading Again(params string[] holds) => new(null, null, [.. Read(holds).Disks], [new PartReading(KitParts.Disks, 4, [])]);
        HostMerge.Applied(marked, Again("ext4")).Disks.Single(d => d.Id == "p0").MayBeWiped.ShouldNotBeNull();
        HostMerge.Applied(marked, Again("xfs")).Disks.Single(d => d.Id == "p0").MayBeWiped.ShouldBeNull();
    }

    /// <summary>A host that was read, with a boot disk, its flash pool, and two spinning disks, the first of which holds something.</summary>
    private static Host Read(params string[] holds)
    {
        var host = Small.Host("kiln");
        return host with
        {
            WasRead = true,
            Disks =
            [
                .. host.Disks,
                new Disk("p0", "sdb", ByteSize.FromTB(4), DiskKind.Spinning, Holds: [.. holds]),
                new Disk("p1", "sdc", ByteSize.FromTB(4), DiskKind.Spinning),
            ],
        };
    }
}
