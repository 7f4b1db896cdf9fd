using Yuntak.Core.Arranging;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;
using Yuntak.Formats.LabFiles;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Arranging;

/// <summary>Arrangements of homes with devices, legs, shares, marks and offers, each with what it must come to.</summary>
public class HomeTests
{
    private static readonly Guest Notes = Small.Guest("notes") with
    {
        Overrides = new SizeOverrides(1, ByteSize.FromGiB(4), ByteSize.FromGiB(8)),
    };

    [Fact]
    public void The_demo_is_proven_and_what_runs_with_a_clash_is_left_where_it_is()
    {
        var draft = LabFile.Read(File.ReadAllText("demo/saltmarsh-draft.yaml")).Lab!;
        var running = draft.Guests.Where(g => g.Placement is not null).Select(g => g.Id).ToHashSet();
        var arranged = Arranger.Of(Sums.Of(draft), new ArrangeAsk(), running);

        arranged.Status.ShouldBe(ArrangeStatus.Optimal);
        // The controller that glazelog has whole carries the stick that owlwatch shares: one of them has to give.
        var left = arranged.LeftOut.ShouldHaveSingleItem();
        left.Stays.ShouldBeTrue();
        left.Hosts.Single(h => h.Host.Name == "kiln").SmallestChange.ShouldBe("release the AI accelerator from glazelog");
        arranged.TakenOff.ShouldBeEmpty();
        // One pool has room for the large library, once the photos make room for it.
        HostOf(arranged, "reelroom").ShouldBe("kiln");
        arranged.Moves.Select(m => m.Guest.Name).ShouldBe(["pressbook", "reelroom"]);
    }

    [Fact]
    public void A_guest_goes_where_its_device_is_and_two_do_not_share_what_only_one_can_have()
    {
        var card = new PciFunction("0000:01:00.0", "0302", "Graphics", "f0f0:0001", 1);
        var kiln = Small.Host("kiln", 64).With(new Hardware(Functions: [card], Isolation: true));
        var wren = Small.Host("wren", 64).With(new Hardware(Functions: [new PciFunction("0000:02:00.0", "0106")], Isolation: true));
        Guest Films(string name, Importance importance) =>
            Notes with
            {
                Id = new GuestId(name),
                Name = name,
                Importance = importance,
                Claims = [new DeviceClaim(DeviceNeed.VideoEncoder)],
            };
        var lab = Small.Lab(wren, kiln) with { Guests = [Films("late", Importance.MayWait), Films("first", Importance.Must)] };

        var arranged = Arranger.Of(Sums.Of(lab), new ArrangeAsk());

        arranged
            .Placed.ShouldHaveSingleItem()
            .ShouldSatisfyAllConditions(p => p.Guest.Name.ShouldBe("first"), p => p.Host.Name.ShouldBe("kiln"));
        lab.With(ArrangeEdits.Accept(ArrangeEdits.All(arranged)))
            .Guest(new GuestId("first"))!
            .Claims.ShouldHaveSingleItem()
            .ShouldBe(new DeviceClaim(DeviceNeed.VideoEncoder, ClaimWay.Whole, card.Address));
        var why = arranged.LeftOut.ShouldHaveSingleItem().Hosts;
        why.Single(h => h.Host.Name == "kiln").SmallestChange.ShouldBe("release the video encoder from first");
        why.Single(h => h.Host.Name == "wren").Limit.ShouldContain("wren has none that was read");
        // Two containers share the node of one card.
        var shared = lab with
        {
            Guests = lab.Guests.Change(_ => true, g => g with { Kind = GuestKind.SystemContainer }),
        };
        Arranger.Of(Sums.Of(shared), new ArrangeAsk()).LeftOut.ShouldBeEmpty();
    }

    [Fact]
    public void Nobody_leaves_the_network_it_is_on()
    {
        var bridged = Small.Host("kiln", 8) with
        {
            Wires = HostWires.None with { Bridges = [new PlannedBridge("br0", Networks: ["house"])] },
        };
        var other = Small.Host("wren", 64) with
        {
            Wires = HostWires.None with { Bridges = [new PlannedBridge("br0", Networks: ["cameras"])] },
        };
        var lab = Small.Lab(bridged, other) with
        {
            Networks = [new Network("house"), new Network("cameras")],
            Guests = [Notes with { Interfaces = [new Leg("house")], Overrides = Notes.Overrides with { Memory = ByteSize.FromGiB(30) } }],
        };

        var left = Arranger.Of(Sums.Of(lab), new ArrangeAsk()).LeftOut.ShouldHaveSingleItem();

        left.Hosts.Single(h => h.Host.Name == "wren").SmallestChange.ShouldBe("a bridge on wren that carries house");
        left.Hosts.Single(h => h.Host.Name == "kiln").SmallestChange.ShouldMatch("^\\+2[0-9.]+\u202f?.GiB memory on kiln$");
    }

