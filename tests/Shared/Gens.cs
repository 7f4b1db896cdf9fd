using CsCheck;
using Yuntak.Core.Base;
using Yuntak.Core.Disks;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Tests;

/// <summary>Random labs that a person could have made.</summary>
internal static class Gens
{
    private static readonly Gen<string> AnyName = Gen.OneOf(
        Pick.From(
            "kiln",
            "wren",
            "cellar",
            "two words",
            "Ärger & Söhne",
            "<script>alert(1)</script>",
            "null",
            "yes",
            "12",
            "- a: b",
            "#",
            "'\"\\",
            "a|b",
            "日本"
        ),
        Gen.String[Gen.Char[' ', '~'], 1, 30].Where(s => s.Trim().Length > 0)
    );

    private static readonly Gen<ByteSize> AnySize = Gen.OneOf(
        Gen.Int[1, 4096].Select(n => ByteSize.FromMiB(n * 16)),
        Gen.Int[1, 400].Select(n => ByteSize.FromGB(n * 10)),
        Gen.Long[1L << 26, 1L << 45].Select(n => new ByteSize(n))
    );

    private static readonly Gen<bool?> Tri = Gen.Int[0, 2].Select(n => n == 2 ? (bool?)null : n == 1);

    private static readonly Gen<Disk[]> AnyDisks =
        from count in Gen.Int[0, 6]
        from sizes in AnySize.Array[count]
        from kinds in Gen.Enum<DiskKind>().Array[count]
        from hours in Gen.Int[0, 60_000].Array[count]
        select sizes
            .Select(
                (s, n) =>
                    new Disk(
                        $"id-{n}",
                        $"sd{(char)('a' + n)}",
                        s,
                        kinds[n],
                        n == 0 ? ["/", "/boot"] : [],
                        n % 2 == 0 ? "Saltpan P8" : null,
                        hours[n] > 50_000 ? null : hours[n],
                        n == 3,
                        n % 3 == 0 ? new DiskHealth(n == 0, hours[n], n, hours[n] / 1000.0, 31.5) : null,
                        n == 1 ? ["ext4", "swap"] : [],
                        n == 2 ? "0000:00:17.0" : null,
                        n == 2 ? 4096 : null
                    )
            )
            .ToArray();

    private static readonly Gen<DateOnly?> AnyDay = Gen.Int[0, 3000]
        .Select(n => n < 900 ? (DateOnly?)null : new DateOnly(2020, 1, 1).AddDays(n));

    /// <summary>What may be inside a host, from nothing to everything.</summary>
    public static readonly Gen<Hardware> AnyHardware =
        from name in AnyName.Select(Names.Clean)
        from count in Gen.Int[0, 3]
        from tri in Tri
        from number in Gen.Int[1, 90_000]
        from size in AnySize
        from day in AnyDay
        select count == 0
            ? Hardware.None
            : new Hardware(
                [new MemorySlot("A1", size), new MemorySlot("A2", null)],
                [
                    .. Enumerable
                        .Range(0, count)
                        .Select(n => new PciFunction(
                            $"0000:0{n}:00.0",
                            n == 2 ? "" : "0c03",
                            n == 0 ? name : null,
                            "f0f0:0001",
                            n == 1 ? number : null,
                            n == 1 ? "ahci" : null,
                            tri is null ? null
                                : tri.Value ? "flr bus"
                                : "",
                            n == 0 ? "X1" : null,
                            n == 1,
                            n == 1 ? number / 8.0 : null,
                            n == 2 ? count : null
                        )),
                ],
                [new UsbBus(count, "0000:00:00.0", count, tri is null ? null : 480), new UsbBus(9)],
                [new UsbDevice($"{count}-1.2", "f0f0:0002", name, count == 1, count == 2), new UsbDevice("9-1")],
                [
                    new NetworkPort("enp1s0", "02:00:5e:10:00:01", number, tri, "0000:01:00.0", ["10.40.7.2/24"], count == 1, count == 2),
                    new NetworkPort("enp2s0"),
                ],
                [new Bridge("br0", ["enp1s0"], ["10.40.7.3/24"]), new Bridge("br1")],
                [new Temperature(name, -4.5, 80), new Temperature("core", number / 1000.0)],
                [
                    new DiskSpeed(name, "randread", "4k", DataRate.FromBytes(number), number / 10.0),
                    new DiskSpeed("w", Write: DataRate.FromBytes(1), WritesPerSecond: 2),
                ],
                [new LinkSpeed("10.40.7.2", "10.40.7.3", new DataRate(number))],
                tri is null ? null : new BatteryState(97.5, 12, 41.5, 330),
                day is null ? null : new Firmware(day, "1.2", "Brackwater T1"),
                tri,
                GroupsSplit: count == 3 ? tri : null
            );

