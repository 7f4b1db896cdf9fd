using Yuntak.Core.Base;
using Yuntak.Core.Devices;
using Yuntak.Core.Edits;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Devices;

/// <summary>Claims on their way: brought along, taken, opened, given up; the acts of the runbook that hand devices over; the search for a controller.</summary>
public class DeviceEditTests
{
    private static readonly HostId Kiln = new("kiln");
    private static readonly GuestId Films = new("films");
    private static readonly GuestId Hub = new("hub");
    private const string Card = "0000:01:00.0";
    private const string Usb = "0000:04:00.0";

    [Fact]
    [Trade]
    public void Wants_bring_their_claims_along()
    {
        var lab = Lab();
        GuestClaims.Of(lab, lab.Guest(Hub)!).ShouldHaveSingleItem().Claim.Need.ShouldBe(DeviceNeed.RadioStick);
        // Who converts in software needs no encoder; who leaves it to one does.
        GuestClaims.Of(lab, lab.Guest(Films)!).ShouldBeEmpty();
        var leaving = lab.WithGuest(
            Films,
            g => g with { Wants = [new Want("media-library", [new LoadValue(ProfileBook.SoftwareEncoding, 0)])] }
        );
        GuestClaims.Of(leaving, leaving.Guest(Films)!).Single().Claim.Need.ShouldBe(DeviceNeed.VideoEncoder);
        // What is mapped into a stack that was taken over meets its need.
        var mapped = leaving.WithGuest(Films, g => g with { Kind = GuestKind.AppStack, Nodes = ["/dev/dri/renderD128"] });
        GuestClaims.Of(mapped, mapped.Guest(Films)!).ShouldBeEmpty();
        // A controller that is handed over whole brings the stick on it.
        var whole = lab.WithGuest(Hub, g => g with { Devices = [Usb] });
        GuestClaims.Of(whole, whole.Guest(Hub)!).ShouldHaveSingleItem().By.ShouldBe(AskedBy.Listed);
        var without = lab.With(DeviceEdits.GiveUp(Hub, 0, DeviceNeed.RadioStick));
        GuestClaims.Of(without, without.Guest(Hub)!).ShouldBeEmpty();
        GuestClaims.Of(lab, without.With(DeviceEdits.WantAgain(Hub, DeviceNeed.RadioStick)).Guest(Hub)!).Count.ShouldBe(1);
    }

    [Fact]
    public void A_claim_is_taken_opened_and_given_up_and_each_change_says_so()
    {
        var taken = DeviceEdits.Take(Hub, 0, DeviceNeed.RadioStick, ClaimWay.UsbPort, "3-1")(Lab());
        taken.Sentence.ShouldBe("hub: radio stick 3-1, by its USB port");
        taken.Lab.Guest(Hub)!.Claims.ShouldBe([new DeviceClaim(DeviceNeed.RadioStick, ClaimWay.UsbPort, "3-1")]);
        var open = DeviceEdits.Open(Hub, 0, DeviceNeed.RadioStick)(taken.Lab);
        open.Lab.Guest(Hub)!.Claims.Single().Chosen.ShouldBeFalse();
        DeviceEdits.GiveUp(Hub, 0, DeviceNeed.RadioStick)(open.Lab).Lab.Guest(Hub)!.Claims.ShouldBeEmpty();
        Should
            .Throw<Refused>(() => DeviceEdits.Take(Hub, 3, DeviceNeed.RadioStick, ClaimWay.UsbPort, "3-1")(Lab()))
            .Message.ShouldContain("no longer there");
        Should
            .Throw<Refused>(() => DeviceEdits.Take(Hub, 0, DeviceNeed.RadioStick, ClaimWay.UsbPort, "9-9")(Lab()))
            .Message.ShouldContain("nothing at 9-9");
        Should.Throw<Refused>(() => DeviceEdits.Ask(Hub, DeviceNeed.Other, " ")(Lab())).Message.ShouldContain("which device");
        DeviceEdits.Assign()(Lab()).Sentence.ShouldStartWith("1 claim met: hub radio stick 3-1");
    }

