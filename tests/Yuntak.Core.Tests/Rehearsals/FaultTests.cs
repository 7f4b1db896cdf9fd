using CsCheck;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Rehearsals;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Rehearsals;

/// <summary>What goes wrong for people goes wrong on simulated hosts, and the host or the step's own check shows it.</summary>
public class FaultTests
{
    [Fact]
    public void No_fault_at_any_step_of_any_runbook_goes_unseen_and_does_harm()
    {
        Changes.AnyTwo.Holds(
            pair =>
            {
                var rehearsal = Rehearsal.Of(pair.Stands, pair.Draft, allFaults: true);
                rehearsal
                    .Faults.Where(f => f.Outcome == StepOutcome.Missed)
                    .Select(f => $"{f.Fault.Name} at {f.Number} {rehearsal.Steps.First(s => s.Step.Id == f.Step).Step.What}: {f.Message}")
                    .ShouldBeEmpty();
            },
            iter: 150
        );
    }

    [Fact]
    public void A_device_that_is_busy_is_shown_by_the_host()
    {
        var struck = 0;
        DeviceGens
            .AnyLab(2, 8)
            .Holds(
                lab =>
                {
                    var draft = Gens.Try(lab, DeviceEdits.Assign());
                    var tried = Rehearsal
                        .Of(draft with { Guests = [] }, draft, allFaults: true)
                        .Faults.Where(f => f.Fault.Name == "device-busy")
                        .ToList();
                    tried.ShouldAllBe(f => f.Outcome == StepOutcome.Caught && f.Message.StartsWith("Device or resource busy"));
                    Interlocked.Add(ref struck, tried.Count);
                },
                iter: 20
            );
        struck.ShouldBeGreaterThan(5);
    }
}