    private static readonly Gen<Host> AnyHost =
        from name in AnyName
        from cores in Gen.Int[1, 64]
        from threads in Gen.Int[1, 2]
        from virtualisation in Tri
        from battery in Tri
        from memory in Gen.Int[1, 512]
        from ports in Gen.Int[0, 8]
        from disks in AnyDisks
        from inside in AnyHardware
        from day in AnyDay
        select new Host(
            new HostId("new"),
            name,
            ports % 2 == 0 ? "" : "in the hall: left",
            new HostFacts(
                new Processor("x86_64", 1, cores, cores * threads, virtualisation, ports % 3 == 0 ? "Brackwater B8" : null),
                ByteSize.FromGiB(memory),
                [.. ports == 7 ? disks.SkipLast(1) : disks],
                ports == 8 ? null : ports,
                battery,
                ports * 7.5,
                null,
                ports > 4,
                inside == Hardware.None ? null : inside,
                battery,
                virtualisation,
                day,
                day is { } ticked ? [new ReadinessCheck("power-cut", ticked)] : [],
                ports > 5 ? [new FactNote("memory/total", Origin.Entered, "16 GiB", day), new FactNote("disks", Origin.Read, "lsblk")] : [],
                // Every kind of host, and some that say themselves what their kind would.
                (HostType)(ports % 5),
                ports == 6 ? ByteSize.FromGiB(1) : null,
                ports == 4 ? ByteSize.FromGiB(9) : null,
                ports > 6 ? 1.7 : null,
                ports % 3 == 1 ? EncoderClass.RecentGraphics : null
            ),
            new HostPlan([
                .. PoolProposal
                    .For(HostShapes.Host.Blank with { Disks = [.. disks] })
                    .Select(
                        (p, n) =>
                            p with
                            {
                                Takes = n == 0 ? [ContentKind.GuestDisks, ContentKind.InstallMedia] : [],
                                Encrypted = battery,
                                KeyPlaces = ports == 3 ? ["safe", Names.Clean(name)] : [],
                                ScrubDays = ports < 3 ? ports * 30 : null,
                                Thin = ports == 4,
                                Compression = ports == 5 ? 1.375 : 1,
                            }
                    ),
            ])
        );

    /// <summary>A profile somebody made from one that comes with Yuntak: in its place, or beside it under a name of its own.</summary>
    public static readonly Gen<Profile> AnyProfile =
        from like in Pick.From([.. ProfileBook.Standard.All])
        from factor in Gen.Double[0, 3]
        from beside in Gen.Int[0, 4]
        from hour in Gen.Int[0, 30]
        from name in AnyName
        select ProfileTerms.All.Aggregate(
            like with
            {
                Id = beside == 0 ? like.Id : $"own-{beside}",
                Name = Names.Clean(name) is { Length: > 0 } clean ? clean : like.Name,
                Shape = hour < 24 ? new DayShape([.. like.Shape.Weights.Select((w, n) => n == hour ? 1 : w)]) : like.Shape,
                FirstStartMinutes = hour,
                StartOrder = hour * 3,
                Caution = hour > 20 ? "Mind: \"the\" step" : null,
            },
            (p, terms) => terms.With(p, [.. terms.Of(p).Select(t => t with { Amount = t.Amount * factor / 3 })])
        );

    private static Gen<Want> AnyWant(Profile[] own) =>
        from profile in Pick.From([.. ProfileBook.With([.. own]).All])
        from shares in Gen.Double[0, 1].Array[profile.Loads.Count]
        from said in Gen.Bool.Array[profile.Loads.Count]
        select new Want(
            profile.Id,
            [
                .. profile
                    .Loads.Select(
                        (l, n) =>
                            new LoadValue(l.Id, l.YesNo ? Math.Round(shares[n]) : Math.Round(l.Min + (shares[n] * (l.Max - l.Min)), 2))
                    )
                    .Where((_, n) => said[n]),
            ]
        );

