using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Stations;
using Yuntak.Core.Wires;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Wires;

/// <summary>Who wants the same port, held against every pair tried address by address.</summary>
public class ClashTests
{
    private static readonly string?[] Said = [null, "*", "0.0.0.0", "::", "10.40.7.11", "10.40.7.12", "fd00::11"];

    /// <summary>What a socket of each sort takes of a machine that has two IPv4 addresses and one of IPv6 (RFC 3493, 5.3: :: takes IPv4 too).</summary>
    private static HashSet<string> Takes(string? address) =>
        address switch
        {
            null or "*" or "::" => ["10.40.7.11", "10.40.7.12", "other 4", "fd00::11", "other 6"],
            "0.0.0.0" => ["10.40.7.11", "10.40.7.12", "other 4"],
            _ => [address],
        };

    [Fact]
    [Reference("RFC 3493, 5.3; RFC 9293, 3.3")]
    public void Clashes_are_those_of_every_pair_tried_address_by_address()
    {
        var (random, found) = (new Random(11), 0);
        for (var n = 0; n < 600; n++)
        {
            var lab = Any(random);
            var ports = Sums.Of(lab).Wires.Ports;
            HashSet<(string, string, int, WireProtocol)> expected = [];
            foreach (var a in ports)
            {
                foreach (var b in ports.Where(b => Stack(lab, b) == Stack(lab, a) && b.Port == a.Port && b.Protocol == a.Protocol))
                {
                    if (string.CompareOrdinal(a.Who.Name, b.Who.Name) < 0 && Takes(a.Address).Overlaps(Takes(b.Address)))
                    {
                        expected.Add((a.Who.Name, b.Who.Name, a.Port, a.Protocol));
                    }
                }
            }

            var mine = Sums.Of(lab)
                .Wires.Clashes.SelectMany(c =>
                    c.Who.SelectMany(a =>
                        c.Who.Where(b => string.CompareOrdinal(a.Who.Name, b.Who.Name) < 0)
                            .Select(b => (a.Who.Name, b.Who.Name, c.Port, c.Protocol))
                    )
                )
                .ToHashSet();
            mine.SetEquals(expected).ShouldBeTrue($"{n}: {string.Join(", ", mine)} is not {string.Join(", ", expected)}");
            found += mine.Count;
        }

        found.ShouldBeGreaterThan(300, "clashes were there to be found");
    }

    [Fact]
    public void What_runs_already_and_was_read_is_its_own_and_anything_else_is_the_hosts()
    {
        var read = new Hardware(Listeners: [new Listener("tcp", "0.0.0.0", 8080), new Listener("tcp", "*", 22)]);
        var lab = Small.Lab(Small.Host("kiln").With(read)).WithGuestOn(Stack("cloud") with { Listens = [new Listen(8080)] }, "kiln");
        lab.Finding("wires.port-clash").Fixes.Select(f => f.Label).ShouldContain("It is cloud's own");

        var running = lab.WithHost(new HostId("kiln"), h => h.With(h.Hardware with { Runs = [new Running("/x", "Cloud", default)] }));
        running.Findings("wires.port-clash").ShouldBeEmpty();
    }

    [Fact]
    public void The_next_sensible_port_is_free_and_kept_for_nothing_else()
    {
        var lab = Small
            .Lab(Small.Host("kiln"))
            .WithGuestOn(Stack("cloud") with { Listens = [new Listen(443), new Listen(8443)] }, "kiln")
            .WithGuestOn(Stack("names") with { Listens = [new Listen(443)] }, "kiln");
        var wires = Sums.Of(lab).Wires;
        var next = PortAdvice.Next(wires, wires.Ports.First(p => p.Who.Name == "names"))!.Value;
        next.ShouldNotBe(8443);
        (next is > 1023 and < 32_768, WellKnown.IsKept(next)).ShouldBe((true, false));
    }

    [Theory]
    [Reference("IANA, service name and transport protocol port number registry")]
    [InlineData(53, "names")]
    [InlineData(69, "boot files")]
    [InlineData(80, "web, in the clear")]
    [InlineData(443, "web, encrypted")]
    [InlineData(445, "shares by account")]
    [InlineData(2049, "shares by address")]
    [InlineData(1883, "messages, in the clear")]
    [InlineData(8883, "messages, encrypted")]
    public void Ports_are_for_what_the_registry_says(int port, string words)
    {
        WellKnown.Words(port).ShouldBe(words);
        WellKnown.IsEncrypted(port, WireProtocol.Tcp).ShouldBe(words.EndsWith("encrypted", StringComparison.Ordinal));
    }

    /// <summary>A host and a machine, app stacks on both, listening here and there.</summary>
    private static Lab Any(Random random)
    {
        var lab = Small
            .Lab(Small.Host("kiln", 64, 8, 16).With(new Hardware(Listeners: [new Listener("tcp", Read(random), 80 + random.Next(3))])))
            .WithGuestOn(Small.Guest("box", "app-engine") with { Listens = Some(random) }, "kiln");
        for (var n = 0; n < 4; n++)
        {
            lab = lab.WithGuestOn(Stack($"s{n}") with { Listens = Some(random), Networks = n == 0 ? ["host"] : [] }, "kiln");
            if (random.Next(3) == 0)
            {
                lab = lab.With(NestingEdits.RunIn(new GuestId($"s{n}"), new GuestId("box")));
            }
        }

        return lab;
    }

    private static string Read(Random random) => new[] { "*", "0.0.0.0", "[::]", "10.40.7.11%br0", "[::ffff:10.40.7.12]" }[random.Next(5)];

    private static ValueList<Listen> Some(Random random) =>
        [
            .. Enumerable
                .Range(0, random.Next(1, 4))
                .Select(_ => new Listen(80 + random.Next(3), (WireProtocol)random.Next(2), Said[random.Next(Said.Length)])),
        ];

    private static string Stack(Lab lab, HeardPort port) =>
        port.Who.Kind == HolderKind.Host ? "kiln"
        : lab.Guest(new GuestId(port.Who.Id)) is { Kind: GuestKind.AppStack } stack ? lab.Outer(stack)?.Name ?? "kiln"
        : port.Who.Name;

    private static Guest Stack(string name) => Small.Guest(name, "file-cloud", GuestKind.AppStack, new LoadValue("quota", 10));
}
