using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Keeping;

/// <summary>Folders that several guests use lie outside of every guest: they are copied once, when a job takes them, and are in no guest's copy. And what is refused of stores, jobs and nights.</summary>
public class FolderTests
{
    private static readonly HostId Kiln = new("kiln");

    /// <summary>90 GB of films on kiln that notes and cloud use; their copies belong to cloud.</summary>
    private static readonly Lab House = Copied
        .Sound()
        .With(
            FolderEdits.Add(
                new SharedFolder(
                    "films",
                    Kiln,
                    "ember",
                    ByteSize.FromGB(90),
                    [
                        new FolderUse(Copied.Notes, "/films", InPlaceOfBulk: false),
                        new FolderUse(Copied.Cloud, "/films", InPlaceOfBulk: false),
                    ],
                    Copied.Cloud
                )
            )
        );

    private static readonly Lab Taken = House.Job(j => j with { Takes = j.Takes.With(new JobPart(Folder: "films")) });

    [Fact]
    public void A_folder_is_in_no_job_until_a_job_takes_it_whoever_its_copies_belong_to()
    {
        House.Keeping().InNoJob.Select(v => v.Words).ShouldBe(["the folder films"], "cloud is copied whole, and the folder is not in it");
        House.Keeping().Jobs.Single().First.Bytes.ShouldBe(Copied.Sound().Keeping().Jobs.Single().First.Bytes);
        House
            .Keeping()
            .Guests.Single(g => g.Guest.Id == Copied.Cloud)
            .Copies.ShouldBe(1, "the thing itself, as long as not all of it is copied");
        Taken.Keeping().InNoJob.ShouldBeEmpty();
        Taken.Keeping().Twice.ShouldBeEmpty("two guests use it, and it is copied once");
        Taken
            .Keeping()
            .Guests.Single(g => g.Guest.Id == Copied.Cloud)
            .Copies.ShouldBe(Copied.Sound().Keeping().Guests.Single(g => g.Guest.Id == Copied.Cloud).Copies);
    }

    [Fact]
    public void It_is_as_much_as_it_holds_and_each_night_what_changes_of_it()
    {
        var (without, with) = (House.Keeping().Jobs.Single(), Taken.Keeping().Jobs.Single());
        (with.First.Bytes - without.First.Bytes).ShouldBe(90_000_000_000);
        ((double)(with.Each.Bytes - without.Each.Bytes)).ShouldBe(90e9 * KeepingRules.BulkChanges, 2);
        // From one host to the other over 1 Gbit/s, in packets of 1,500 bytes (IEEE 802.3).
        (with.FirstTime.Minutes - without.FirstTime.Minutes).ShouldBe(90e9 / (1e9 / 8 * 1460 / 1538) / 60, 0.01);
        var said = Taken.Job(j =>
            j with
            {
                Takes = j.Takes.Change(p => p.Folder == "films", p => p with { Size = ByteSize.FromGB(70), Changes = ByteSize.FromGB(3) }),
            }
        );
        (said.Keeping().Jobs.Single().First.Bytes - without.First.Bytes).ShouldBe(70_000_000_000);
        (said.Keeping().Jobs.Single().Each.Bytes - without.Each.Bytes).ShouldBe(3_000_000_000);
    }

    [Fact]
    public void Taken_by_two_jobs_it_is_copied_twice_and_said()
    {
        var twice = Taken.With(KeepingEdits.Job(new CopyJob("more", "vault", "03:00", [new JobPart(Folder: "films")]))).Keeping();
        twice.Twice.Select(v => v.Words).ShouldBe(["the folder films"]);
        var finding = twice.Lab.Finding("keeping.twice");
        finding.Title.ShouldBe("2 jobs copy the folder films into vault");
        twice.Lab.With(finding.Fixes.Single().Edit).Keeping().Twice.ShouldBeEmpty();
    }

    [Fact]
    public void What_cannot_be_of_a_store_or_a_job_is_refused_with_its_reason()
    {
        Refused(KeepingEdits.Store(new Store("x", Copied.Notes, Kiln, "ember"))).ShouldContain("name one of them at most");
        Refused(KeepingEdits.Store(new Store("x", Host: Kiln))).ShouldContain("in which pool");
        Refused(KeepingEdits.Store(new Store("x"))).ShouldContain("Say where the store is");
        Refused(KeepingEdits.Take("nightly", new JobPart(Folder: "prints")))
            .ShouldContain("no shared folder called «prints»; there is films");
        Refused(KeepingEdits.Take("nightly", new JobPart(Copied.Notes, Folder: "films"))).ShouldContain("name exactly one");
        Refused(KeepingEdits.Onward(new OnwardCopy("vault", "vault", "01:00"))).ShouldContain("not copied into itself");
    }

    [Fact]
    public void A_night_without_jobs_and_one_in_which_they_cannot_all_be_done_is_said()
    {
        var none = Copied.Sound().With(KeepingEdits.RemoveJob("nightly"));
        none = none.Onward.Aggregate(none, (lab, o) => lab.With(KeepingEdits.RemoveOnward(o.Key)));
        NightPlanner.Find(none.Keeping(), new TimeOnly(21, 0), new TimeOnly(6, 0)).Why.ShouldNotBeNull().ShouldContain("nothing to spread");
        // Three copies of four hours each into one store do not go into nine hours.
        var full = Enumerable
            .Range(1, 3)
            .Aggregate(
                none,
                (lab, n) =>
                    lab.With(
                        KeepingEdits.Job(
                            new CopyJob(
                                $"job {n}",
                                "vault",
                                "22:00",
                                [
                                    new JobPart(
                                        Copied.Notes,
                                        Kind: PartKind.Archive,
                                        Path: $"/{n}",
                                        Changes: new ByteSize(4 * 3600 * 1_000_000L)
                                    ),
                                ],
                                Rate: 1
                            )
                        )
                    )
            );
        var plan = NightPlanner.Find(full.Keeping(), new TimeOnly(21, 0), new TimeOnly(6, 0));
        (plan.Why is not null, plan.Moves.Count).ShouldBe((true, 0));
    }

    private static string Refused(Edit edit) => Should.Throw<Refused>(() => edit(House)).Message;
}
