using Yuntak.Core.Labs;
using Yuntak.Formats.Intake;

namespace Yuntak.Formats.Tests.Intake;

public class NetworkTests
{
    [Fact]
    public void This_machine_has_one_port_and_the_made_up_ones_do_not_count()
    {
        var reading = Samples.Read("ip-link-this-machine.json", "ip-addr-this-machine.json");
        var port = reading.Hardware.Ports.Single();
        (port.Name, port.Mac, port.Up).ShouldBe(("eth0", "02:00:5e:10:00:31", true));
        reading.Problems.ShouldBeEmpty();
    }

    [Fact]
    public void Ports_bridges_speeds_and_the_way_out_are_put_together()
    {
        var kiln = IntakeReader.Read(Samples.Bundle);

        kiln.Hardware.Ports.ShouldBe([
            new NetworkPort("enp5s0", "02:00:5e:10:00:01", 2500, true, "0000:05:00.0", Management: true),
            new NetworkPort("enp6s0", "02:00:5e:10:00:02", null, false, "0000:06:00.0"),
        ]);
        kiln.Hardware.Bridges.Single().ShouldBe(new Bridge("br0", ["enp5s0"], ["10.40.7.11/24"]));
        kiln.AddressFixed.ShouldBe(true);
    }

    [Fact]
    public void An_address_that_was_handed_out_may_be_reserved_or_not_so_it_is_asked() =>
        IntakeReader
            .Read(
                """[{"ifname":"enp1s0","link_type":"ether","address":"02:00:5e:10:00:41","addr_info":[{"family":"inet","local":"10.40.7.41","prefixlen":24,"scope":"global","dynamic":true}]}]"""
            )
            .AddressFixed.ShouldBeNull();

    [Fact]
    public void Without_details_bridges_and_the_like_are_told_by_their_names()
    {
        const string Plain =
            """[{"ifname":"lo","link_type":"loopback"},{"ifname":"enp1s0","link_type":"ether"},{"ifname":"veth0a","link_type":"ether"},{"ifname":"br0","link_type":"ether"},{"ifname":"wlp2s0","link_type":"ether"}]""";
        IntakeReader.Read(Plain).Hardware.Ports.Select(p => (p.Name, p.Wireless)).ShouldBe([("enp1s0", false), ("wlp2s0", true)]);
    }

    [Fact]
    public void A_speed_file_alone_names_its_port() =>
        IntakeReader
            .Read("/sys/class/net/enp5s0/speed:1000\n/sys/class/net/enp6s0/speed:-1\n")
            .Hardware.Ports.Single()
            .ShouldBe(new NetworkPort("enp5s0", SpeedMbps: 1000));
}
