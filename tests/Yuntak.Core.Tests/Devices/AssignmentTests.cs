using CsCheck;
using Yuntak.Core.Devices;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Stations;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Devices;

/// <summary>Verdicts and assignments against all ways tried by brute force.</summary>
public class AssignmentTests
{
    [Fact]
    public void A_verdict_agrees_with_the_rules_done_a_second_time() =>
        DeviceGens
            .AnyLab(1, 4)
            .Holds(
                lab =>
                {
                    var host = lab.Hosts[0];
                    var brute = new BruteForce(host);
                    var check = ClaimCheck.On(lab, DeviceMap.Of(host));
                    var held = check
                        .Asked.Select(
                            (a, n) => a.Claim.Chosen ? brute.Ways(n, a.Guest, a.Claim).FirstOrDefault() ?? Impossible(n, a) : null
                        )
                        .ToList();
                    foreach (var (asked, n) in check.Asked.Select((a, n) => (a, n)))
                    {
                        var verdict = check.Best(asked);
                        var others = held.Where((h, m) => h is not null && m != n).Select(h => h!).ToList();
                        if (others.Exists(o => o.Along < 0))
                        {
                            // What cannot be had holds nothing; which claims it bars meanwhile is no matter of the chapter.
                            continue;
                        }

                        var ways = brute
                            .Ways(n, asked.Guest, asked.Claim)
                            .Where(w => others.TrueForAll(o => BruteForce.Together(o, w) && SlicesLeft(host, w, others)))
                            .ToList();
                        verdict.CanBe.ShouldBe(ways.Count > 0, $"{asked.Guest.Name} {asked.Claim}");
                        if (ways.Count > 0)
                        {
                            var best = ways.Min(w => (w.Worse ? 1 : 0, w.Along));
                            (verdict.Answer == ClaimAnswer.Collateral ? 1 : 0, verdict.AlsoMoves.Count).ShouldBe(best);
                            verdict.AlsoMoves.ShouldBeUnique();
                        }
                        else
                        {
                            verdict.Reasons.ShouldNotBeEmpty();
                        }
                    }
                },
                iter: 2_000
            );

    [Fact]
    public void An_assignment_is_as_good_as_the_best_of_all_ways_tried() =>
        DeviceGens
            .AnyLab(1, 7)
            .Holds(
                lab =>
                {
                    var host = lab.Hosts[0];
                    var assigned = DeviceAssignment.Of(lab);
                    assigned.Optimal.ShouldBeTrue();
                    var brute = new BruteForce(host);
                    var claims = ClaimCheck.On(lab, DeviceMap.Of(host)).Asked.Select(a => (a.Guest, a.Claim)).ToList();
                    (assigned.Met.Count + assigned.Unmet.Count).ShouldBe(claims.Count);
                    var best = brute.Best(claims);
                    (
                        assigned.Met.Count(m => m.Asked!.Claim.Chosen),
                        assigned.Met.Count(m => !m.Asked!.Claim.Chosen),
                        -assigned.Met.Sum(m => m.AlsoMoves.Count),
                        -assigned.Met.Count(m => m.Answer == ClaimAnswer.Collateral)
                    ).ShouldBe(best);
                    Sound(host, assigned, brute);
                    assigned.Unmet.ShouldAllBe(u => u.Reason.Length > 0 && u.SmallestChange.Length > 0);
                },
                iter: 400
            );

    [Fact]
    public void Twelve_hosts_with_forty_claims_are_assigned_and_nothing_clashes() =>
        // Far more than any household has; how long it takes the bench measures.
        DeviceGens
            .AnyLab(12, 12 * 40)
            .Holds(
                lab =>
                {
                    var assigned = DeviceAssignment.Of(lab);
                    assigned.Optimal.ShouldBeTrue();
                    foreach (var host in lab.Hosts)
                    {
                        Sound(host, assigned.On([host.Id]), new BruteForce(host));
                    }
                },
                iter: 3
            );

    [Fact]
    public void Assigning_makes_no_new_clash_and_a_second_time_changes_nothing() =>
        DeviceGens
            .AnyLab(2, 8)
            .Holds(
                lab =>
                {
                    if (DeviceAssignment.Of(lab).ToTake.Count == 0)
                    {
                        return;
                    }

                    var done = lab.With(Core.Edits.DeviceEdits.Assign());
                    Stops(done).ShouldBeLessThanOrEqualTo(Stops(lab));
                    DeviceAssignment.Of(done).ToTake.ShouldBeEmpty();
                },
                iter: 100
            );

