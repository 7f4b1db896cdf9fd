using Yuntak.Core.Edits;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Keeping;

/// <summary>A list of copies that are there, held against the plan: it is believed before the plan is, as far as it can be true.</summary>
public class KnownTruthTests
{
    [Fact]
    public void Without_a_list_nothing_is_said() => KnownTruth.Of(Copied.Sound().Keeping()).ShouldBeEmpty();

    [Fact]
    public void Every_guest_of_a_job_into_the_store_is_held_against_its_list()
    {
        var truths = Truths(new KnownCopy(Copied.Notes, "vault", "2027-02-28T23:30", ByteSize.FromGB(20), Copied.Today));
        truths.Select(t => t.Guest.Id).ShouldBe([Copied.Notes, Copied.Cloud], ignoreOrder: true);
        var notes = truths.Single(t => t.Guest.Id == Copied.Notes);
        notes.Newest!.At.ShouldBe("2027-02-28T23:30");
        (notes.Expected, notes.Share).ShouldBe((ByteSize.Zero, null), "20 GB is the size of its disk, and says nothing of what is on it");
        truths.Single(t => t.Guest.Id == Copied.Cloud).Expected.ShouldBe(ByteSize.FromGB(500), "its data were said");
        notes.CheckedDays.ShouldBe(0);
        truths.Single(t => t.Guest.Id == Copied.Cloud).Newest.ShouldBeNull("a list that does not name it says that there is none");
    }

    /// <summary>From noon of today back to 23:30 the evening before are 12.5 hours: half a day of a nightly job.</summary>
    [Theory]
    [InlineData("2027-02-28T23:30", 12.5 / 24)]
    [InlineData("2027-02-27T23:30", 36.5 / 24)]
    [InlineData("2027-02-01T12:00", 28)]
    public void How_often_it_should_have_run_since_follows_from_the_gap_of_its_job(string at, double times) =>
        Truths(new KnownCopy(Copied.Notes, "vault", at)).Single(t => t.Guest.Id == Copied.Notes).MissedTimes.ShouldBe(times, 0.01);

    [Fact]
    public void A_copy_of_a_day_that_is_yet_to_come_is_none_of_today()
    {
        var cloud = Truths(
                new KnownCopy(Copied.Cloud, "vault", "2090-01-01T23:30", ByteSize.FromGB(500)),
                new KnownCopy(Copied.Cloud, "vault", "2027-02-01T23:30", ByteSize.FromGB(25), new DateOnly(2091, 1, 1))
            )
            .Single(t => t.Guest.Id == Copied.Cloud);
        cloud.Newest!.At.ShouldBe("2027-02-01T23:30");
        cloud.Share!.Value.ShouldBe(0.05, 0.001);
        cloud.CheckedDays.ShouldBeNull("a day that is yet to come is no day it was read back on");
        Rules(new KnownCopy(Copied.Notes, "vault", "2090-01-01T23:30")).ShouldContain("There is no copy of notes in vault");
    }

    /// <summary>1.6 GB of a guest of 17 TB: a volume was not ticked. The handbook's story.</summary>
    [Fact]
    public void A_copy_far_smaller_than_what_it_is_of_is_found_whichever_of_them_says_its_size()
    {
        Rules(new KnownCopy(Copied.Cloud, "vault", "2027-02-28T23:30", ByteSize.FromGB(1.6)))
            .ShouldContain("The copy of cloud is far too small");
        // The newest of a list need not say how large it is.
        Rules(
                new KnownCopy(Copied.Cloud, "vault", "2027-02-27T23:30", ByteSize.FromGB(1.6)),
                new KnownCopy(Copied.Cloud, "vault", "2027-02-28T23:30")
            )
            .ShouldContain("The copy of cloud is far too small");
        // What is kept once is small each time; one whole copy is enough.
        Rules(
                new KnownCopy(Copied.Cloud, "vault", "2027-02-01T23:30", ByteSize.FromGB(505)),
                new KnownCopy(Copied.Cloud, "vault", "2027-02-28T23:30", ByteSize.FromGB(1.6))
            )
            .ShouldNotContain("The copy of cloud is far too small");
    }

    [Fact]
    public void A_list_of_another_store_says_nothing_of_this_one() =>
        Truths(new KnownCopy(Copied.Notes, "boathouse", "2027-02-28T23:30")).ShouldBeEmpty("no job copies into it");

    [Fact]
    public void A_list_taken_over_replaces_the_one_of_its_store_alone()
    {
        var lab = Copied
            .Sound()
            .With(
                KeepingEdits.TakeCopies([
                    new KnownCopy(Copied.Notes, "vault", "2027-02-01T23:30"),
                    new KnownCopy(Copied.Cloud, "boathouse", "2027-02-01T23:30"),
                ])
            )
            .With(
                KeepingEdits.TakeCopies([
                    new KnownCopy(Copied.Notes, "vault", "2027-02-28T23:30"),
                    new KnownCopy(Copied.Notes, "vault", "2027-02-28T23:30"),
                ])
            );
        lab.Copies.Select(c => (c.Store, c.At)).ShouldBe([("boathouse", "2027-02-01T23:30"), ("vault", "2027-02-28T23:30")]);
        lab.With(KeepingEdits.ForgetCopies("vault")).Copies.Single().Store.ShouldBe("boathouse");
    }

    private static List<KnownTruth> Truths(params KnownCopy[] copies) => [.. KnownTruth.Of(Listed(copies).Keeping())];

    private static IEnumerable<string> Rules(params KnownCopy[] copies) =>
        new[] { "keeping.copy-missing", "keeping.copy-small", "keeping.copy-unchecked" }
            .SelectMany(r => Listed(copies).Findings(r))
            .Select(f => f.Title);

    private static Lab Listed(KnownCopy[] copies) => Copied.Sound().With(KeepingEdits.TakeCopies(copies));
}
