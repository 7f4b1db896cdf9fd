using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Wires;

/// <summary>Ways in, shares, links, and the work they make: chapter 5.</summary>
public class ReachTests
{
    private static readonly GuestId Cloud = new("cloud");

    private static readonly Lab Home = (
        Small.Lab(Small.Host("kiln", 64, 8, 16), Small.Host("wren")) with
        {
            Networks =
            [
                new Network("outside", Purpose: NetworkPurpose.Outside),
                new Network("household", "10.40.7.0/24", "10.40.7.1", "10.40.7.100-10.40.7.199"),
            ],
        }
    )
        .WithGuestOn(Small.Guest("gate", "router") with { Interfaces = [new Leg("outside"), new Leg("household", "10.40.7.1")] }, "wren")
        .WithGuestOn(
            Small.Guest("cloud") with
            {
                Interfaces = [new Leg("household", "10.40.7.20")],
                Listens = [new Listen(80, Login: true)],
            },
            "kiln"
        )
        .WithGuestOn(Small.Guest("proxy", "reverse-proxy") with { Interfaces = [new Leg("household", "10.40.7.21")] }, "kiln")
        .WithGuestOn(Small.Guest("tunnel", "remote-access") with { Interfaces = [new Leg("household", "10.40.7.22")] }, "kiln");

    [Fact]
    [Trade]
    public void A_plain_forward_is_in_the_clear_and_a_proxy_with_a_certificate_is_not()
    {
        var plain = Home.With(ReachEdits.Open(new Forward(80, Cloud)));
        var way = Sums.Of(plain).Wires.WaysIn.Single();
        (way.Clear, way.Login, way.Port).ShouldBe((true, true, 80));
        way.Path.ShouldBe(["outside:80", "gate", "cloud:80"]);

        var fixedUp = plain.Finding("wires.clear-outside").Fixes[0];
        fixedUp.Label.ShouldBe("Through proxy, encrypted");
        var through = Sums.Of(fixedUp.Edit(plain).Lab).Wires.WaysIn.Single();
        through.Clear.ShouldBeFalse();
        through.Path.ShouldBe(["outside:443", "gate", "proxy", "cloud:80"]);

        var own = Home.With(ReachEdits.Open(new Forward(443, Cloud, 80, Through: new GuestId("proxy"), Certificate: CertificateKind.None)));
        Sums.Of(own).Wires.WaysIn.Single().Clear.ShouldBeTrue("a proxy without a certificate encrypts nothing");
    }

    [Fact]
    [Trade]
    public void A_tunnel_lets_nobody_in_without_a_key()
    {
        var lab = Home.With(ReachEdits.Open(new Forward(51_000, new GuestId("tunnel"), Protocol: WireProtocol.Udp)));
        var way = Sums.Of(lab).Wires.WaysIn.Single();
        (way.IsTunnel, way.Clear, way.Login).ShouldBe((true, false, true));
        Assessment.Of(lab).Findings.ShouldNotContain(f => f.Rule.Id.StartsWith("wires.") && f.Title.Contains("tunnel"));
    }

    [Fact]
    public void When_a_reverse_proxy_goes_nothing_is_opened_past_it()
    {
        var lab = Home.With(
            ReachEdits.Open(new Forward(443, Cloud, 80, Through: new GuestId("proxy"), Certificate: CertificateKind.Public))
        );
        lab.With(GuestEdits.Remove(new GuestId("proxy"))).Forwards.ShouldBeEmpty();
        lab.With(GuestEdits.Remove(Cloud)).Forwards.ShouldBeEmpty();
    }

    [Fact]
    public void A_library_on_another_box_is_counted_there_and_not_at_the_guest()
    {
        var films = Small.Guest("films", "media-library", GuestKind.Machine, new LoadValue("library", 1));
        var own = Home.WithGuestOn(films, "wren");
        var shared = own.With(
                ReachEdits.Share(
                    new NetworkShare("lib", new ShareEnd(Host: new HostId("kiln"), Path: "/ember/lib"), ["wren"], Size: ByteSize.FromTB(1))
                )
            )
            .With(ReachEdits.Mount(new GuestId("films"), new ShareMount("lib", "/srv/films", Library: true)));

        ByteSize Claimed(Lab lab, string host) => Assessment.Of(lab).Host(new HostId(host))!.Pool("ember")!.Claimed.Value;
        (Claimed(own, "wren") - Claimed(shared, "wren")).ShouldBe(Assessment.Of(own).Guest(new GuestId("films")).Bulk);
        (Claimed(shared, "kiln") - Claimed(own, "kiln")).ShouldBe(ByteSize.FromTB(1));
        var link = Sums.Of(shared).Wires.Links.Single(l => l.Share is not null);
        (link.From.Name, link.To).ShouldBe(("kiln", "wren"));
    }

