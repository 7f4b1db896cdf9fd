using CsCheck;
using Yuntak.Core.Labs;
using Yuntak.Core.Rehearsals;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Rehearsals;

/// <summary>A runbook that stops half-way: it is resumed, it is taken back, or the power goes.</summary>
public class HalfWayTests
{
    [Fact]
    public void Work_on_guests_is_taken_back_from_any_step_to_what_stood()
    {
        var taken = 0;
        Changes.AnyTwo.Holds(
            pair =>
            {
                var runbook = RunbookBuilder.Build(pair.Stands, pair.Draft);
                var house = Beginning.Of(runbook);
                if (!WayBack.CanStandAsItDoes(house))
                {
                    return;
                }

                foreach (var section in runbook.Sections)
                {
                    var before = house.Copy();
                    // Pools may have other names by then than what stood; where the work began is what it goes back to.
                    var names = PoolsAreAsTheyStood(runbook, section) && WayBack.CanStandAsItDoes(before);
                    List<RunbookStep> done = [];
                    foreach (var step in section.Steps)
                    {
                        if (!Done(step, house, runbook.Plan))
                        {
                            return;
                        }

                        done.Add(step);
                        if (names && section.Steps.Count < 30 && WayBack.Leads(section, done))
                        {
                            var back = house.Copy();
                            try
                            {
                                WayBack.Take(back, runbook.Plan, section);
                            }
                            catch (HostRefuses refusal) when (refusal.Message.StartsWith("Exec format", StringComparison.Ordinal))
                            {
                                // Random labs have guests that stand where they could never have started; there is no way back to that.
                                continue;
                            }

                            Interlocked.Increment(ref taken);
                            back.Lost.ShouldBeEmpty();
                            HouseWords.Differences(back, before).ShouldBeEmpty($"{section.Title} after {step.What}");
                        }
                    }
                }
            },
            iter: 320
        );
        taken.ShouldBeGreaterThan(100);
    }

    [Fact]
    public void A_power_cut_at_any_step_loses_nothing_and_the_rest_can_be_done()
    {
        Changes.AnyTwo.Holds(
            pair =>
            {
                var runbook = RunbookBuilder.Build(pair.Stands, pair.Draft);
                var rehearsal = Rehearsal.Of(runbook);
                if (!rehearsal.ReachesDraft || rehearsal.Steps.Count is 0 or > 60 || !WayBack.CanStandAsItDoes(Beginning.Of(runbook)))
                {
                    return;
                }

                var should = Beginning.Of(runbook);
                foreach (var step in rehearsal.Steps)
                {
                    step.Step.Act.Do(should, runbook.Plan);
                }

                for (var cut = 0; cut < rehearsal.Steps.Count; cut++)
                {
                    var house = Beginning.Of(runbook);
                    for (var n = 0; n < rehearsal.Steps.Count; n++)
                    {
                        var act = rehearsal.Steps[n].Step.Act;
                        if (n == cut && house.HostIf(rehearsal.Steps[n].Step.Host) is { On: true } host)
                        {
                            house.CutPower(host.Id);
                            // What nobody is at home for comes up by itself, or stays off until somebody comes.
                            try
                            {
                                house.PowerOn(host.Id);
                            }
                            catch (HostRefuses)
                            {
                                return;
                            }
                        }

                        act.Do(house, runbook.Plan);
                    }

                    house.Lost.ShouldBeEmpty();
                    HouseWords
                        .Differences(house, should)
                        .Where(d => !d.EndsWith(": Off", StringComparison.Ordinal) && !d.EndsWith(": Running", StringComparison.Ordinal))
                        .ShouldBeEmpty($"cut at {rehearsal.Steps[cut].Number} {rehearsal.Steps[cut].Step.What}");
                    // Who does not start with its host, such as a test machine, waits for somebody to come.
                    house.Guests.Where(g => g is { Served: true, Starts: true } && g.State != GuestState.Running).ShouldBeEmpty();
                }
            },
            iter: 60
        );
    }

    [Fact]
    public void What_is_half_done_goes_on_from_where_it_stopped()
    {
        Changes.AnyTwo.Holds(
            pair =>
            {
                var first = RunbookBuilder.Build(pair.Stands, pair.Draft);
                if (!Rehearsal.Of(first).ReachesDraft || first.Open is 0 or > 60)
                {
                    return;
                }

                var built = pair.Stands;
                for (var n = 0; n < first.Open / 2; n++)
                {
                    var now = RunbookBuilder.Build(built, pair.Draft);
                    if (now.Steps.FirstOrDefault(now.CanTick) is not { } next)
                    {
                        now.Steps.ShouldContain(s => !s.Act.CanBeDone, "only a stop ends it");
                        return;
                    }

                    built = built.With(RunbookTick.Off(pair.Draft, next.Id));
                }

                var rest = Rehearsal.Of(built, pair.Draft);
                // A disk of a host that has joined is asked about before it is wiped, also where nobody had read the host before.
                if (rest.Steps.Any(s => !s.Step.Act.CanBeDone) || !WayBack.CanStandAsItDoes(Beginning.Of(rest.Runbook)))
                {
                    return;
                }

                rest.Lost.ShouldBeEmpty();
                rest.Steps.Where(s => s.Outcome != StepOutcome.Done).Select(s => $"{s.Number} {s.Step.What}: {s.Message}").ShouldBeEmpty();
                rest.Differences.ShouldBeEmpty();
            },
            iter: 60
        );
    }

    private static bool PoolsAreAsTheyStood(Runbook runbook, RunbookSection section) =>
        section
            .Steps.Select(s => s.Act)
            .OfType<GuestAct>()
            .Select(a => runbook.Plan.Stands(a.Guest)?.Placement)
            .OfType<Placement>()
            .All(p =>
                runbook
                    .Plan.AsBuilt.Host(p.Host)!
                    .Pools.All(pool =>
                        runbook.Plan.Draft.Host(p.Host)?.PoolNamed(pool.Name) is { } planned
                        && planned.DiskIds == pool.DiskIds
                        && planned.Layout == pool.Layout
                    )
                && runbook.Plan.Draft.Host(p.Host)?.Wires == runbook.Plan.AsBuilt.Host(p.Host)!.Wires
            );

    private static bool Done(RunbookStep step, SimHouse house, Plan plan)
    {
        if (step.Done)
        {
            return true;
        }

        try
        {
            step.Act.Do(house, plan);
            return true;
        }
        catch (HostRefuses)
        {
            return false;
        }
    }
}