    [Fact]
    public void Handing_a_device_over_meets_the_open_claim_of_that_sort()
    {
        var given = DeviceEdits.Give(Hub, ClaimWay.UsbId, "3-1")(Lab()).Lab;
        given.Guest(Hub)!.Claims.ShouldBe([new DeviceClaim(DeviceNeed.RadioStick, ClaimWay.UsbId, "3-1")]);
        // What it did not ask for becomes a claim of its own.
        var sound = DeviceEdits.Give(Films, ClaimWay.Node, Card)(Lab()).Lab;
        sound.Guest(Films)!.Claims.Single().Need.ShouldBe(DeviceNeed.VideoEncoder);
        Should.Throw<Refused>(() => DeviceEdits.Give(Films, ClaimWay.Whole, Card)(Lab())).Message.ShouldContain("only a machine");
    }

    [Fact]
    public void A_node_for_a_stack_inside_a_container_goes_through_both_layers()
    {
        var lab = Lab()
            .WithGuestOn(Small.Guest("engine", "app-engine", GuestKind.SystemContainer), "kiln")
            .With(GuestEdits.Add(Small.Guest("player", "wiki", GuestKind.AppStack)))
            .With(NestingEdits.RunIn(new GuestId("player"), new GuestId("engine")));
        var given = DeviceEdits.Give(new GuestId("player"), ClaimWay.Node, Card)(lab);
        given.Sentence.ShouldEndWith("and into engine too");
        given.Lab.Guest(new GuestId("engine"))!.Claims.Single().Device.ShouldBe(Card);
        var steps = RunbookBuilder.Build(Small.Lab(lab.Hosts[0]), given.Lab).Steps.ToList();
        var engine = steps.FindIndex(s => s.Id.Contains("build-guest/engine") && s.Act.Type == "prove-devices");
        var player = steps.FindIndex(s => s.Id.Contains("build-guest/player") && s.Act.Type == "attach-devices");
        engine.ShouldBeGreaterThan(0);
        player.ShouldBeGreaterThan(engine, "the outer layer has it, proven, before the inner one gets it");
        steps[player].Values.ShouldContain(v => v.Label == "layers" && v.Value.StartsWith("kiln → engine → player"));
    }

    [Fact]
    public void Drivers_hand_over_groups_and_proof_come_before_the_service()
    {
        var lab = Lab().With(DeviceEdits.Give(Films, ClaimWay.Node, Card)).With(DeviceEdits.Give(Hub, ClaimWay.Whole, "3-1"));
        var stands = Small.Lab(lab.Hosts[0]);
        var steps = RunbookBuilder.Build(stands, lab).Sections.ToDictionary(s => s.Title, s => s.Steps.Select(x => x.Act.Type).ToList());
        var films = steps["Build films on kiln"];
        films
            .Where(t => t.EndsWith("-devices") || t is "map-groups" or "set-up-service")
            .ShouldBe(["prepare-devices", "attach-devices", "map-groups", "prove-devices", "set-up-service"]);
        steps["Build hub on kiln"].ShouldNotContain("map-groups", "a machine has no group of the host's");

        // Taken off what stands, it is a step too, and the way back says what a missing reset costs.
        var built = lab with
        {
            Guests = [.. lab.Guests],
        };
        var gone = lab.With(DeviceEdits.GiveUp(Hub, 0, DeviceNeed.RadioStick));
        var change = RunbookBuilder.Build(built, gone).Sections.Single(s => s.Title.StartsWith("Change hub"));
        change.Steps.Select(s => s.Act.Type).ShouldContain("detach-devices");
        RunbookBuilder.Build(built, lab).Steps.ShouldBeEmpty("claims that stand are no steps");
    }

