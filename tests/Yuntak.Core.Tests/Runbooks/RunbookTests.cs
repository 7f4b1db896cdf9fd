using CsCheck;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Runbooks;

public class RunbookTests
{
    private static readonly Lab Hosts = Small.Lab(Small.Host("kiln"), Small.Host("wren"));

    [Fact]
    public void Nothing_to_change_gives_no_steps() =>
        Gens.AnyLab.Holds(any =>
        {
            // What is reserved is known of what stands only.
            var lab = Changes.Stands(any);
            return RunbookBuilder.Build(lab with { Reserved = [.. Sums.Of(lab).Wires.Reservations] }, lab).Sections.Count == 0;
        });

    [Fact]
    public void Every_tick_leaves_exactly_one_step_fewer()
    {
        var draft = Hosts
            .WithGuestOn(Small.Guest("notes"), "kiln")
            .WithGuestOn(Small.Guest("cloud", "file-cloud", GuestKind.AppStack), "wren");
        var built = Hosts;
        for (var open = RunbookBuilder.Build(built, draft).Open; open > 0; open--)
        {
            var runbook = RunbookBuilder.Build(built, draft);
            runbook.Open.ShouldBe(open);
            built = built.With(RunbookTick.Off(draft, runbook.Steps.First(runbook.CanTick).Id));
        }

        Followed.Same(built, draft).ShouldBeNull();
    }

    [Fact]
    [Trade]
    public void A_machine_lives_through_its_stages_in_order()
    {
        var draft = Hosts.WithGuestOn(Small.Guest("pressbook", "file-cloud"), "kiln");
        var steps = RunbookBuilder.Build(Hosts, draft).Sections.Single().Steps.Select(s => s.Act.Type).ToList();

        steps.ShouldBe([
            "create-machine",
            "fetch-image",
            "attach-medium",
            "install-guest",
            "detach-medium",
            "first-start",
            "update-guest",
            "take-template",
            "mount-bulk",
            "first-visit",
            "set-up-service",
            "set-autostart",
            "put-in-service",
        ]);
    }

    [Fact]
    [Trade]
    public void Containers_need_no_install_medium()
    {
        var draft = Hosts
            .WithGuestOn(Small.Guest("notes", kind: GuestKind.SystemContainer), "kiln")
            .WithGuestOn(Small.Guest("names", "name-server", GuestKind.AppStack), "kiln");
        RunbookBuilder.Build(Hosts, draft).Steps.Select(s => s.Act.Type).ShouldNotContain(t => t.Contains("medium"));
    }

    [Fact]
    public void Steps_carry_the_exact_values_of_the_draft()
    {
        var guest = Small.Guest("notes") with { Overrides = new SizeOverrides(3, ByteSize.FromGiB(2.5), ByteSize.FromGiB(24)) };
        var step = RunbookBuilder.Build(Hosts, Hosts.WithGuestOn(guest, "kiln")).Steps.First();

        Value(step, "virtual processors").ShouldBe("3");
        Value(step, "memory").Replace(Numbers.ThinSpace, " ").ShouldBe("2.5 GiB (2,560 MiB)");
        Value(step, "system disk").Replace(Numbers.ThinSpace, " ").ShouldBe("24 GiB in ember");
    }

    [Fact]
    public void Every_step_has_a_check_a_way_back_and_a_time()
    {
        Gen.Select(Gens.AnyLab, Gens.AnyLab)
            .Holds(
                (standing, draft) =>
                {
                    var steps = RunbookBuilder.Build(standing, draft).Steps.ToList();
                    steps.ShouldAllBe(s =>
                        s.Check.Length > 0 && s.IfNot.Length > 0 && s.WayBack.Length > 0 && s.Minutes > 0 && s.What.Length > 0
                    );
                    steps.Select(s => s.Id).ShouldBeUnique();
                },
                iter: 100
            );
    }

    [Fact]
    public void A_destructive_step_names_each_disk_by_stable_id_size_and_content()
    {
        var host = Small.Host("kiln");
        host = host with { Disks = host.Disks.Change(d => !d.IsBoot, d => d with { MountedAt = ["/srv/photos"] }) };
        var step = RunbookBuilder.Build(Lab.Empty("new"), Small.Lab(host)).Steps.Single(s => s.What == "Make the pool ember");

        step.Caution.ShouldBe($"This wipes 1 disk: kiln-data, 2{Numbers.ThinSpace}TB, mounted at /srv/photos.");
    }

    [Fact]
    public void A_step_waits_for_the_one_before_it()
    {
        var draft = Hosts.WithGuestOn(Small.Guest("notes"), "kiln");
        var second = RunbookBuilder.Build(Hosts, draft).Steps.Skip(1).First();
        Should.Throw<Refused>(() => RunbookTick.Off(draft, second.Id)(Hosts)).Message.ShouldContain("waits for the step before it");
    }

