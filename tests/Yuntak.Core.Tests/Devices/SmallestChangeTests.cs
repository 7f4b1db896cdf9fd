using Yuntak.Core.Bench;
using Yuntak.Core.Devices;
using Yuntak.Core.Edits;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Devices;

/// <summary>The smallest change is enough when it is made, as it is said, and what else is wrong is not hidden behind the first fault.</summary>
public class SmallestChangeTests
{
    [Fact]
    public void A_change_of_the_plan_that_lets_a_claim_lets_it_when_it_is_made()
    {
        var made = 0;
        DeviceGens
            .AnyLab(2, 5)
            .Holds(
                lab =>
                {
                    foreach (var unmet in DeviceAssignment.Of(lab).Unmet.Where(u => u.Change is not null).Take(3))
                    {
                        var (before, after) = (Met(lab, unmet), Met(unmet.Change!(lab), unmet));
                        after.ShouldBeGreaterThan(before, $"{unmet.Guest.Name}: {unmet.SmallestChange}");
                        made++;
                    }
                },
                iter: 400
            );
        made.ShouldBeGreaterThan(20, "there is something to change");

        static int Met(Lab lab, UnmetClaim unmet) =>
            DeviceAssignment.Of(lab).Met.Count(m => m.Guest.Id == unmet.Guest.Id && m.Need == unmet.Need);
    }

    [Theory]
    [InlineData(40.4, 30.3)]
    [InlineData(63.33, 11.11)]
    [InlineData(55.001, 9.037)]
    public void So_much_more_memory_as_is_said_is_enough(double first, double second)
    {
        Guest Given(string name, double gib) => Small.Guest(name) with { Overrides = new SizeOverrides(Memory: ByteSize.FromGiB(gib)) };
        var lab = Small
            .Lab(Small.Host("kiln", 64, 8, 16))
            .WithGuestOn(Given("first", first), "kiln")
            .With(GuestEdits.Add(Given("second", second)));
        var change = FitCheck.OnEveryHost(Assessment.Of(lab), lab.Guests[1]).Single().Limits.Single().SmallestChange;
        var said = change.TrimStart('+').Split(" memory")[0];
        ByteSize.TryParse(said.Replace($"{Numbers.ThinSpace}", " "), Prefixes.Binary, out var more).ShouldBeTrue(change);
        var larger = lab.WithHost(new HostId("kiln"), h => h with { Memory = h.Memory + more });
        FitCheck.OnEveryHost(Assessment.Of(larger), larger.Guests[1]).Single().Limits.ShouldBeEmpty(change);
    }

    [Fact]
    public void What_is_rounded_up_is_never_less_and_shown_as_it_is()
    {
        foreach (var bytes in new long[] { 1, 1023, 1025, 10_000_001, 1_073_741_825, 2_039_999_999, 107_374_182_401, 1_099_511_627_777 })
        {
            foreach (
                var (text, prefixes) in new[]
                {
                    (new ByteSize(bytes).ToStringUp(), Prefixes.Binary),
                    (new ByteSize(bytes).ToDecimalStringUp(), Prefixes.Decimal),
                }
            )
            {
                ByteSize.TryParse(text.Replace($"{Numbers.ThinSpace}", " "), prefixes, out var read).ShouldBeTrue(text);
                read.Bytes.ShouldBeGreaterThanOrEqualTo(bytes, text);
                ((double)read.Bytes).ShouldBeLessThanOrEqualTo(bytes * 1.011 + 1, text);
            }
        }
    }

    [Fact]
    public void With_isolation_off_the_other_faults_of_a_claim_are_told_too()
    {
        var usb = new PciFunction("0000:04:00.0", "0c03", "USB card", Group: 1, Driver: "xhci_hcd", Reset: "flr");
        var sata = new PciFunction("0000:04:00.1", "0106", "SATA controller", Group: 1, Driver: "ahci", Reset: "flr");
        var host = Small.Host("kiln", 64, 8, 16);
        var lab = Small
            .Lab(
                host.With(new Hardware(Functions: [usb, sata], Isolation: false)) with
                {
                    Disks = host.Disks.Change(d => d.IsBoot, d => d with { Controller = sata.Address }),
                }
            )
            .WithGuestOn(Small.Guest("hub", "automation-hub"), "kiln")
            .WithGuest(new GuestId("hub"), g => g with { Claims = [new DeviceClaim(DeviceNeed.Other, ClaimWay.Whole, usb.Address)] });
        var verdict = new HostDevices(lab, lab.Hosts[0]).Verdicts.Single(v => v.Device == usb.Address);
        verdict.Reasons.ShouldContain(r => r.Contains("isolation is off"));
        verdict.Reasons.ShouldContain(r => r.Contains("SATA controller") || r.Contains("starts from"));
    }

    [Theory]
    [InlineData(null, false, true)]
    [InlineData("eno1", true, true)]
    [InlineData("eno1", false, false)]
    public void A_router_with_one_port_has_its_second_leg_on_a_planned_bridge(string? port, bool aware, bool enough)
    {
        var host = Small.Host("kiln", 64, 8, 16) with { NetworkPorts = 1 };
        var planned = host with { Plan = host.Plan with { Wires = new HostWires([new PlannedBridge("br0", port, aware)]) } };
        RouterLegs.HasSecond(planned).ShouldBe(enough);
        Small
            .Lab(planned)
            .WithGuestOn(Small.Guest("gate", "router"), "kiln")
            .Findings("kit.router-one-port")
            .Count.ShouldBe(enough ? 0 : 1);
    }

    [Fact]
    public void Disks_behind_a_controller_that_is_passed_through_are_where_bulk_data_lie()
    {
        var sata = new PciFunction("0000:04:00.0", "0106", "SATA card", Group: 1, Driver: "ahci", Reset: "flr");
        var lab = Small
            .Lab(Small.Host("kiln", 64, 8, 16).With(new Hardware(Functions: [sata], Isolation: true)))
            .WithGuestOn(Small.Guest("shelf", "file-cloud") with { Overrides = new SizeOverrides(Bulk: ByteSize.FromTB(4)) }, "kiln")
            .With(GuestEdits.UsePools(new GuestId("shelf"), "ember", null));
        lab.Findings("bench.no-pool-for-guest").ShouldHaveSingleItem();
        lab.WithGuest(new GuestId("shelf"), g => g with { Devices = [sata.Address] }).Findings("bench.no-pool-for-guest").ShouldBeEmpty();
    }

    [Fact]
    [Trade]
    public void What_a_library_converts_is_read_at_the_rate_of_the_source()
    {
        var films = Small.Size(
            Small.Guest(
                "films",
                "media-library",
                GuestKind.SystemContainer,
                new LoadValue("conversions-2160p", 1),
                new LoadValue("conversions-1080p", 0),
                new LoadValue("plays", 0)
            )
        );
        var hour = Enumerable.Range(0, 24).MaxBy(films.BitsPerSecondAt);
        (films.ReadBitsPerSecondAt(hour) / films.BitsPerSecondAt(hour)).ShouldBe(40.0 / 10, 1e-9);
    }
}