    [Fact]
    public void One_act_reserves_all_of_an_evening_before_any_guest_is_built()
    {
        var runbook = RunbookBuilder.Build(Lab.Empty("new"), Home);
        var reserve = runbook.Steps.Single(s => s.Act.Type == "reserve-addresses");
        reserve.Values.Select(v => v.Value.Split(' ')[1]).ShouldBe(["10.40.7.20", "10.40.7.21", "10.40.7.22"], ignoreOrder: true);
        reserve.Values.ShouldAllBe(v => v.Value.StartsWith("02:"));
        var order = runbook.Steps.Select(s => s.Act.Type).ToList();
        order.IndexOf("reserve-addresses").ShouldBeLessThan(order.IndexOf("create-machine"));

        var created = runbook.Sections.Single(s => s.Key == "build-guest/cloud").Steps[0];
        created.Values.ShouldContain(v => v.Value == "10.40.7.20");
        created.Values.ShouldContain(v => v.Value == Macs.Of(Home.Guest(Cloud)!, Home.Guest(Cloud)!.Interfaces[0]));
    }

    [Fact]
    public void Another_address_of_what_stands_is_a_reservation_and_a_change_and_ends_as_drafted()
    {
        var stands = Home with { Reserved = [.. Sums.Of(Home).Wires.Reservations] };
        var draft = Home.With(LegEdits.Address(Cloud, "household", "10.40.7.33"));
        var steps = RunbookBuilder.Build(stands, draft).Steps.ToList();
        steps.Select(s => s.Act.Type).ShouldBe(["reserve-addresses", "set-figures", "start-guest"]);
        steps[0].Values.Single().Value.ShouldEndWith(" 10.40.7.33");

        var built = stands;
        while (RunbookBuilder.Build(built, draft) is var left && left.Steps.FirstOrDefault(left.CanTick) is { } next)
        {
            built = built.With(RunbookTick.Off(draft, next.Id));
        }

        built.Guest(Cloud)!.Interfaces[0].Address.ShouldBe("10.40.7.33");
        built.Reserved.ShouldContain(r => r.Address == "10.40.7.33");
        built.Reserved.ShouldNotContain(r => r.Address == "10.40.7.20");
    }

    [Fact]
    public void A_network_that_is_only_called_otherwise_is_no_work_and_keeps_hardware_addresses()
    {
        var stands = Home with { Reserved = [.. Sums.Of(Home).Wires.Reservations] };
        var draft = Home.With(WireEdits.ChangeNetwork("household", n => n with { Name = "house" }));
        RunbookBuilder.Build(stands, draft).Steps.ShouldBeEmpty();
        Sums.Of(draft).Wires.Reservations.ShouldBe(Sums.Of(Home).Wires.Reservations);
    }

    [Fact]
    public void A_share_is_exported_before_it_is_mounted_and_a_way_is_opened_last()
    {
        var draft = Home.With(
                ReachEdits.Share(new NetworkShare("lib", new ShareEnd(Guest: new GuestId("proxy"), Path: "/srv"), ["10.40.7.20"]))
            )
            .With(ReachEdits.Mount(Cloud, new ShareMount("lib", "/srv/lib", MountBy.Guest)))
            .With(ReachEdits.Open(new Forward(80, Cloud)));
        var keys = RunbookBuilder.Build(Lab.Empty("new"), draft).Sections.Select(s => s.Key).ToList();
        keys.IndexOf("build-guest/proxy").ShouldBeLessThan(keys.IndexOf("share/lib"));
        keys.IndexOf("share/lib").ShouldBeLessThan(keys.IndexOf("build-guest/cloud"));
        keys.IndexOf("build-guest/cloud").ShouldBeLessThan(keys.IndexOf("ways-in"));
    }