    [Fact]
    public void A_step_is_ticked_once_and_only_while_it_is_in_the_runbook()
    {
        var draft = Hosts.WithGuestOn(Small.Guest("notes"), "kiln");
        var first = RunbookBuilder.Build(Hosts, draft).Steps.First();
        var built = Hosts.With(RunbookTick.Off(draft, first.Id));

        Should.Throw<Refused>(() => RunbookTick.Off(draft, first.Id)(built)).Message.ShouldContain("ticked off already");
        Should.Throw<Refused>(() => RunbookTick.Off(Hosts, first.Id)(Hosts)).Message.ShouldContain("no longer in the runbook");
    }

    [Fact]
    public void A_plan_changed_half_way_asks_for_the_change_of_what_stands()
    {
        var guest = Small.Guest("notes");
        var draft = Hosts.WithGuestOn(guest, "kiln");
        var built = Hosts.With(RunbookTick.Off(draft, RunbookBuilder.Build(Hosts, draft).Steps.First().Id));
        var newDraft = draft.With(
            GuestEdits.Change(new GuestId("notes"), g => g with { Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(4)) })
        );

        var runbook = RunbookBuilder.Build(built, newDraft);

        runbook.Sections.Select(s => s.Key).ShouldBe(["change-guest/notes", "build-guest/notes"]);
        var created = runbook.Sections[1].Steps[0];
        created.Done.ShouldBeTrue();
        Value(created, "memory").ShouldStartWith("1.25", Case.Sensitive, "what was done is told as it was done");
        Followed.Same(Followed.ToTheEnd(built, newDraft), newDraft).ShouldBeNull();
    }

    [Fact]
    public void What_frees_memory_comes_before_what_needs_it()
    {
        var standing = Small.Lab(Small.Host("kiln", 8)).WithGuestOn(Given("old", 5), "kiln");
        var draft = Small.Lab(Small.Host("kiln", 8)).WithGuestOn(Given("new", 5), "kiln");

        RunbookBuilder.Build(standing, draft).Sections.Select(s => s.Title).ShouldBe(["Take old off kiln", "Build new on kiln"]);
    }

    [Fact]
    public void Two_guests_that_change_places_move_where_there_is_room_first()
    {
        var hosts = Small.Lab(Small.Host("kiln", 16), Small.Host("wren", 8));
        var standing = hosts.WithGuestOn(Given("large", 6), "wren").WithGuestOn(Given("small", 5), "kiln");
        var draft = hosts.WithGuestOn(Given("large", 6), "kiln").WithGuestOn(Given("small", 5), "wren");

        RunbookBuilder
            .Build(standing, draft)
            .Sections.Select(s => s.Title)
            .ShouldBe(["Move large from wren to kiln", "Move small from kiln to wren"]);
    }

    [Fact]
    public void A_host_is_overfilled_on_the_way_only_when_every_order_would()
    {
        var hosts = Small.Lab(Small.Host("kiln", 10), Small.Host("wren", 10));
        var sizes = Gen.Double[0.5, 4].Select(g => ByteSize.FromGiB(Math.Round(g * 4) / 4)).Array[4];
        Gen.Select(sizes, Gen.Int[0, 2].Array[4], Gen.Int[0, 2].Array[4])
            .Select((memory, from, to) => (Standing: Placed(hosts, memory, from), Draft: Placed(hosts, memory, to)))
            .Where(pair => !Overfilled(pair.Standing) && !Overfilled(pair.Draft))
            .Holds(
                (standing, draft) =>
                {
                    for (
                        var runbook = RunbookBuilder.Build(standing, draft);
                        runbook.Open > 0;
                        runbook = RunbookBuilder.Build(standing, draft)
                    )
                    {
                        var next = Finish(standing, draft, runbook.Sections[0]);
                        if (Overfilled(next))
                        {
                            runbook.Sections.ShouldAllBe(s => Overfilled(Finish(standing, draft, s)));
                            return;
                        }

                        standing = next;
                    }
                },
                iter: 80
            );
    }

    [Fact]
    public void The_router_starts_first_among_new_guests()
    {
        var draft = Hosts
            .WithGuestOn(Small.Guest("notes"), "kiln")
            .WithGuestOn(Small.Guest("gate", "router"), "wren")
            .WithGuestOn(Small.Guest("names", "name-server"), "kiln");
        RunbookBuilder
            .Build(Hosts, draft)
            .Sections.Select(s => s.Title)
            .ShouldBe(["Build gate on wren", "Build names on kiln", "Build notes on kiln"]);
    }

    [Fact]
    public void Moving_the_router_warns_the_household()
    {
        var standing = Hosts.WithGuestOn(Small.Guest("gate", "router"), "kiln");
        var draft = standing.With(GuestEdits.Place(new GuestId("gate"), new HostId("wren")));
        RunbookBuilder.Build(standing, draft).Sections.Single().Cautions.Single().ShouldContain("whole household is offline");
    }

    [Fact]
    public void A_move_between_hosts_with_the_same_pool_name_goes_straight_across()
    {
        var standing = Hosts.WithGuestOn(Small.Guest("notes"), "kiln");
        var straight = standing.With(GuestEdits.Place(new GuestId("notes"), new HostId("wren")));
        Value(RunbookBuilder.Build(standing, straight).Steps.ElementAt(1), "way").ShouldStartWith("straight across");

        var other = Small
            .Lab(
                Small.Host("kiln"),
                Small.Host("wren") with
                {
                    Pools = [new Pool("vault", PoolLayout.Single, PoolFamily.BlockArray, ["wren-data"])],
                }
            )
            .WithGuestOn(Small.Guest("notes"), "kiln");
        var around = other.With(GuestEdits.Place(new GuestId("notes"), new HostId("wren")));
        Value(RunbookBuilder.Build(other, around).Steps.ElementAt(1), "way").ShouldStartWith("through the backup");
    }

    [Fact]
    public void A_backup_comes_before_anything_that_destroys()
    {
        var standing = Hosts.WithGuestOn(Small.Guest("notes"), "kiln");
        var steps = RunbookBuilder.Build(standing, standing.With(GuestEdits.Remove(new GuestId("notes")))).Steps.ToList();
        steps[0].What.ShouldStartWith("Take a backup of notes");
        steps[1].What.ShouldBe("Shut it down and delete it");
    }

    [Fact]
    public void A_disk_that_should_shrink_is_made_anew_from_a_backup()
    {
        var standing = Hosts.WithGuestOn(
            Small.Guest("notes") with
            {
                Overrides = new SizeOverrides(SystemDisk: ByteSize.FromGiB(64)),
            },
            "kiln"
        );
        var draft = standing.With(GuestEdits.Change(new GuestId("notes"), g => g with { Overrides = SizeOverrides.None }));
        var steps = RunbookBuilder.Build(standing, draft).Steps.ToList();
        steps[0].What.ShouldStartWith("Take a backup");
        steps[1].Caution!.ShouldContain("never shrinks");
    }

    [Fact]
    public void A_path_with_blanks_is_quoted_for_the_shell()
    {
        var guest = Small.Guest("cloud", "file-cloud", GuestKind.AppStack) with { Folders = [new FolderMount("/srv/it's here", "/data")] };
        Value(RunbookBuilder.Build(Hosts, Hosts.WithGuestOn(guest, "kiln")).Steps.First(), "folder")
            .ShouldBe("mkdir -p -- '/srv/it'\\''s here'");
    }

    [Fact]
    public void A_tick_takes_over_what_is_known_and_never_what_is_planned()
    {
        var kiln = new HostId("kiln");
        var draft = Hosts
            .WithGuestOn(Small.Guest("notes"), "kiln")
            .With(HostEdits.Change(kiln, h => h with { Memory = ByteSize.FromGiB(32), IdleWatts = 31 }))
            .With(HostEdits.AddPool(kiln, new Pool("later", PoolLayout.Single, PoolFamily.BlockArray, ["kiln-boot"])));
        var built = Hosts.With(
            RunbookTick.Off(draft, RunbookBuilder.Build(Hosts, draft).Steps.First(s => s.Act.Type == "create-machine").Id)
        );
        built.Hosts[0].IdleWatts.ShouldBe(31);
        built.Hosts[0].Memory.ShouldBe(ByteSize.FromGiB(16), "memory that is to be bought is not there yet");
        built.Hosts[0].PoolNamed("later").ShouldBeNull();
    }

    [Fact]
    public void Memory_that_was_read_since_is_there_already_and_no_work()
    {
        var kiln = new HostId("kiln");
        Host Read(Host host, double gib, int day) =>
            host with
            {
                Memory = ByteSize.FromGiB(gib),
                Notes = [new FactNote(KitParts.Memory, Figures.Origin.Read, "/proc/meminfo", new DateOnly(2026, 11, day))],
            };
        var stands = Hosts.WithHost(kiln, h => Read(h, 16, 1));
        RunbookBuilder.Build(stands, stands.WithHost(kiln, h => Read(h, 32, 20))).Open.ShouldBe(0);
        RunbookBuilder
            .Build(stands, stands.WithHost(kiln, h => h with { Memory = ByteSize.FromGiB(32) }))
            .Steps.Single()
            .Act.Type.ShouldBe("fit-memory");
    }

    private static bool Overfilled(Lab lab) => Assessment.Of(lab).Hosts.Any(h => h.Memory.Fit == Fit.Over);

    private static Lab Finish(Lab standing, Lab draft, RunbookSection section) =>
        section.Steps.Where(s => !s.Done).Aggregate(standing, (lab, step) => lab.With(RunbookTick.Off(draft, step.Id)));

    private static Lab Placed(Lab hosts, ByteSize[] memory, int[] places)
    {
        for (var n = 0; n < memory.Length; n++)
        {
            var guest = Small.Guest($"g{n}") with { Overrides = new SizeOverrides(1, memory[n]) };
            hosts = places[n] < 2 ? hosts.WithGuestOn(guest, hosts.Hosts[places[n]].Name) : hosts.With(GuestEdits.Add(guest));
        }

        return hosts;
    }

    private static string Value(RunbookStep step, string label) => step.Values.First(v => v.Label == label).Value;

    private static Guest Given(string name, double gib) =>
        Small.Guest(name) with
        {
            Overrides = new SizeOverrides(1, ByteSize.FromGiB(gib)),
        };
}