    private static int Stops(Lab lab) =>
        Assessment.Of(lab).Findings.Count(f => f.Severity == Severity.Stop && f.Rule.Station == Station.Devices);

    [Fact]
    public void A_chosen_claim_stays_and_the_open_one_says_what_would_let_it()
    {
        var lab = Two();
        var assigned = DeviceAssignment.Of(lab);
        assigned.Met.Select(m => m.Guest.Name).ShouldBe(["desk"]);
        var unmet = assigned.Unmet.ShouldHaveSingleItem();
        unmet.Reason.ShouldContain("desk has");
        unmet.SmallestChange.ShouldBe("let desk give up Card at 0000:01:00.0");
    }

    [Fact]
    public void A_device_on_another_host_is_named()
    {
        var card = new PciFunction("0000:01:00.0", "1200", "Card", Group: 1, Driver: "drv", Reset: "flr");
        var bare = new PciFunction("0000:01:00.0", "0604", "Bridge", Group: 1);
        var lab = Small
            .Lab(
                Small.Host("kiln").With(new Hardware(Functions: [bare], Isolation: true)),
                Small.Host("wren").With(new Hardware(Functions: [card], Isolation: true))
            )
            .WithGuestOn(Small.Guest("owl", "wiki", GuestKind.SystemContainer), "kiln")
            .WithGuest(new GuestId("owl"), g => g with { Claims = [new DeviceClaim(DeviceNeed.AiAccelerator)] });
        DeviceAssignment
            .Of(lab)
            .Unmet.Single()
            .SmallestChange.ShouldBe("move owl to wren, which has Card at 0000:01:00.0, or bring that device over");
    }

    private static Lab Two()
    {
        var card = new PciFunction("0000:01:00.0", "0300", "Card", Group: 1, Driver: "drv", Reset: "flr");
        return Small
            .Lab(Small.Host("kiln").With(new Hardware(Functions: [card], Isolation: true)))
            .WithGuestOn(Small.Guest("desk"), "kiln")
            .WithGuestOn(Small.Guest("films"), "kiln")
            .WithGuest(
                new GuestId("desk"),
                g => g with { Claims = [new DeviceClaim(DeviceNeed.VideoEncoder, ClaimWay.Whole, card.Address)] }
            )
            .WithGuest(new GuestId("films"), g => g with { Claims = [new DeviceClaim(DeviceNeed.VideoEncoder)] });
    }

    /// <summary>Nothing is given twice, no group split, nothing given that the host needs: asked of each pair by the rules done a second time.</summary>
    private static void Sound(Host host, DeviceAssignment assigned, BruteForce brute)
    {
        var picks = assigned
            .Met.Select(m =>
                brute
                    .Ways(0, m.Guest, new DeviceClaim(m.Need, m.Way, m.Device))
                    .SingleOrDefault()
                    .ShouldNotBeNull($"{m.Guest.Name} {m.Device} {m.Way}")
            )
            .ToList();
        for (var a = 0; a < picks.Count; a++)
        {
            for (var b = 0; b < a; b++)
            {
                BruteForce.Together(picks[a], picks[b]).ShouldBeTrue($"{host.Name}: {picks[a]} beside {picks[b]}");
            }
        }

        foreach (var slices in picks.Where(p => p.Way == ClaimWay.Slice).GroupBy(p => p.Device))
        {
            slices.Count().ShouldBeLessThanOrEqualTo(host.Hardware.Function(slices.Key)!.Slices!.Value);
        }
    }

    private static bool SlicesLeft(Host host, BruteForce.Pick way, List<BruteForce.Pick> others) =>
        way.Way != ClaimWay.Slice
        || others.Count(o => o.Way == ClaimWay.Slice && o.Device == way.Device) < host.Hardware.Function(way.Device)!.Slices;

    /// <summary>A chosen claim that cannot be had.</summary>
    private static BruteForce.Pick Impossible(int n, AskedClaim asked) =>
        new(n, asked.Guest, asked.Claim.Way!.Value, asked.Claim.Device!, [], -1, true);
}
