using CsCheck;
using Yuntak.Core.Edits;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Keeping;

/// <summary>What is tried when: a guest each month, whom longest ago and who matters most; the whole house once a year (common practice).</summary>
public class DrillPlanTests
{
    private static readonly GuestId Notes = Copied.Notes;
    private static readonly GuestId Cloud = Copied.Cloud;

    [Fact]
    public void Who_was_never_brought_back_is_first_and_a_month_after_the_last()
    {
        // Notes came back a week ago: cloud is next, thirty days after that.
        var next = DrillPlan.NextGuest(Copied.Sound().Keeping())!;
        (next.Guest, next.On, next.Worked).ShouldBe((Cloud, Copied.Today.AddDays(-7 + 30), null));
    }

    [Fact]
    public void Where_nothing_was_ever_tried_it_is_within_a_week_and_begins_with_who_matters_most()
    {
        var never = Drilled();
        DrillPlan.NextGuest(never.Keeping())!.On.ShouldBe(Copied.Today.AddDays(7));
        foreach (var must in new[] { Notes, Cloud })
        {
            var lab = never with
            {
                Guests = never.Guests.Change(_ => true, g => g with { Importance = g.Id == must ? Importance.Must : Importance.MayWait }),
            };
            DrillPlan.NextGuest(lab.Keeping())!.Guest.ShouldBe(must);
        }
    }

    [Fact]
    public void What_failed_or_is_only_planned_was_not_brought_back()
    {
        var lab = Drilled(
            new Drill(DrillKind.Guest, Copied.Today.AddDays(-40), Notes, Worked: true),
            new Drill(DrillKind.Guest, Copied.Today.AddDays(-3), Cloud, Worked: false),
            new Drill(DrillKind.Guest, Copied.Today.AddDays(-2), Cloud),
            new Drill(DrillKind.File, Copied.Today.AddDays(-1), Cloud, Worked: true)
        );
        var next = DrillPlan.NextGuest(lab.Keeping())!;
        next.Guest.ShouldBe(Cloud, "one file of it is not all of it");
        next.On.ShouldBe(Copied.Today.AddDays(7), "it is late already: soon");
        DrillPlan.Overdue(lab.Keeping()).Select(d => d.On).ShouldBe([Copied.Today.AddDays(-2)]);
    }

    [Fact]
    public void Nobody_can_be_brought_back_of_whom_there_is_no_copy()
    {
        DrillPlan.NextGuest(Copied.House().Keeping()).ShouldBeNull();
        DrillPlan.Year(Copied.House().Keeping()).ShouldBeEmpty();
        var half = Copied.Sound().With(KeepingEdits.Untick("nightly", Cloud, VolumePart.Bulk, [VolumePart.System, VolumePart.Bulk]));
        DrillPlan.Year(half.Keeping()).Where(d => d.Guest is not null).ShouldAllBe(d => d.Guest == Notes);
    }

    [Fact]
    public void A_year_by_the_rule_is_twelve_guests_a_month_apart_and_the_house_once()
    {
        var year = DrillPlan.Year(Drilled().Keeping());
        var guests = year.Where(d => d.Kind == DrillKind.Guest).ToList();
        guests.Count.ShouldBe(12);
        guests.Zip(guests.Skip(1)).ShouldAllBe(p => p.First.On.AddMonths(1) == p.Second.On || p.Second.On.Day < p.First.On.Day);
        guests.CountBy(d => d.Guest!.Value).ShouldAllBe(g => g.Value == 6, "in turn");
        year.Count(d => d.Kind == DrillKind.House).ShouldBe(1);
        DrillPlan
            .NextHouse(Drilled(new Drill(DrillKind.House, Copied.Today.AddDays(-100), Worked: true)).Keeping())
            .On.ShouldBe(Copied.Today.AddDays(-100 + KeepingRules.HouseDrillDays));
        DrillPlan
            .NextHouse(Drilled(new Drill(DrillKind.House, Copied.Today.AddDays(-900), Worked: true)).Keeping())
            .On.ShouldBe(Copied.Today.AddDays(30));
    }

    [Fact]
    public void The_year_of_any_house_lies_ahead_and_can_be_planned_as_it_is()
    {
        var planned = 0;
        Gens.AnyLab.SelectMany(l => Gen.Int.Select(seed => CopyGens.Carried(l, new Random(seed))))
            .Holds(
                lab =>
                {
                    var keeping = lab.Keeping();
                    var year = DrillPlan.Year(keeping);
                    var can = keeping.Guests.Where(g => g.From is not null).Select(g => (GuestId?)g.Guest.Id).ToHashSet();
                    year.Count.ShouldBe(can.Count == 0 ? 0 : 13);
                    foreach (var drill in year)
                    {
                        (drill.On >= Copied.Today && drill.Worked is null).ShouldBeTrue(drill.Key);
                        (drill.Guest is null || can.Contains(drill.Guest)).ShouldBeTrue(drill.Key);
                        lab = lab.With(KeepingEdits.Drill(drill));
                    }

                    lab.Drills.Count(d => year.Contains(d)).ShouldBe(year.Count);
                    can.Take(12).All(g => year.Any(d => d.Guest == g) || can.Count > 12).ShouldBeTrue("each has its turn");
                    Interlocked.Add(ref planned, year.Count);
                },
                iter: 100
            );
        planned.ShouldBeGreaterThan(100);
    }

    /// <summary>The sound house with these drills alone.</summary>
    private static Lab Drilled(params Drill[] drills) => Copied.Sound() with { Drills = [.. drills] };
}