    [Fact]
    [Trade]
    public void A_router_is_set_up_inside_first_and_who_mounts_starts_after_who_exports()
    {
        var draft = Home.With(ReachEdits.Share(new NetworkShare("lib", new ShareEnd(Guest: Cloud, Path: "/srv"), ["10.40.7.21"])))
            .With(ReachEdits.Mount(new GuestId("proxy"), new ShareMount("lib", "/srv/lib", MountBy.Guest)));
        var runbook = RunbookBuilder.Build(Lab.Empty("new"), draft);
        RunbookStep Of(string guest, string type) =>
            runbook.Sections.Single(s => s.Key == $"build-guest/{guest}").Steps.Single(s => s.Act.Type == type);
        var router = Of("gate", "set-up-service").Values;
        router
            .Select(v => v.Label)
            .Where(l => char.IsDigit(l[0]))
            .ShouldBe([
                "1. at its console, household",
                "2. hand out on household",
                "3. outside, outside",
                "4. block private networks outside",
            ]);
        router.ShouldContain(v => v.Label == "address" && v.Value == "10.40.7.1");

        int Order(string guest) => int.Parse(Of(guest, "set-autostart").Values.Single(v => v.Label == "start order").Value);
        Order("proxy").ShouldBeGreaterThan(Order("cloud"));
        var mounts = Of("proxy", "mount-shares");
        mounts.Values.ShouldContain(v => v.Value == $"10.40.7.20:/srv /srv/lib nfs rw,nfsvers=4.2,{MountLine.Waits} 0 0");
    }

    [Fact]
    public void The_bridge_a_host_is_looked_after_through_is_changed_at_the_console()
    {
        var read = new Hardware(
            Ports: [new NetworkPort("eno1", "02:00:5e:10:00:31", 1000, true, Management: true)],
            Bridges: [new Bridge("br0", ["eno1"], ["10.40.7.11/24"])]
        );
        var stands = Small.Lab(Small.Host("kiln").With(read)) with { Networks = Home.Networks };
        var same = stands.With(WireEdits.Bridge(new HostId("kiln"), new PlannedBridge("br0", "eno1", Networks: ["household"])));
        RunbookBuilder.Build(stands, same).Steps.ShouldBeEmpty("what was read to be so is no work");

        var aware = stands.With(
            WireEdits.Bridge(new HostId("kiln"), new PlannedBridge("br0", "eno1", Aware: true, Networks: ["household"]))
        );
        var step = RunbookBuilder.Build(stands, aware).Steps.Single();
        (step.Act.Type, step.What).ShouldBe(("make-bridge", "Change the bridge br0"));
        step.Caution!.ShouldContain("at the console");
        step.Act.Wipes.ShouldBeEmpty();
    }

    [Fact]
    public void It_is_so_already_leaves_no_step_about_what_stands()
    {
        var bare = Home with { Guests = [.. Home.Guests.Select(g => g with { Interfaces = [], Listens = [] })], Networks = [] };
        RunbookBuilder.Build(bare, Home).Steps.ShouldNotBeEmpty();
        RunbookBuilder.Build(bare.With(Standing.TakeWires(Home)), Home).Steps.ShouldBeEmpty();
    }

    [Fact]
    public void A_list_of_addresses_gives_guests_theirs_and_makes_boxes_of_the_rest()
    {
        var lab = Home.With(
            AddressEdits.Take([
                new FoundAddress("cloud", null, "10.40.7.50"),
                new FoundAddress(null, "02:59:4b:00:00:1e", "10.40.7.60"),
                new FoundAddress("printer", null, "10.40.7.60"),
                new FoundAddress("far", null, "8.8.8.8"),
            ])
        );
        lab.Guest(Cloud)!.Interfaces[0].Address.ShouldBe("10.40.7.50");
        var box = lab.Boxes.Single();
        (box.Name, box.Mac).ShouldBe(("printer", "02:59:4b:00:00:1e"));
        Should
            .Throw<Refused>(() => AddressEdits.Take([new FoundAddress("far", null, "8.8.8.8")])(Home))
            .Message.ShouldContain("None of these");
    }

    [Fact]
    public void Two_thousand_addresses_of_a_wide_prefix_are_planned_without_one_twice()
    {
        var lab = Small.Lab(Small.Host("kiln", 4000, 64, 128, 4000)) with { Networks = [new Network("wide", "10.99.0.0/16")] };
        lab = lab with
        {
            Guests =
            [
                .. Enumerable
                    .Range(0, 2000)
                    .Select(n =>
                        Small.Guest($"g{n}") with
                        {
                            Placement = new Placement(new HostId("kiln"), "ember"),
                            Interfaces = [new Leg("wide", $"10.99.{n / 250}.{n % 250 + 1}")],
                        }
                    ),
            ],
        };
        var sums = Sums.Of(lab).Wires.Network("wide")!;
        (sums.Taken, sums.Held.Count).ShouldBe((2000, 2000));
        sums.NextFree!.ToString().ShouldBe("10.99.0.251");
        lab.Findings("wires.address-clash").ShouldBeEmpty();
    }
}