    [Fact]
    public void What_cannot_be_handed_over_is_a_stop_in_the_runbook()
    {
        var lab = Lab()
            .WithGuest(Hub, g => g with { Claims = [new DeviceClaim(DeviceNeed.RadioStick, ClaimWay.UsbPort, "3-1")] })
            .WithGuest(Films, g => g with { Kind = GuestKind.Machine, Claims = [new DeviceClaim(DeviceNeed.Other, ClaimWay.Whole, Usb)] });
        var steps = RunbookBuilder.Build(Small.Lab(lab.Hosts[0]), lab).Steps.ToList();
        steps.Count(s => !s.Act.CanBeDone).ShouldBe(2, "neither takes what the other has");
        steps.ShouldNotContain(s => s.Act.Type == "attach-devices");
    }

    [Theory]
    [InlineData(1, 1)]
    [InlineData(2, 1.5)]
    [InlineData(5, 3)]
    public void With_k_controllers_trial_takes_half_of_k_and_one_tries_on_average_and_k_at_worst(int controllers, double expected)
    {
        // Chapter 4, check values.
        var host = Small
            .Host("kiln")
            .With(
                new Hardware(
                    Functions: [.. Enumerable.Range(1, controllers).Select(n => new PciFunction($"0000:0{n}:00.0", "0c03", Group: n))]
                )
            );
        var lab = Small.Lab(host);
        var search = ControllerSearch.For(DeviceMap.Of(lab.Hosts[0]), "radio stick");
        (search.Expected, search.Worst).ShouldBe((expected, controllers));
        var tried = lab.With(DeviceEdits.Tried(Kiln, "radio stick", search.Left[0].Address, seen: false, new DateOnly(2026, 11, 27)));
        var next = ControllerSearch.For(DeviceMap.Of(tried.Hosts[0]), "Radio stick");
        (next.Worst, next.Tried.Count, next.Found).ShouldBe((controllers - 1, 1, null));
        var seen = tried.With(DeviceEdits.Tried(Kiln, "radio stick", search.Left[0].Address, seen: true, new DateOnly(2026, 11, 27)));
        ControllerSearch.For(DeviceMap.Of(seen.Hosts[0]), "radio stick").Found.ShouldBe(search.Left[0].Address);
        seen.With(DeviceEdits.ForgetTries(Kiln, "radio stick")).Hosts[0].Tries.ShouldBeEmpty();
        Should.Throw<Refused>(() => DeviceEdits.Tried(Kiln, " ", "0000:01:00.0", true, default)(lab));
        Should.Throw<Refused>(() => DeviceEdits.Tried(Kiln, "stick", "0000:99:00.0", true, default)(lab));
    }

    [Fact]
    public void A_controller_the_host_needs_is_never_tried()
    {
        var host = Small
            .Host("kiln")
            .With(
                new Hardware(
                    Functions: [new PciFunction("0000:01:00.0", "0c03", Group: 1), new PciFunction("0000:02:00.0", "0c03", Group: 2)],
                    UsbBuses: [new UsbBus(1, "0000:01:00.0")],
                    UsbDevices: [new UsbDevice("1-1", BatteryLink: true)]
                )
            );
        var search = ControllerSearch.For(DeviceMap.Of(host), "stick");
        search.Left.Single().Address.ShouldBe("0000:02:00.0");
        search.Stay.Single().What.ShouldBe("0000:01:00.0");
    }

    [Fact]
    public void In_doubt_the_host_needs_it()
    {
        // The boot disk's controller was not read: any that could hold it stays.
        var host = Small
            .Host("kiln")
            .With(
                new Hardware(
                    Functions: [new PciFunction("0000:01:00.0", "0106", Group: 1), new PciFunction("0000:02:00.0", "0200", Group: 2)],
                    Isolation: true
                )
            );
        var needs = DeviceMap.Of(host).Trays.SelectMany(t => t.NeededByHost).ToDictionary(n => n.What, n => n.Why);
        needs["0000:01:00.0"].ShouldContain("was not read");
        needs["0000:02:00.0"].ShouldContain("only network card");
    }

