using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Rehearsals;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Runbooks;

/// <summary>Who goes first when guests move, who is stopped meanwhile, and where an evening may end.</summary>
public class MoveOrderTests
{
    private static readonly GuestId Notes = new("notes");
    private static readonly GuestId Cloud = new("cloud");
    private static readonly HostId Wren = new("wren");

    private static Lab Pair(double wrenTB) => Small.Lab(Small.Host("kiln", 64, 8, 16, 8), Small.Host("wren", 64, 8, 16, wrenTB));

    private static Guest Holding(string name, double bulkTB) =>
        Small.Guest(name) with
        {
            Overrides = new SizeOverrides(Bulk: ByteSize.FromTB(bulkTB)),
            Life = LifeStage.InService,
        };

    [Fact]
    public void Who_shrinks_as_it_moves_goes_while_there_is_room_for_all_of_it()
    {
        // On wren 2.9 TB are to be had: all of notes at first, 0.5 TB of it once it is smaller; cloud takes 2 TB.
        var stands = Pair(3).WithGuestOn(Holding("cloud", 2), "kiln").WithGuestOn(Holding("notes", 2.5), "kiln");
        var draft = stands
            .With(GuestEdits.Place(Cloud, Wren))
            .With(GuestEdits.Place(Notes, Wren))
            .With(GuestEdits.Change(Notes, g => g with { Overrides = new SizeOverrides(Bulk: ByteSize.FromTB(0.5)) }));
        var runbook = RunbookBuilder.Build(stands, draft);
        runbook.Sections.Select(s => s.Key).ShouldBe(["move-guest/notes", "move-guest/cloud"]);
        var rehearsal = Rehearsal.Of(runbook);
        rehearsal.Steps.Where(s => s.Message.Length > 0).Select(s => s.Message).ShouldBeEmpty();
        rehearsal.ReachesDraft.ShouldBeTrue();
    }

    [Fact]
    public void Who_mounts_a_folder_is_stopped_before_its_exporter_moves_and_is_named_among_those_away()
    {
        var stands = (Pair(8) with { Shares = [new NetworkShare("reels", new ShareEnd(Cloud, Path: "/srv/reels"), ["notes"])] })
            .WithGuestOn(Holding("cloud", 1), "kiln")
            .WithGuestOn(Holding("notes", 0) with { Mounts = [new ShareMount("reels", "/reels", MountBy.Guest)] }, "kiln");
        var draft = stands.With(GuestEdits.Place(Cloud, Wren));
        var runbook = RunbookBuilder.Build(stands, draft);
        var steps = runbook.Sections.Single(s => s.Key == "move-guest/cloud").Steps;
        steps.Single(s => s.Act.Type == "move-guest").Act.Stops.ShouldBe([Cloud, Notes]);
        steps
            .Single(s => s.Act.Type == "move-guest")
            .Values.ShouldContain(v => v.Label == "shut down first" && v.Value.StartsWith("notes"));
        steps.Single(s => s.Act.Type == "start-guest").Values.ShouldContain(v => v.Label == "start then");

        var rehearsal = Rehearsal.Of(runbook);
        rehearsal.ReachesDraft.ShouldBeTrue();
        rehearsal.Steps.Single(s => s.Step.Act.Type == "move-guest").Away.ShouldBe([Cloud, Notes], ignoreOrder: true);
        rehearsal.Steps[^1].Away.ShouldBeEmpty();
    }

    [Fact]
    public void No_evening_ends_in_the_middle_of_a_migration_and_a_longer_one_says_so()
    {
        var stands = Pair(8)
            .WithGuestOn(
                Holding("notes", 0) with
                {
                    Kind = Profiles.GuestKind.AppStack,
                    Folders = [new FolderMount("/srv/notes", "/data")],
                },
                "kiln"
            );
        var draft = stands.With(GuestEdits.Change(Notes, g => g with { Kind = Profiles.GuestKind.Machine, Folders = [], Image = null }));
        var rehearsal = Rehearsal.Of(RunbookBuilder.Build(stands, draft));
        rehearsal.Steps.ShouldContain(s => s.Step.Act.Type == "archive-service");
        foreach (var minutes in new[] { 15, 30, 60 })
        {
            foreach (var sitting in Sitting.Of(rehearsal, minutes))
            {
                var types = sitting.Steps.Select(s => s.Step.Act.Type).ToList();
                types.Contains("archive-service").ShouldBe(types.Contains("check-items"));
                sitting.Longer.ShouldBe(sitting.Minutes > minutes);
            }
        }
    }

    [Theory]
    [InlineData("*", "*", true)]
    [InlineData("10.40.7.2", "10.40.7.3", false)]
    [InlineData("0.0.0.0", "10.40.7.3", true)]
    public void Of_two_stacks_that_want_one_port_the_second_does_not_start(string first, string second, bool clash)
    {
        Guest Stack(string name, string at) =>
            Small.Guest(name) with
            {
                Kind = Profiles.GuestKind.AppStack,
                Folders = [new FolderMount($"/srv/{name}", "/data")],
                Listens = [new Listen(8080, Address: at)],
            };
        var draft = Pair(8).WithGuestOn(Stack("notes", first), "kiln").WithGuestOn(Stack("papers", second), "kiln");
        var rehearsal = Rehearsal.Of(RunbookBuilder.Build(Pair(8), draft));
        rehearsal.ReachesDraft.ShouldBe(!clash);
        rehearsal.Steps.Any(s => s.Message.Contains("Address already in use: 8080/tcp")).ShouldBe(clash);
    }

    [Fact]
    public void What_ran_side_by_side_before_is_started_again_as_it_was()
    {
        var both = Pair(8)
            .WithGuestOn(Holding("notes", 0) with { Kind = Profiles.GuestKind.AppStack, Listens = [new Listen(8080)] }, "kiln")
            .WithGuestOn(Holding("papers", 0) with { Kind = Profiles.GuestKind.AppStack, Listens = [new Listen(8080)] }, "kiln");
        var draft = both.With(GuestEdits.Change(Notes, g => g with { Overrides = g.Overrides with { Memory = ByteSize.FromGiB(3) } }));
        Rehearsal.Of(RunbookBuilder.Build(both, draft)).ReachesDraft.ShouldBeTrue();
    }
}