    [Fact]
    public void Apart_together_pinned_and_emptied_hold()
    {
        Guest Named(string name) => Notes with { Id = new GuestId(name), Name = name };
        var lab = Small.Lab(Small.Host("kiln", 32), Small.Host("wren", 32)) with
        {
            Guests =
            [
                Named("a") with
                {
                    Placement = new Placement(new HostId("kiln"), "ember"),
                    Pinned = true,
                },
                Named("b") with
                {
                    Apart = [new GuestId("a")],
                },
                Named("c") with
                {
                    Together = [new GuestId("b")],
                },
                Named("d") with
                {
                    Importance = Importance.MayWait,
                    Apart = [new GuestId("a"), new GuestId("b")],
                },
            ],
        };

        var arranged = Arranger.Of(Sums.Of(lab), new ArrangeAsk());

        HostOf(arranged, "a").ShouldBe("kiln");
        HostOf(arranged, "b").ShouldBe("wren");
        HostOf(arranged, "c").ShouldBe("wren");
        var left = arranged.LeftOut.ShouldHaveSingleItem();
        left.Guest.Name.ShouldBe("d");
        left.Hosts.Single(h => h.Host.Name == "kiln").SmallestChange.ShouldBe("let d and a share a host");

        var emptied = Arranger.Of(Sums.Of(lab), new ArrangeAsk { Empty = new HostId("kiln") });
        emptied.Status.ShouldBe(ArrangeStatus.Infeasible);
        emptied.LeftOut.ShouldContain(l => l.Guest.Name == "a" && l.Hosts.Any(h => h.Limit.StartsWith("a is pinned to kiln")));
        Arranger
            .Of(Sums.Of(lab with { Guests = [.. lab.Guests.Skip(1)] }), new ArrangeAsk { Empty = new HostId("kiln") })
            .Placed.ShouldAllBe(p => p.Host.Name == "wren");
    }

    [Fact]
    public void What_runs_inside_another_travels_with_it()
    {
        var engine = Small.Guest("engine", ProfileBook.AppEngine) with { Placement = new Placement(new HostId("kiln"), "ember") };
        var lab = Small.Lab(Small.Host("kiln"), Small.Host("wren", 32)) with
        {
            Guests = [engine, Small.Guest("cloud", "file-cloud", GuestKind.AppStack) with { RunsIn = engine.Id }],
        };
        var arranged = Arranger.Of(Sums.Of(lab), new ArrangeAsk { Empty = new HostId("kiln") });

        arranged.Placed.ShouldHaveSingleItem().Host.Name.ShouldBe("wren");
        var after = lab.With(ArrangeEdits.Accept(ArrangeEdits.All(arranged)));
        after.HostOf(after.Guest(new GuestId("cloud"))!)!.Name.ShouldBe("wren");
        after.Guest(new GuestId("cloud"))!.RunsIn.ShouldBe(engine.Id);
    }

    [Fact]
    public void With_a_host_away_the_marked_find_a_place_or_it_is_said()
    {
        Guest Must(string name, string host) =>
            Notes with
            {
                Id = new GuestId(name),
                Name = name,
                Importance = Importance.Must,
                Survives = true,
                Placement = new Placement(new HostId(host), "ember"),
            };
        // Each host holds two of them and keeps 1.5 GiB: with one away there is room for one of its two on the other.
        var lab = Small.Lab(Small.Host("kiln", 16), Small.Host("wren", 16)) with
        {
            Guests = [Must("a", "kiln"), Must("b", "kiln"), Must("c", "wren"), Must("d", "wren")],
        };
        lab.Findings("bench.no-refuge").Count.ShouldBe(2);
        var away = HostAway.Of(Sums.Of(lab), new HostId("kiln"));
        away.Placed.Count(p => p.Moves).ShouldBe(1);
        away.LeftOut.ShouldHaveSingleItem();

        var third = lab with { Hosts = [.. lab.Hosts, Small.Host("cellar", 16)] };
        third.Findings("bench.no-refuge").ShouldBeEmpty();
        var arranged = Arranger.Of(Sums.Of(third), new ArrangeAsk { SurviveOne = true });
        arranged.Goals.Single(g => g.Name == "no-refuge").Value.ShouldBe(0);
        arranged.Moves.ShouldBeEmpty();
    }

