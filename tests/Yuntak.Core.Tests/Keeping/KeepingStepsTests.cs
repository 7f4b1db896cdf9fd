using CsCheck;
using Yuntak.Core.Edits;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Keeping;

/// <summary>What closes the gaps between how a guest is kept and three copies, two kinds, one elsewhere (CISA / US-CERT, «Data Backup Options», 2012), one that cannot be changed, none unchecked (common practice).</summary>
public class KeepingStepsTests
{
    [Fact]
    public void Of_a_sound_house_nothing_is_missing() =>
        // Both lie on flash at home and on spinning disks at the boathouse, which refuses to delete.
        Copied.Sound().Keeping().Guests.ShouldAllBe(g => KeepingSteps.Of(Copied.Sound().Keeping(), g).Count == 0);

    [Fact]
    public void Each_gap_has_its_step_and_taken_it_is_closed()
    {
        Of(Copied.House()).ShouldContain("plan a job that copies it");

        var alone = Copied.Sound().With(KeepingEdits.RemoveOnward("vault to boathouse"));
        Of(alone).ShouldContain("carry it on to boathouse");
        Of(Copied.Sound()).ShouldNotContain("carry it on to boathouse");

        var unread = Copied.Sound().Store("vault", s => s with { ChecksNew = false, ChecksDays = null });
        Of(unread).ShouldBe(["let vault read its copies back"]);

        var changeable = Copied.Sound().Store("boathouse", s => s with { Unchangeable = false });
        Of(changeable).ShouldBe(["let boathouse refuse to delete before the time is up"]);

        var alike = Copied.Sound().Store("boathouse", s => s with { Medium = StoreMedium.Flash });
        Of(alike).ShouldBe(["a copy on something other than flash"]);

        var nowhere = alone.With(KeepingEdits.RemoveStore("boathouse"));
        // 530 GB fit on a disk of 1 TB, the smallest that is sold of those that are compared.
        Of(nowhere).ShouldContain($"carry it on to another place, or on a disk of 1{Numbers.ThinSpace}TB that is carried there");
        Of(nowhere).ShouldContain("a disk that is unplugged between copies, or a store that refuses to delete before the time is up");
    }

    [Fact]
    public void What_is_copied_in_part_needs_the_rest_of_it_and_is_carried_on_by_itself_then()
    {
        var half = Copied.Sound().With(KeepingEdits.Untick("nightly", Copied.Cloud, VolumePart.Bulk, [VolumePart.System, VolumePart.Bulk]));
        var cloud = half.Keeping().Guests.Single(g => g.Guest.Id == Copied.Cloud);
        cloud.Partly.Select(s => s.Store.Name).ShouldBe(["vault", "boathouse"]);
        (cloud.Copies, cloud.Elsewhere, cloud.Restore).ShouldBe((1, 0, null));
        KeepingSteps.Of(half.Keeping(), cloud)[0].ShouldBe("put all of it into the job nightly");
        KeepingSteps.Of(half.Keeping(), cloud).ShouldNotContain("carry it on to boathouse");
    }

    [Fact]
    public void What_keeps_a_store_does_not_go_into_the_job_that_fills_it()
    {
        var own = Copied.Sound().Job(j => j with { Takes = j.Takes.Without(p => p.Guest?.Value == "strongroom") });
        KeepingSteps.JobFor(own.Keeping(), new GuestId("strongroom")).ShouldBeNull();
        var other = own.With(KeepingEdits.Job(new CopyJob("carried", "boathouse", "sun 12:00", [new JobPart(Copied.Notes)])));
        KeepingSteps.JobFor(other.Keeping(), new GuestId("strongroom"))!.Job.Name.ShouldBe("carried");
        KeepingSteps.JobFor(other.Keeping(), Copied.Cloud)!.Job.Name.ShouldBe("nightly", "it has some of it already");
        KeepingSteps.JobFor(other.Keeping(), null)!.Job.Name.ShouldBe("nightly", "it has most in it");
    }

    [Fact]
    public void The_cheapest_step_is_the_one_that_helps_most()
    {
        KeepingSteps
            .Cheapest(Copied.Sound().Store("vault", s => s with { ChecksNew = false, ChecksDays = null }).Keeping())
            .ShouldBe("Let vault read its copies back helps 2 of them.");
        KeepingSteps.Cheapest(Copied.Sound().Keeping()).ShouldBeEmpty();
    }

    [Fact]
    public void Of_any_house_a_step_is_named_for_whoever_is_not_whole_and_for_nobody_else()
    {
        var (whole, missing) = (0, 0);
        Gens.AnyLab.SelectMany(l => Gen.Int.Select(seed => CopyGens.Kept(l, new Random(seed))))
            .Holds(
                lab =>
                {
                    var keeping = lab.Keeping();
                    foreach (var guest in keeping.Guests)
                    {
                        (KeepingSteps.Of(keeping, guest).Count == 0).ShouldBe(guest.IsWhole, guest.Guest.Name);
                        Interlocked.Add(ref guest.IsWhole ? ref whole : ref missing, 1);
                        var job = KeepingSteps.JobFor(keeping, guest.Guest.Id);
                        (job is not null && job.Store!.Guest?.Id == guest.Guest.Id).ShouldBeFalse("into its own store");
                    }
                },
                iter: 200
            );
        missing.ShouldBeGreaterThan(100);
    }

    private static IReadOnlyList<string> Of(Lab lab) =>
        KeepingSteps.Of(lab.Keeping(), lab.Keeping().Guests.Single(g => g.Guest.Id == Copied.Notes));
}
