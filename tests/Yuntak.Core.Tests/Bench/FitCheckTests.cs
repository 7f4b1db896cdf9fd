using CsCheck;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Bench;

public class FitCheckTests
{
    [Fact]
    public void Asking_gives_the_same_answer_as_doing()
    {
        Gens.AnyLab.Holds(
            lab =>
            {
                var assessment = Assessment.Of(lab);
                foreach (var guest in lab.Guests)
                {
                    foreach (var answer in FitCheck.OnEveryHost(assessment, guest))
                    {
                        var done = Assessment.Of(lab.With(GuestEdits.Place(guest.Id, answer.After.Host.Id))).Host(answer.After.Host.Id)!;
                        done.Memory.Committed.Value.ShouldBe(answer.After.Memory.Committed.Value);
                        done.Processor.Peak.Value.Value.ShouldBe(answer.After.Processor.Peak.Value.Value, 1e-6);
                        done.Pools.Select(p => p.Claimed.Value).ShouldBe(answer.After.Pools.Select(p => p.Claimed.Value));
                        done.Fit.ShouldBe(answer.After.Fit);
                    }
                }
            },
            iter: 150
        );
    }

    [Fact]
    public void A_guest_that_cannot_go_has_a_reason_and_a_smallest_change()
    {
        var big = Small.Guest("big") with { Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(20)) };
        var lab = Small.Lab(Small.Host("wren", 16)).With(GuestEdits.Add(big));

        var answer = FitCheck.OnEveryHost(Assessment.Of(lab), lab.Guests[0]).Single();

        answer.CanGo.ShouldBeFalse();
        answer.Limits.Single().Text.ShouldStartWith("memory: ");
        answer.Limits.Single().SmallestChange.ShouldEndWith("memory on wren");
    }

    [Fact]
    public void The_smallest_change_is_enough_and_less_is_not()
    {
        var guest = Small.Guest("big") with { Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(20)) };
        var lab = Small.Lab(Small.Host("wren", 16)).With(GuestEdits.Add(guest));
        var missing = ByteSize.Zero - FitCheck.OnEveryHost(Assessment.Of(lab), lab.Guests[0])[0].After.Memory.Spare;

        Answer(lab, missing).CanGo.ShouldBeTrue();
        Answer(lab, missing - new ByteSize(1)).CanGo.ShouldBeFalse();

        static FitAnswer Answer(Lab lab, ByteSize more)
        {
            var larger = lab.With(HostEdits.Change(new HostId("wren"), h => h with { Memory = h.Memory + more }));
            return FitCheck.OnEveryHost(Assessment.Of(larger), larger.Guests[0])[0];
        }
    }

    [Fact]
    public void Every_limit_is_named_at_once()
    {
        var host = Small.Host("wren", 2, 1, 1, 0.1) with { Processor = new Processor("x86_64", 1, 1, 1, false), NetworkPorts = 1 };
        var guest = Small.Guest("big", "router", GuestKind.Machine, new LoadValue("line-rate", 10)) with
        {
            Overrides = new SizeOverrides(8, ByteSize.FromGiB(20), ByteSize.FromTB(1)),
        };
        var lab = Small.Lab(host).With(GuestEdits.Add(guest));

        var limits = FitCheck.OnEveryHost(Assessment.Of(lab), lab.Guests[0])[0].Limits.Select(l => l.Text).ToList();

        limits.ShouldContain(l => l.Contains("virtualisation is off"));
        limits.ShouldContain(l => l.Contains("a second leg"));
        limits.ShouldContain(l => l.Contains("virtual processors wanted"));
        limits.ShouldContain(l => l.StartsWith("memory: "));
        limits.ShouldContain(l => l.StartsWith("processor: "));
        limits.ShouldContain(l => l.StartsWith("disk: "));
    }

    [Fact]
    public void A_host_without_a_pool_says_so()
    {
        var lab = Small.Lab(Small.Host("wren") with { Pools = [] }).With(GuestEdits.Add(Small.Guest("notes")));
        FitCheck.OnEveryHost(Assessment.Of(lab), lab.Guests[0])[0].Limits.Single().Text.ShouldContain("no pool");
    }

    [Fact]
    public void A_verdict_names_the_hosts_touched_and_what_came_and_went()
    {
        var lab = Small.Lab(Small.Host("kiln"), Small.Host("wren", 3)).With(GuestEdits.Add(Small.Guest("films", "media-library")));
        var after = lab.With(GuestEdits.Place(new GuestId("films"), new HostId("wren")));

        var verdict = Verdict.Between(Assessment.Of(lab), Assessment.Of(after));

        verdict.Hosts.Single().Host.ShouldBe("wren");
        verdict.Hosts.Single().Before.ShouldBe(Fit.Fits);
        verdict.Worst.ShouldBe(Fit.Over);
        verdict.Came.Select(f => f.Rule.Id).ShouldContain("bench.memory-over");
        verdict.Went.Select(f => f.Rule.Id).ShouldContain("bench.not-placed");
    }

    [Fact]
    public void Nothing_changed_gives_an_empty_verdict()
    {
        var lab = Assessment.Of(Small.Lab(Small.Host("kiln")));
        var verdict = Verdict.Between(lab, lab);
        verdict.Hosts.ShouldBeEmpty();
        verdict.Worst.ShouldBeNull();
    }
}