    [Fact]
    public void A_stick_that_was_plugged_in_elsewhere_is_noticed_when_its_host_is_read_again()
    {
        var lab = Lab().With(DeviceEdits.Give(Hub, ClaimWay.UsbPort, "3-1"));
        var moved = lab.Hosts[0].Hardware with { UsbDevices = [new UsbDevice("3-4", "f0f0:0101", "Radio stick")] };
        var reading = new HostReading(null, null, [], [new PartReading(KitParts.Usb, 1, [])]) { Hardware = moved };
        HostUpdate
            .Of(Assessment.Of(lab), lab.Hosts[0], reading)
            .Effects.ShouldBe(["hub has Radio stick at USB port 3-1, which is at port 3-4 now."]);
    }

    [Fact]
    public void A_card_that_is_handed_to_another_leaves_an_open_claim_behind()
    {
        var lab = Lab()
            .WithGuest(Hub, g => g with { Claims = [new DeviceClaim(DeviceNeed.VideoEncoder, ClaimWay.Whole, Card)] })
            .WithGuestOn(Small.Guest("desk"), "kiln")
            .With(KitEdits.HandOver(Kiln, Card, new GuestId("desk")));
        lab.Guest(Hub)!.Claims.ShouldBe([new DeviceClaim(DeviceNeed.VideoEncoder)]);
        lab.Guest(new GuestId("desk"))!.HandedWhole.ShouldBe([Card]);
    }

    [Theory]
    [InlineData(true, 1)]
    [InlineData(true, 2)]
    [InlineData(false, 2)]
    public void A_slice_that_is_not_to_be_had_is_a_stop(bool isolation, int slices)
    {
        var lab = Lab().WithGuestOn(Small.Guest("desk"), "kiln");
        var inside = lab.Hosts[0].Hardware;
        var card = new PciFunction("0000:07:00.0", "0200", Group: 7, Slices: slices);
        lab = lab.WithHost(Kiln, h => h.With(inside with { Functions = inside.Functions.With(card), Isolation = isolation }));
        foreach (var id in new[] { Hub, new GuestId("desk") })
        {
            lab = lab.WithGuest(id, g => g with { Claims = [new DeviceClaim(DeviceNeed.NetworkPort, ClaimWay.Slice, card.Address)] });
        }

        lab.Findings("devices.not-possible").Count.ShouldBe(isolation && slices == 2 ? 0 : 2);
    }

    [Fact]
    public void Each_way_says_what_to_type()
    {
        var map = DeviceMap.Of(Lab().Hosts[0]);
        string Lines(ClaimWay way, string device) =>
            string.Join('\n', ClaimLines.Of(map, DeviceNeed.VideoEncoder, way, device).Select(l => $"{l.Where}: {l.Line}"));
        Lines(ClaimWay.Node, Card).ShouldContain("ls -l /dev/dri/by-path/pci-0000:01:00.0-*");
        // The kernel's own way, as its documentation of sysfs has it.
        Lines(ClaimWay.Whole, Card).ShouldContain("echo 0000:01:00.0 > /sys/bus/pci/drivers_probe");
        Lines(ClaimWay.UsbId, "3-1").ShouldContain("lsusb -d f0f0:0101");
        Lines(ClaimWay.UsbPort, "3-1").ShouldContain("/sys/bus/usb/devices/3-1/product");
        Lines(ClaimWay.Slice, Card).ShouldContain("sriov_numvfs");
    }

    private static Lab Lab()
    {
        var host = Small.Host("kiln", 64, 8, 16);
        return Small
            .Lab(
                (host with { Disks = host.Disks.Change(_ => true, d => d with { Controller = "0000:0e:00.0" }) }).With(
                    new Hardware(
                        Functions:
                        [
                            new PciFunction(Card, "0300", "Card", Group: 1, Driver: "gfx0", Reset: "flr"),
                            new PciFunction(Usb, "0c03", "Controller", Group: 4, Driver: "xhci_hcd", Reset: ""),
                        ],
                        UsbBuses: [new UsbBus(3, Usb, 4)],
                        UsbDevices: [new UsbDevice("3-1", "f0f0:0101", "Radio stick")],
                        Isolation: true
                    )
                )
            )
            .WithGuestOn(Small.Guest("films", "media-library", GuestKind.SystemContainer), "kiln")
            .WithGuestOn(Small.Guest("hub", "automation-hub"), "kiln");
    }
}
