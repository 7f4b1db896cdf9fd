using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Rehearsals;

/// <summary>Takes the open steps of a runbook in order against simulated hosts, with the faults that are switched on.</summary>
internal sealed class Rehearser
{
    /// <summary>Past so many steps every fault is tried only once for each kind of step.</summary>
    private const int MostSteps = 400;

    private readonly Runbook runbook;
    private readonly Plan plan;
    private readonly bool allFaults;
    private readonly List<(RunbookStep Step, string Number)> steps;
    private readonly SimHouse house;
    private readonly SimHouse should;
    private readonly Rehearser? plain;
    private readonly ILookup<string, Fault> struck;
    private readonly HashSet<string> failed = [];
    private readonly HashSet<string> halfDone = [];
    private readonly HashSet<(string, string)> tried = [];
    private readonly List<RehearsedStep> done = [];
    private readonly List<FaultTry> faults = [];
    private readonly Dictionary<HostId, ByteSize> least = [];
    private readonly AbsenceLog absences = new();

    public Rehearser(Runbook runbook, IReadOnlyList<FaultAt> asked, bool allFaults)
    {
        (this.runbook, plan, this.allFaults) = (runbook, runbook.Plan, allFaults);
        steps =
        [
            .. runbook
                .Sections.SelectMany((s, n) => s.Steps.Select((t, k) => (Step: t, Number: $"{n + 1}.{k + 1}")))
                .Where(s => !s.Step.Done),
        ];
        house = Beginning.Of(runbook);
        should = HouseMaker.Of(plan.Sums);
        // What a fault changes is held against the same steps without it: a stop further down is no doing of the fault.
        plain = allFaults || asked.Count > 0 ? new Rehearser(runbook, [], allFaults: false) : null;
        struck = asked.Select(a => (Fault: Find(a.Fault), Step: Place(a))).ToLookup(f => f.Step, f => f.Fault);
    }

    /// <summary>All of it.</summary>
    public Rehearsal Run()
    {
        plain?.Run();
        var clock = 0;
        RehearsedStep? noReturn = null;
        List<Remark> remarks = [];
        var lanes = new LaneLog(house);
        Watch();
        foreach (var (step, number) in steps)
        {
            var before = house.Down.ToList();
            var stopped = step.Act.Stops.Where(g => house.GuestIf(g)?.Served == true).ToList();
            var (outcome, message, minutes) = Take(step, number);
            // Labs nobody could have are told to the end of time and no further.
            var ends = (int)Math.Min(int.MaxValue / 2, (long)clock + minutes);
            absences.Add(before.Concat(stopped).Concat(house.Down), clock, ends);
            done.Add(new(step, number, clock, ends, outcome, message, [.. house.Down]));
            lanes.Add(house, before.Concat(stopped), clock, ends);
            clock = ends;
            Watch();
            if (outcome == StepOutcome.Refused)
            {
                failed.Add(step.Id);
            }
            else if (noReturn is null && !GoesBack(step.Act))
            {
                noReturn = done[^1];
            }
        }

        var differences = HouseWords.Differences(house, should);
        remarks.AddRange(Remarks.Of(house, plan, done, faults));
        return new Rehearsal(
            runbook,
            done,
            absences.All,
            [.. least.Select(l => (l.Key, l.Value))],
            faults,
            differences,
            house.Lost,
            noReturn,
            remarks,
            lanes.At(clock)
        );
    }

    private bool GoesBack(Act act) =>
        act.GoesBack && !act.Wipes.Any(d => act.On is { } host && plan.Disk(host, d) is { HoldsSomething: true });

