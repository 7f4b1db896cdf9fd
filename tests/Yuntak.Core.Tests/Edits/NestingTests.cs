using CsCheck;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Formats.Intake;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Edits;

/// <summary>App stacks whose engine runs inside another guest: counted once, moved along, built after it.</summary>
public class NestingTests
{
    private static readonly GuestId Papers = new("papers");
    private static readonly GuestId Outer = new("nest");
    private static readonly Guest Stack = Small.Guest("papers", "file-cloud", GuestKind.AppStack, new LoadValue("quota", 10));
    private static readonly Lab Pair = Small.Lab(Small.Host("kiln", 64, 8, 16, 8), Small.Host("wren", 64, 8, 16, 8));

    private static readonly Lab Nested = Pair.WithGuestOn(Small.Guest("nest", "app-engine", GuestKind.SystemContainer), "kiln")
        .WithGuestOn(Stack, "kiln")
        .With(NestingEdits.RunIn(Papers, Outer));

    [Fact]
    [Trade]
    public void What_runs_inside_is_counted_once_and_the_engine_takes_100_MiB()
    {
        var host = Assessment.Of(Nested).Host(new HostId("kiln"))!;
        var inner = Small.Size(Stack);

        host.Guests.Single().Guest.Id.ShouldBe(Outer);
        host.AllGuests.Select(g => g.Guest.Id).ShouldBe([Outer, Papers]);
        var alone = Small.Size(Small.Guest("nest", "app-engine", GuestKind.SystemContainer));
        var with = host.Guests.Single();
        with.BusyCores.Value.ShouldBe(alone.BusyCores.Value + inner.BusyCores.Value, 1e-9);
        with.Bulk.ShouldBe(alone.Bulk + inner.Bulk);
        (with.ExpectedMemory - alone.ExpectedMemory).ShouldBe(inner.ExpectedMemory + ByteSize.FromMiB(8));
        alone.AdvisedMemory.Inputs.ShouldContain(i => i.Label == "app engine" && i.ValueText == ByteSize.FromMiB(100).ToString());
        host.Processor.Peak.Value.Value.ShouldBe(Enumerable.Range(0, 24).Max(with.CoresAt), 1e-9);
    }

    [Fact]
    public void It_stands_where_its_outer_guest_stands_and_moves_along()
    {
        Nested.Guest(Papers)!.Placement.ShouldBeNull();
        Nested.HostOf(Nested.Guest(Papers)!)!.Name.ShouldBe("kiln");
        var moved = Nested.With(GuestEdits.Place(Outer, new HostId("wren")));
        moved.HostOf(moved.Guest(Papers)!)!.Name.ShouldBe("wren");
        Assessment.Of(moved).NotPlaced.ShouldBeEmpty();
    }

    [Fact]
    public void The_outer_guest_gets_a_pool_for_the_bulk_data_that_came_with_it()
    {
        Nested.Guest(Outer)!.Placement!.BulkPool.ShouldBe("ember");
        Nested.Findings("bench.no-pool-for-guest").ShouldBeEmpty();
    }

    [Fact]
    public void Putting_it_on_a_host_takes_it_out_again()
    {
        var changed = GuestEdits.Place(Papers, new HostId("wren"))(Nested);
        changed.Sentence.ShouldBe("papers taken out of nest and put on wren");
        changed.Lab.Guest(Papers)!.RunsIn.ShouldBeNull();
    }

    [Fact]
    public void Making_it_a_machine_puts_it_on_the_host_itself()
    {
        var lab = Nested.With(GuestEdits.Change(Papers, g => g with { Kind = GuestKind.Machine }));
        lab.Guest(Papers)!.RunsIn.ShouldBeNull();
        lab.Guest(Papers)!.Placement!.Host.Value.ShouldBe("kiln");
    }

    [Fact]
    public void Only_app_stacks_run_inside_and_only_in_what_is_none()
    {
        Should.Throw<Refused>(() => NestingEdits.RunIn(Outer, Papers)(Nested)).Message.ShouldContain("only app stacks run inside");
        var two = Nested.WithGuestOn(Small.Guest("wiki", kind: GuestKind.AppStack), "kiln");
        Should.Throw<Refused>(() => NestingEdits.RunIn(new GuestId("wiki"), Papers)(two)).Message.ShouldContain("is an app stack itself");
        Should
            .Throw<Refused>(() => GuestEdits.Change(Outer, g => g with { Kind = GuestKind.AppStack })(Nested))
            .Message.ShouldContain("cannot become an app stack while papers runs in it");
    }

    [Theory]
    [InlineData(GuestKind.Machine)]
    [InlineData(GuestKind.SystemContainer)]
    public void An_engine_of_its_own_is_made_where_the_stack_was(GuestKind kind)
    {
        var changed = NestingEdits.RunInEngineOfItsOwn(Papers, kind)(Pair.WithGuestOn(Stack, "wren"));
        var engine = changed.Lab.Guests.Single(g => g.Name == "app engine");
        engine.Kind.ShouldBe(kind);
        engine.Placement!.Host.Value.ShouldBe("wren");
        changed.Lab.Guest(Papers)!.RunsIn.ShouldBe(engine.Id);
        PackagingWays.GivenUp(kind).Count.ShouldBeGreaterThan(2);
    }

    [Fact]
    public void The_runbook_builds_the_outer_guest_first_and_takes_it_away_last()
    {
        string[] Order(Lab from, Lab to) => [.. RunbookBuilder.Build(from, to).Sections.Select(s => s.Title)];
        Order(Pair, Nested).ShouldBe(["Build nest on kiln", "Build papers on kiln"]);
        Order(Nested, Pair).ShouldBe(["Take papers off kiln", "Take nest off kiln"]);
    }

    [Fact]
    public void The_difference_and_the_sentence_say_where_it_runs()
    {
        var before = Pair.WithGuestOn(Small.Guest("nest", "app-engine", GuestKind.SystemContainer), "kiln").WithGuestOn(Stack, "kiln");
        NestingEdits.RunIn(Papers, Outer)(before).Sentence.ShouldBe("papers runs in nest now");
        LabDifference.Between(before, Nested).Single(c => c.Sentence.StartsWith("papers")).Sentence.ShouldContain("nest");
    }

    [Fact]
    public void In_any_lab_the_inner_guests_add_up_in_the_outer_ones_and_nowhere_else() =>
        Gens.AnyLab.Holds(
            lab =>
            {
                var assessment = Assessment.Of(lab);
                foreach (var guest in lab.Guests.Where(g => g.RunsIn is not null))
                {
                    guest.Kind.ShouldBe(GuestKind.AppStack);
                    guest.Placement.ShouldBeNull();
                    assessment.Hosts.ShouldAllBe(h => h.Guests.All(g => g.Guest.Id != guest.Id));
                    assessment.Guest(guest.RunsIn!.Value).Inner.ShouldContain(s => s.Guest.Id == guest.Id);
                }

                foreach (var outer in assessment.Guests.Where(g => g.Inner.Count > 0))
                {
                    var alone = Sizing.Of(lab with { Guests = [.. lab.Guests.Where(g => g.RunsIn != outer.Guest.Id)] }, outer.Guest);
                    outer.BusyCores.Value.ShouldBe(alone.BusyCores.Value + outer.Inner.Sum(s => s.BusyCores.Value), 1e-6);
                    outer.Scratch.Value.Bytes.ShouldBe(alone.Scratch.Value.Bytes + outer.Inner.Sum(s => s.Scratch.Value.Bytes));
                }
            },
            iter: 200
        );
}
