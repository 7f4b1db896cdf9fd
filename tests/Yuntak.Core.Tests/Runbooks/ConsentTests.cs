using CsCheck;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Rehearsals;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Runbooks;

/// <summary>Nothing with something on it is wiped before somebody said so, and whatever stops a runbook is told where everything else is told.</summary>
public class ConsentTests
{
    private static readonly HostId Kiln = new("kiln");

    /// <summary>A host that is typed in and to be built, with a pool over a disk that holds something.</summary>
    private static Lab Planned(params string[] holds)
    {
        var kiln = Small.Host("kiln", 64, 8, 16);
        return Small.Lab(kiln with { Disks = kiln.Disks.Change(d => d.Id == "kiln-data", d => d with { Holds = [.. holds] }) });
    }

    [Theory]
    [InlineData("ntfs")]
    [InlineData("ext4")]
    [InlineData("raid_member")]
    public void On_a_host_to_be_built_a_disk_with_data_is_asked_about_once_and_wiped_only_then(string holds)
    {
        var lab = Planned(holds);
        var runbook = RunbookBuilder.Build(Lab.Empty("x"), lab);
        runbook.Steps.SelectMany(s => s.Act.Wipes).ShouldNotContain("kiln-data");
        var asked = Assessment
            .Of(lab, Copied.Today)
            .From(Lab.Empty("x"))
            .Findings.Single(f => f.Rule.Station == Core.Findings.Station.Runbook);
        asked.Severity.ShouldBe(Core.Findings.Severity.Stop);
        asked.Text.ShouldContain(holds);
        asked.Text.ShouldContain("kiln-data");

        var said = asked.Fixes.Single().Edit(lab).Lab;
        said.Host(Kiln)!.Disks.Single(d => d.Id == "kiln-data").MayBeWiped.ShouldBe(Copied.Today);
        Assessment
            .Of(said, Copied.Today)
            .From(Lab.Empty("x"))
            .Findings.ShouldNotContain(f => f.Rule.Station == Core.Findings.Station.Runbook);
        var after = RunbookBuilder.Build(Lab.Empty("x"), said);
        after.Steps.SelectMany(s => s.Act.Wipes).ShouldContain("kiln-data");
        Rehearsal.Of(after).ReachesDraft.ShouldBeTrue();
    }

    [Fact]
    public void The_simulated_host_knows_what_was_lost_where_nobody_said_so()
    {
        // The steps of a plan in which it was said, against hosts on which it was not.
        var lab = Planned("ntfs");
        var said = lab.With(KitEdits.MayBeWiped(Kiln, "kiln-data", Copied.Today));
        var making = RunbookBuilder.Build(Lab.Empty("x"), said).Steps.Single(s => s.Act.Wipes.Contains("kiln-data")).Act;
        var house = Core.Simulation.HouseMaker.Of(
            Core.Bench.Sums.Of(lab with { Hosts = lab.Hosts.Change(_ => true, h => h with { Pools = [] }) })
        );
        making.Do(house, new Plan(Lab.Empty("x"), said));
        house.Lost.ShouldHaveSingleItem().ShouldContain("kiln-data");
    }

    [Fact]
    public void What_is_mounted_where_on_a_host_to_be_built_is_how_it_will_be_and_asks_nothing()
    {
        var lab = Planned();
        lab.Host(Kiln)!.Disks.ShouldContain(d => d.MountedAt.Count > 0);
        RunbookBuilder.Build(Lab.Empty("x"), lab).Steps.ShouldAllBe(s => s.Act.CanBeDone);
    }

    [Fact]
    public void Whatever_stops_a_runbook_is_a_finding_and_nothing_else_is()
    {
        var seen = 0;
        Gen.Select(Gens.AnyLab, Gens.AnyLab)
            .Holds(
                (stands, draft) =>
                {
                    var halts = RunbookBuilder.Build(stands, draft).Steps.Select(s => s.Act).OfType<Halt>().ToList();
                    var plain = Assessment
                        .Of(draft, Copied.Today)
                        .Findings.Where(f => f is { Severity: Core.Findings.Severity.Stop, Rule.Station: Core.Findings.Station.Devices })
                        .ToList();
                    var found = Assessment
                        .Of(draft, Copied.Today)
                        .From(stands)
                        .Findings.Where(f => f.Rule.Id.StartsWith("runbook."))
                        .ToList();
                    // What keeps a guest's device from it is told once, by the rule about it.
                    var told = halts.Where(h => h.Guest is not null && plain.Exists(f => f.Subject.Id == h.Guest.Value.Value)).ToList();
                    found.Count.ShouldBe(
                        halts.Except(told).Count(h => h.Unsaid.Count == 0)
                            + halts
                                .SelectMany(h => h.Unsaid.Select(d => (h.Host, d)))
                                .Distinct()
                                .Count(d => draft.Host(d.Host)?.Disks.Any(x => x.Id == d.d) == true)
                    );
                    found.Select(f => f.Key).ShouldBeUnique();
                    seen += halts.Count;
                },
                iter: 150
            );
        seen.ShouldBeGreaterThan(10, "there is something to see");
    }
}
