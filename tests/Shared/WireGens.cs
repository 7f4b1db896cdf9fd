using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Tests;

/// <summary>Random networks, ports, ways in and shares, put into a lab through its edits, so that what does not go together is refused as it is to a person.</summary>
internal static class WireGens
{
    private static readonly string[] Prefixes = ["10.40.7.0/24", "10.40.8.0/30", "192.168.1.0/24", "fd12:3456:789a::/64", "10.40.0.0/16"];
    private static readonly string[] Words = ["films", "a b", "x;reboot", "$(id)", "quo\"te's", "ümlaut", "house"];
    private static readonly int[] Ports = [53, 67, 80, 443, 8080, 51_000];

    /// <summary>The lab with a random lot of wires.</summary>
    public static Lab Wired(Lab lab, Random random)
    {
        for (var n = random.Next(1, 4); n > 0; n--)
        {
            var prefix = random.Next(6) == 0 ? null : Prefixes[random.Next(Prefixes.Length)];
            var network = new Network(
                $"{Words[random.Next(Words.Length)]} {n}",
                prefix,
                prefix == Prefixes[0] && random.Next(2) == 0 ? "10.40.7.1" : null,
                prefix == Prefixes[0] && random.Next(2) == 0 ? "10.40.7.100-10.40.7.199" : null,
                (NetworkPurpose)random.Next(7),
                random.Next(3) == 0 ? random.Next(1, 4095) : null,
                (AddressSchool)random.Next(2),
                random.Next(3) == 0,
                random.Next(4) == 0 ? 9000 : null
            );
            lab = Gens.Try(lab, WireEdits.AddNetwork(network));
        }

        lab = Gens.Try(
            lab,
            ReachEdits.Box(new Box(Words[random.Next(Words.Length)], "hall", ["10.40.7.5"], "02:00:00:00:00:05", [Listen(random)]))
        );
        lab = Gens.Try(lab, ReachEdits.Site(new RemoteSite("boathouse", ["10.61.3.0/24"])));
        for (var n = random.Next(14); n > 0; n--)
        {
            lab = Gens.Try(lab, Any(lab, random));
        }

        return lab;
    }

    /// <summary>One random change of what is wired.</summary>
    public static Edit Any(Lab lab, Random random)
    {
        var network = lab.Networks.Count == 0 ? "none" : lab.Networks[random.Next(lab.Networks.Count)].Name;
        var guest = lab.Guests.Count == 0 ? new GuestId("none") : lab.Guests[random.Next(lab.Guests.Count)].Id;
        var other = lab.Guests.Count == 0 ? new GuestId("none") : lab.Guests[random.Next(lab.Guests.Count)].Id;
        var host = lab.Hosts.Count == 0 ? new HostId("none") : lab.Hosts[random.Next(lab.Hosts.Count)].Id;
        var share = lab.Shares.Count == 0 ? "none" : lab.Shares[random.Next(lab.Shares.Count)].Name;
        return random.Next(14) switch
        {
            0 or 1 => LegEdits.Join(guest, network, random.Next(3) == 0 ? "" : null),
            2 => LegEdits.NextAddress(guest, network),
            3 => LegEdits.Leave(guest, network),
            4 => ReachEdits.Listens(guest, all => [.. all, Listen(random)]),
            5 => ReachEdits.HostListens(host, all => [.. all, Listen(random)]),
            6 => WireEdits.HostLeg(host, new Leg(network, random.Next(2) == 0 ? "10.40.7.11" : null)),
            7 => WireEdits.Bridge(
                host,
                new PlannedBridge($"br{random.Next(3)}", random.Next(2) == 0 ? "eno1" : null, random.Next(2) == 0, [network])
            ),
            8 => ReachEdits.Open(
                new Forward(
                    Ports[random.Next(Ports.Length)],
                    guest,
                    random.Next(2) == 0 ? 8080 : null,
                    (WireProtocol)random.Next(2),
                    random.Next(3) == 0 ? other : null,
                    random.Next(3) == 0 ? "films.example" : null,
                    random.Next(2) == 0 ? (CertificateKind)random.Next(3) : null
                )
            ),
            9 => lab.Forwards.Count == 0 ? WireEdits.RemoveNetwork(network) : ReachEdits.Close(lab.Forwards[0].Key),
            10 or 11 => ReachEdits.Share(
                new NetworkShare(
                    $"{Words[random.Next(Words.Length)]} {random.Next(3)}",
                    random.Next(3) switch
                    {
                        0 => new ShareEnd(Host: host, Path: $"/ember/{Words[random.Next(Words.Length)]}"),
                        1 => new ShareEnd(Guest: guest, Path: "/srv"),
                        _ => new ShareEnd(Box: lab.Boxes.Count == 0 ? "none" : lab.Boxes[0].Name, Path: "/films"),
                    },
                    random.Next(2) == 0 ? ["10.40.7.11", "kiln"] : [],
                    random.Next(2) == 0,
                    (ShareProtocol)random.Next(2),
                    random.Next(2) == 0 ? ByteSize.FromGB(random.Next(1, 400)) : null
                )
            ),
            12 => ReachEdits.Mount(guest, new ShareMount(share, "/srv/in", (MountBy)random.Next(2), random.Next(2) == 0)),
            _ => ReachEdits.RemoveShare(share),
        };
    }

    private static Listen Listen(Random random) =>
        new(
            Ports[random.Next(Ports.Length)],
            (WireProtocol)random.Next(2),
            random.Next(4) switch
            {
                0 => "10.40.7.20",
                1 => "::",
                2 => "*",
                _ => null,
            },
            random.Next(3) == 0 ? 3000 : null,
            random.Next(4) == 0,
            random.Next(3) == 0 ? null : random.Next(2) == 0,
            random.Next(3) == 0 ? null : random.Next(2) == 0
        );
}
