using BenchmarkDotNet.Attributes;
using Yuntak.Core.Bench;
using Yuntak.Core.Devices;
using Yuntak.Core.Disks;
using Yuntak.Core.Labs;
using Yuntak.Core.Rehearsals;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;

namespace Yuntak.Bench;

/// <summary>The sums alone, on a lab far larger than a household's, against a trivial loop.</summary>
public class CoreBenchmarks
{
    private readonly double[] numbers = [.. Enumerable.Range(0, 10_000).Select(n => (double)n)];
    private readonly Lab lab = LargeLabs.Of(20, 500);
    private Assessment assessment = null!;

    [GlobalSetup(Target = nameof(One_guest_tried_on_every_host))]
    public void Assess() => assessment = Assessment.Of(lab);

    [Benchmark(Baseline = true)]
    public double Trivial_loop_over_10000_numbers()
    {
        var sum = 0.0;
        foreach (var number in numbers)
        {
            sum += number * 0.5;
        }

        return sum;
    }

    private readonly IReadOnlyList<DiskSpec> sixty = DiskText.Disks("60x4TB");

    [Benchmark]
    [Limit(50)]
    public int Assessment_of_20_hosts_and_500_guests() => Assessment.Of(lab).Findings.Count;

    [Benchmark]
    public int Assessment_with_every_fix_worked_out() => Assessment.Of(lab).Findings.Sum(f => f.Fixes.Count);

    [Benchmark]
    public int One_guest_tried_on_every_host() => FitCheck.OnEveryHost(assessment, lab.Guests[0]).Count;

    private Runbook runbook = null!;
    private Lab moved = null!;

    [GlobalSetup(Target = nameof(Rehearsal_of_500_new_guests))]
    public void BuildRunbook() => runbook = RunbookBuilder.Build(Lab.Empty("new"), lab);

    [GlobalSetup(Target = nameof(Runbook_of_500_guests_that_move))]
    public void Move() =>
        moved = lab with
        {
            Guests = lab.Guests.Change(
                g => g.Placement is not null,
                g =>
                    g with
                    {
                        Placement = g.Placement! with
                        {
                            Host = lab.Hosts[(lab.Hosts.ToList().FindIndex(h => h.Id == g.Placement!.Host) + 1) % lab.Hosts.Count].Id,
                        },
                    }
            ),
        };

    [Benchmark]
    [Limit(150)]
    public int Runbook_of_500_guests_that_move() => RunbookBuilder.Build(lab, moved).Open;

    [Benchmark]
    [Limit(500)]
    public int Rehearsal_of_500_new_guests() => Rehearsal.Of(runbook).Minutes;

    [Benchmark]
    [Limit(150)]
    public int Runbook_from_nothing() => RunbookBuilder.Build(Lab.Empty("new"), lab).Open;

    private readonly Lab claiming = LargeLabs.Of(12, 12 * 40, 12 * 40);

    [Benchmark]
    [Limit(1_000)]
    public int Assignment_of_12_hosts_with_40_claims_each() => DeviceAssignment.Of(claiming).Met.Count;

    [Benchmark]
    [Limit(200)]
    public int Layouts_of_sixty_disks() => LayoutChooser.For(sixty).Count;
}