    private (StepOutcome, string, int) Take(RunbookStep step, string number)
    {
        if (step.After.FirstOrDefault(failed.Contains) is { } waits)
        {
            return (StepOutcome.Refused, $"It waits for step {steps.First(s => s.Step.Id == waits).Number}, which was refused.", 0);
        }

        var (outcome, message, minutes) = (StepOutcome.Done, "", step.Minutes);
        foreach (var fault in struck[step.Id])
        {
            var tryOut = Try(fault, step, number);
            faults.Add(tryOut);
            if (tryOut.Outcome is StepOutcome.Caught or StepOutcome.Missed || fault.Slower > 1)
            {
                (outcome, message) = (tryOut.Outcome == StepOutcome.Harmless ? StepOutcome.Done : tryOut.Outcome, tryOut.Message);
                // What was caught is put right, and the step done once more.
                minutes = (int)Math.Min(int.MaxValue / 2, (fault.Slower > 1 ? fault.Slower : 2) * (double)step.Minutes);
            }
        }

        if (allFaults)
        {
            TryAll(step, number);
        }

        try
        {
            step.Act.Do(house, plan);
        }
        catch (HostRefuses refusal)
        {
            halfDone.Add(step.Id);
            return (StepOutcome.Refused, refusal.Message, 0);
        }

        return FailedProof(step.Act, house) is { } proof
            ? (StepOutcome.Refused, $"Its check does not hold. {proof}", minutes)
            : (outcome, message, minutes);
    }

    private void TryAll(RunbookStep step, string number)
    {
        foreach (var fault in FaultBook.Kinds)
        {
            if (
                !struck[step.Id].Contains(fault)
                && fault.Strikes(step.Act, house, plan)
                && (steps.Count <= MostSteps || tried.Add((fault.Info.Name, step.Act.Type)))
            )
            {
                faults.Add(Try(fault, step, number));
            }
        }
    }

    /// <summary>What becomes of a fault at a step, on a copy of the hosts.</summary>
    private FaultTry Try(Fault fault, RunbookStep step, string number)
    {
        if (!fault.Strikes(step.Act, house, plan))
        {
            throw new Refused($"«{fault.Info.Words}» cannot happen at step {number}, «{step.What}».");
        }

        var (cost, weight) = fault.Cost(house, step.Act, plan);
        var (outcome, message) = new FaultRun(plan, steps, plain!.failed, plain.halfDone, plain.house).Of(fault, step, house.Copy());
        return new(fault.Info, step.Id, number, outcome, message.Length == 0 ? cost : message, cost, weight);
    }

    /// <summary>The words of the first part of a check that does not hold; null when all hold.</summary>
    internal static string? FailedProof(Act act, SimHouse house, Plan plan)
    {
        try
        {
            return act.Proofs(plan).FirstOrDefault(p => !p.Holds(house)) is { } failed
                ? failed.Words.Length > 0
                    ? failed.Words
                    : act.Text(plan).Check
                : null;
        }
        catch (HostRefuses refusal)
        {
            return refusal.Message;
        }
    }

    private string? FailedProof(Act act, SimHouse at) => FailedProof(act, at, plan);

    private static Fault Find(string name) =>
        FaultBook.Find(name)
        ?? throw new Refused($"There is no fault «{name}». There are: {string.Join(", ", FaultBook.All.Select(f => f.Name))}.");

    /// <summary>The step a fault is to strike: the one named, else the worst it can.</summary>
    private string Place(FaultAt at)
    {
        if (at.Step is { } named)
        {
            var found = steps.FirstOrDefault(s => s.Step.Id == named || s.Number == named).Step;
            return found?.Id ?? throw new Refused($"There is no open step «{named}»: name it by its id or its number, such as 1.1.");
        }

        var fault = Find(at.Fault);
        var (worst, weight, ahead) = ((string?)null, -1.0, house.Copy());
        foreach (var (step, _) in steps)
        {
            if (fault.Strikes(step.Act, ahead, plan) && fault.Cost(ahead, step.Act, plan).Weight is var w && w > weight)
            {
                (worst, weight) = (step.Id, w);
            }

            step.Act.DoQuietly(ahead, plan);
        }

        return worst ?? throw new Refused($"«{fault.Info.Words}» cannot happen at any step of this runbook.");
    }

    private void Watch()
    {
        foreach (var host in house.Hosts.Where(h => h.On))
        {
            var free = host.FreeMemory;
            if (!least.TryGetValue(host.Id, out var so) || free < so)
            {
                least[host.Id] = free;
            }
        }
    }
}