    [Fact]
    public void Of_the_offers_the_cheapest_that_is_enough_is_bought()
    {
        var lab = Small.Lab(Small.Host("kiln", 8)) with
        {
            Guests = [.. Enumerable.Range(0, 4).Select(n => Notes with { Id = new GuestId($"g{n}"), Name = $"g{n}" })],
            Offers =
            [
                new HostOffer("large", 400, 8, ByteSize.FromGiB(64), Flash: ByteSize.FromTB(1)),
                new HostOffer("small", 90, 4, ByteSize.FromGiB(8), Flash: ByteSize.FromTB(1)),
                new HostOffer("middle", 180, 4, ByteSize.FromGiB(16), Flash: ByteSize.FromTB(1)),
            ],
        };
        // kiln takes one; the small one another; the middle one three.
        var arranged = Arranger.Of(Sums.Of(lab), new ArrangeAsk { WithOffers = true });

        arranged.LeftOut.ShouldBeEmpty();
        arranged.Bought.ShouldHaveSingleItem().Name.ShouldBe("middle");
        arranged.Goals.Single(g => g.Name == "price").Value.ShouldBe(180);
        var after = lab.With(ArrangeEdits.Accept(ArrangeEdits.All(arranged), ["middle"]));
        after.Hosts.Select(h => h.Name).ShouldBe(["kiln", "middle"]);
        after.Guests.ShouldAllBe(g => g.Placement != null);
        after.Offers.Count.ShouldBe(2);
        Arranger.Of(Sums.Of(lab), new ArrangeAsk { WithOffers = true, Offer = "small" }).LeftOut.ShouldNotBeEmpty();
    }

    [Fact]
    public void A_free_packaging_is_changed_where_that_lets_it_in()
    {
        var board = Small.Host("board", 8) with { Type = HostType.Board };
        var lab = Small.Lab(board) with { Guests = [Notes] };
        Arranger
            .Of(Sums.Of(lab), new ArrangeAsk())
            .LeftOut.ShouldHaveSingleItem()
            .Hosts[0]
            .SmallestChange.ShouldStartWith("notes as an app stack");

        var free = lab with { Guests = [Notes with { MayBe = [GuestKind.AppStack] }] };
        var arranged = Arranger.Of(Sums.Of(free), new ArrangeAsk());
        arranged.Placed.ShouldHaveSingleItem().Kind.ShouldBe(GuestKind.AppStack);
        var after = free.With(ArrangeEdits.Accept(ArrangeEdits.All(arranged))).Guests[0];
        after.Kind.ShouldBe(GuestKind.AppStack);
        after.Folders.ShouldNotBeEmpty();
    }

    [Fact]
    public void Only_those_in_question_move()
    {
        for (var seed = 0; seed < 20; seed++)
        {
            var lab = ArrangeGens.Of(seed, 3, 8, 0.8);
            var only = Arranger.Of(Sums.Of(lab), new ArrangeAsk { Scope = ArrangeScope.Unplaced });
            only.Changes.ShouldAllBe(c => c.From == null);
            only.TakenOff.ShouldBeEmpty();
            var one = Arranger.Of(Sums.Of(lab), new ArrangeAsk { Scope = ArrangeScope.OneHost, Of = lab.Hosts[0].Id });
            one.Changes.ShouldAllBe(c => c.From != null && c.From.Id == lab.Hosts[0].Id);
        }
    }

    [Fact]
    public void Nothing_and_what_is_gone_is_refused_in_words()
    {
        var lab = Small.Lab(Small.Host("kiln")) with { Guests = [Notes] };
        Should.Throw<Refused>(() => ArrangeEdits.Accept([])(lab)).Message.ShouldContain("Nothing is chosen");
        Should
            .Throw<Refused>(() => ArrangeEdits.Accept([new ArrangeTake(Notes.Id, new Placement(new HostId("gone")), Notes.Kind)])(lab))
            .Message.ShouldContain("no longer in the lab");
        Should
            .Throw<Refused>(() => PlaceEdits.Say(Notes.Id, false, false, ["nobody"], [], [])(lab))
            .Message.ShouldBe("There is no guest called «nobody».");
        Should.Throw<Refused>(() => PlaceEdits.Say(Notes.Id, false, false, ["notes"], [], [])(lab));
    }

    private static string HostOf(Arrangement arranged, string guest) => arranged.Placed.Single(p => p.Guest.Name == guest).Host.Name;
}