    private static Gen<Guest> AnyGuest(Profile[] own) =>
        from name in AnyName
        from kind in Gen.Enum<GuestKind>()
        from importance in Gen.Enum<Importance>()
        from wants in AnyWant(own).Array[1, 3]
        from memory in AnySize
        from which in Gen.Int[0, 15]
        select new Guest(
            new GuestId("new"),
            name,
            kind,
            [.. wants],
            new SizeOverrides(
                which % 2 == 0 ? which + 1 : null,
                which % 3 == 0 ? memory : null,
                which % 5 == 0 ? memory : null,
                which % 7 == 0 ? memory : null
            ),
            null,
            importance,
            which == 3 ? ByteSize.FromMiB(512) : null,
            which == 4 ? "registry.example/a:1.0" : null,
            which > 9 ? [new FolderMount("/srv/a b", "/data", which == 10)] : [],
            Devices: which == 5 ? ["0000:01:00.0", "0000:02:00.0"] : [],
            Privileged: which == 6,
            MadeFor: which is 7 or 8 ? "aarch64" : null,
            HealthCheckMinutes: which == 9 ? 3 : null,
            Growth: which == 11 ? new Growth(ByteSize.FromGB(40), 0.125, 0.5) : null,
            Ports: which == 13 ? [8080] : [],
            Claims: which switch
            {
                14 => [new DeviceClaim(DeviceNeed.RadioStick, ClaimWay.UsbPort, "3-2"), new DeviceClaim(DeviceNeed.VideoEncoder)],
                12 =>
                [
                    new DeviceClaim(DeviceNeed.VideoEncoder, ClaimWay.Node, "0000:01:00.0", true),
                    new DeviceClaim(DeviceNeed.SerialAdapter, ClaimWay.Node, "3-1"),
                ],
                2 => [new DeviceClaim(DeviceNeed.NetworkPort, ClaimWay.Slice, "0000:02:00.0")],
                _ => [],
            },
            GoesWithout: which is 1 or 12 ? [DeviceNeed.NetworkPort, DeviceNeed.RadioStick] : [],
            Networks: which == 12 ? ["front", "back"] : [],
            Variables: which == 12 ? ["TZ", "A_B"] : [],
            Nodes: which == 13 ? ["/dev/dri/renderD128"] : [],
            Restart: which == 13 ? "always" : null
        );

    /// <summary>A lab with up to four hosts and eight guests, some of them placed.</summary>
    public static readonly Gen<Lab> AnyLab =
        from hosts in AnyHost.Array[0, 4]
        from own in AnyProfile.Array[0, 2]
        from guests in AnyGuest([.. own.DistinctBy(p => p.Id)]).Array[0, 8]
        from places in Gen.Int[0, 6].Array[8]
        from seed in Gen.Int
        let lab = Build(hosts, [.. own.DistinctBy(p => p.Id)], guests, places)
        // One lab in three as it is, so that what is usual is common among them.
        let varied = seed % 3 == 0 ? lab : ShapeGen.Vary(lab, new Random(seed))
        let wired = seed % 2 == 0 ? varied : WireGens.Wired(varied, new Random(seed))
        select seed % 5 < 2 ? wired : CopyGens.Kept(wired, new Random(seed));

    /// <summary>A lab as what stands may be: guests on their way, ticks of work begun.</summary>
    public static readonly Gen<Lab> AnyBuilt =
        from lab in AnyLab
        from stages in Gen.Enum<LifeStage>().Array[8]
        from ticks in Pick.From("guest/a/start/0123456789abcdef", "pool/b c/#", "old:ü").Array[0, 3]
        select lab with
        {
            Guests = [.. lab.Guests.Select((g, n) => g with { Life = stages[n % 8] })],
            Ticks = [.. ticks.Distinct()],
        };

    private static Lab Build(Host[] hosts, Profile[] own, Guest[] guests, int[] places)
    {
        var lab = ProfileEdits.Keep(own)(Lab.Empty("any lab")).Lab;
        foreach (var host in hosts)
        {
            lab = Try(lab, HostEdits.Add(host));
        }

        for (var n = 0; n < guests.Length; n++)
        {
            var before = lab.Guests.Count;
            lab = Try(lab, GuestEdits.Add(guests[n]));
            if (lab.Guests.Count > before && places[n] < lab.Hosts.Count)
            {
                lab = Try(lab, GuestEdits.Place(lab.Guests[^1].Id, lab.Hosts[places[n]].Id));
            }
            else if (
                lab.Guests.Count > before
                && places[n] > 4
                && lab.Guests.FirstOrDefault(g => g.Kind != GuestKind.AppStack) is { } outer
            )
            {
                lab = Try(lab, NestingEdits.RunIn(lab.Guests[^1].Id, outer.Id));
            }
        }

        if (lab.Guests.Count > 1 && places[0] % 3 == 0)
        {
            var (first, last) = (lab.Guests[0], lab.Guests[^1]);
            lab = Try(
                lab,
                PlaceEdits.Say(
                    last.Id,
                    places[1] % 2 == 0,
                    places[2] % 2 == 0,
                    places[3] % 2 == 0 ? [first.Name] : [],
                    places[3] % 2 == 1 ? [first.Name] : [],
                    [GuestKind.SystemContainer]
                )
            );
        }

        return places[4] > 2
            ? Try(
                lab,
                PlaceEdits.Offer(
                    new HostOffer(
                        $"shelf {places[5]}",
                        places[5] * 100,
                        4,
                        ByteSize.FromGiB(16),
                        Flash: ByteSize.FromTB(1),
                        IdleWatts: places[5]
                    )
                )
            )
            : lab;
    }

    /// <summary>Two with the same name are refused; the lab is then simply one smaller.</summary>
    public static Lab Try(Lab lab, Edit edit)
    {
        try
        {
            return edit(lab).Lab;
        }
        catch (Refused)
        {
            return lab;
        }
    }
}
