using Yuntak.Core.Edits;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Keeping;

/// <summary>What is left after each mishap, by whom it is brought back, and that backups follow the plan and nothing else.</summary>
public class MishapTests
{
    private static Dictionary<string, Mishap> Of(Lab lab, GuestId guest)
    {
        var keeping = lab.Keeping();
        return Mishaps.Of(keeping, keeping.Guests.Single(g => g.Guest.Id == guest)).ToDictionary(m => m.Name);
    }

    [Fact]
    [Trade]
    public void With_the_place_gone_only_the_far_copy_is_left_and_it_is_as_old_as_its_own_times_make_it()
    {
        var weekly = Copied.Sound().With(KeepingEdits.Onward(new OnwardCopy("vault", "boathouse", "sun 02:00"), "vault to boathouse"));
        var left = Of(weekly, Copied.Notes);
        left.Keys.ShouldBe(["slip", "guest", "pool", "host", "place", "store-account"]);
        foreach (var near in new[] { "slip", "guest", "pool", "host" })
        {
            left[near].From!.Store.Name.ShouldBe("vault");
            left[near].Loses!.Value.Hours.ShouldBeInRange(24, 24.5);
        }

        left["place"].From!.Store.Name.ShouldBe("boathouse");
        left["place"]
            .Loses!.Value.Hours.ShouldBeInRange(8 * 24, (8 * 24) + 2, "a day until it is in the near store, a week until it is carried on");
        // A new host is set up first: an hour and a half.
        (left["host"].Restore!.Value.Minutes - left["pool"].Restore!.Value.Minutes).ShouldBe(90, 1e-9);
        left["slip"].Restore!.Value.Minutes.ShouldBe(10);
        // Measured in a drill, and so known better.
        left["guest"].Restore!.Value.Minutes.ShouldBe(12);
    }

    [Fact]
    public void In_the_pool_or_host_that_is_lost_no_copy_is_left()
    {
        var beside = Copied
            .Sound()
            .WithVault()
            .Store("vault", s => s with { Guest = null, Host = new HostId("kiln"), Pool = "vault" })
            .With(KeepingEdits.RemoveOnward("vault to boathouse"));
        var left = Of(beside, Copied.Notes);
        left["pool"].From!.Store.Name.ShouldBe("vault");
        (left["host"].Loses, left["host"].Restore, left["host"].From).ShouldBe((null, null, null));
        left["place"].Loses.ShouldBeNull();
        var same = Of(beside.Store("vault", s => s with { Pool = "ember" }), Copied.Notes);
        same["pool"].Loses.ShouldBeNull();
        same["guest"].Loses.ShouldNotBeNull();
    }

    [Theory]
    [InlineData(OnwardWay.Push, OnwardRights.Add, "boathouse")]
    [InlineData(OnwardWay.Push, OnwardRights.All, null)]
    [InlineData(OnwardWay.Pull, OnwardRights.All, "boathouse")]
    public void Who_stole_the_account_deletes_what_it_reaches(OnwardWay way, OnwardRights rights, string? left)
    {
        var lab = Copied
            .Sound()
            .Store("boathouse", s => s with { Unchangeable = false })
            .With(KeepingEdits.Onward(new OnwardCopy("vault", "boathouse", "02:00", way, rights), "vault to boathouse"));
        Of(lab, Copied.Notes)["store-account"].From?.Store.Name.ShouldBe(left);
        (Of(lab, Copied.Notes)["store-account"].From is null).ShouldBe(left is null);
        Of(lab.Store("vault", s => s with { Unchangeable = true }), Copied.Notes)["store-account"].From!.Store.Name.ShouldBe("vault");
    }

    [Fact]
    public void A_new_almost_empty_guest_whose_copy_is_small_is_no_matter_and_missing_data_are()
    {
        Lab With(params KnownCopy[] copies) => Copied.Sound().With(KeepingEdits.TakeCopies([.. copies]));
        KnownCopy Copy(GuestId guest, string at, double gb) => new(guest, "vault", at, ByteSize.FromGB(gb), Copied.Today);
        With(Copy(Copied.Notes, "2027-02-28T23:30", 0.4)).Findings("keeping.copy-small").ShouldBeEmpty("20 GB is the size of its disk");
        With(Copy(Copied.Cloud, "2027-02-28T23:30", 1.6)).Finding("keeping.copy-small").Severity.ShouldBe(Core.Findings.Severity.Mind);
        With(Copy(Copied.Cloud, "2027-02-27T23:30", 1.6), Copy(Copied.Cloud, "2027-02-28T23:30", 1.6))
            .Finding("keeping.copy-small")
            .Severity.ShouldBe(Core.Findings.Severity.Stop);
    }

    [Fact]
    public void No_step_copies_what_no_job_copies_and_each_first_run_is_that_of_its_job()
    {
        var house = Copied.House();
        var nothing = RunbookBuilder.Build(Lab.Empty("x"), house);
        nothing.Steps.Where(s => s.Act.Type is "run-first-copy" or "first-backup" or "try-restore" or "read-back").ShouldBeEmpty();

        var draft = Copied.Sound() with { Drills = [new Drill(DrillKind.File, Copied.Today.AddDays(7), Copied.Cloud)] };
        var steps = RunbookBuilder.Build(Lab.Empty("x"), draft).Steps.ToList();
        var run = steps.Single(s => s.Act.Type == "run-first-copy");
        run.Values.ShouldContain(v => v.Label == "copies" && v.Value == draft.Keeping().Jobs.Single().First.ToDecimalString());
        var order = steps.ConvertAll(s => s.Act.Type);
        order.IndexOf("set-up-store").ShouldBeLessThan(order.IndexOf("set-up-job"));
        order.IndexOf("set-up-job").ShouldBeLessThan(order.IndexOf("run-first-copy"));
        order.IndexOf("run-first-copy").ShouldBeLessThan(order.IndexOf("bring-back-for-drill"));
        steps.Single(s => s.Act.Type == "bring-back-for-drill").What.ShouldBe("Restore test: bring one file of cloud back");
        Core.Rehearsals.Rehearsal.Of(RunbookBuilder.Build(Lab.Empty("x"), draft)).ReachesDraft.ShouldBeTrue();

        // The host whose guests are copied has to know the store; the job is set up there, and not where the store lies.
        var connect = steps.Single(s => s.Act.Type == "connect-store");
        (connect.Where, connect.What).ShouldBe(("kiln", "Enter the backup store vault at kiln"));
        connect.Values.Where(v => v.Blank).Select(v => v.Label).ShouldBe(["address", "account", "fingerprint"], "no address was planned");
        order.IndexOf("connect-store").ShouldBeLessThan(order.IndexOf("set-up-job"));
        steps.Single(s => s.Act.Type == "set-up-job").Where.ShouldBe("kiln");
        steps.Single(s => s.Act.Type == "read-back" && s.What.Contains("nightly")).Where.ShouldBe("wren");
        draft.Keeping().Stores[0].ConnectedTo(draft.Keeping()).Select(h => h.Name).ShouldBe(["kiln"]);

        var silent = draft.Store("vault", s => s with { ChecksNew = false, ChecksDays = null });
        RunbookBuilder.Build(Lab.Empty("x"), silent).Steps.ShouldNotContain(s => s.Act.Type == "read-back" && s.What.Contains("nightly"));
    }

    [Fact]
    public void A_folder_that_guests_share_is_mounted_by_its_name_and_no_second_one_is_made_beside_it()
    {
        var lab = Small
            .Lab(Small.Host("kiln", 64, 8, 16, 8))
            .WithVault()
            .WithGuestOn(
                Small.Guest("owl", "camera-recorder", Core.Profiles.GuestKind.SystemContainer) with
                {
                    Overrides = new SizeOverrides(Bulk: ByteSize.FromGB(900)),
                },
                "kiln"
            )
            .With(GuestEdits.UsePools(new GuestId("owl"), "ember", "vault"));
        var shared = lab with
        {
            Folders =
            [
                new SharedFolder(
                    "footage",
                    new HostId("kiln"),
                    "vault",
                    ByteSize.FromGB(900),
                    [new FolderUse(new GuestId("owl"), "/media", Writes: true)]
                ),
            ],
        };
        var before = RunbookBuilder.Build(Lab.Empty("x"), lab).Steps.Single(s => s.Act.Type == "mount-bulk");
        before.Values.ShouldContain(v => v.Value.EndsWith("/owl", StringComparison.Ordinal));
        var after = RunbookBuilder.Build(Lab.Empty("x"), shared).Steps.Single(s => s.Act.Type == "mount-bulk");
        after.Values.ShouldNotContain(v => v.Value.EndsWith("/owl", StringComparison.Ordinal));
        after.Values.ShouldContain(v => v.Value == "/vault/footage as /media");
        after.What.ShouldBe("Bring footage in");
    }
}
