using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Bench;

/// <summary>Labs far larger than a household's, to see what grows how.</summary>
internal static class LargeLabs
{
    /// <summary>A lab of so many hosts with a pool each, and so many guests spread over them.</summary>
    /// <param name="hosts">How many hosts.</param>
    /// <param name="guests">How many guests.</param>
    /// <param name="claims">How many of the guests claim a device.</param>
    public static Lab Of(int hosts, int guests, int claims = 200)
    {
        var profiles = ProfileBook.Standard.All.ToList();
        return new Lab(
            "large",
            LabSettings.Default,
            [.. Enumerable.Range(0, hosts).Select(Host)],
            [
                .. Enumerable
                    .Range(0, guests)
                    .Select(n => new Guest(
                        new GuestId($"g{n}"),
                        $"g{n}",
                        (GuestKind)(n % 3),
                        [new Want(profiles[n % profiles.Count].Id)],
                        SizeOverrides.None,
                        new Placement(new HostId($"h{n % hosts}"), "clay", "clay"),
                        (Importance)(n % 3),
                        Claims: n < claims ? [new DeviceClaim(Needs[n % Needs.Length])] : []
                    )),
            ]
        );
    }

    /// <summary>The same with stores in pools, one elsewhere, and so many jobs that copy all guests between them, each at its own time.</summary>
    /// <param name="lab">The lab.</param>
    /// <param name="jobs">How many jobs.</param>
    public static Lab WithCopies(this Lab lab, int jobs)
    {
        string[] days = ["", "", "sun ", "mon,thu "];
        return lab with
        {
            Stores =
            [
                .. lab
                    .Hosts.Take(Vaults)
                    .Select(
                        (h, n) => new Store($"vault{n}", Host: h.Id, Pool: "clay", Deduplicates: true, ChecksNew: true, ChecksDays: 30)
                    ),
                new Store("boathouse", Place: "boathouse", Room: ByteSize.FromTB(80), Line: 500, Unchangeable: true),
            ],
            Jobs =
            [
                .. Enumerable
                    .Range(0, jobs)
                    .Select(j => new CopyJob(
                        $"job{j}",
                        $"vault{j % Vaults}",
                        $"{days[j % days.Length]}{(21 + (j % 8)) % 24:00}:{j * 7 % 60:00}",
                        [.. lab.Guests.Where((_, n) => n % jobs == j).Select(g => new JobPart(g.Id))],
                        Keep: "daily 7, weekly 4, monthly 6"
                    )),
            ],
            Onward = [.. Enumerable.Range(0, Vaults).Select(n => new OnwardCopy($"vault{n}", "boathouse", $"0{n % 6}:30"))],
        };
    }

    private const int Vaults = 8;

    private static readonly DeviceNeed[] Needs =
    [
        DeviceNeed.RadioStick,
        DeviceNeed.VideoEncoder,
        DeviceNeed.NetworkPort,
        DeviceNeed.SerialAdapter,
        DeviceNeed.Sound,
    ];

    /// <summary>Cards, controllers and sticks as a tower has them.</summary>
    private static readonly Hardware Inside = new(
        Functions:
        [
            new PciFunction("0000:00:17.0", "0106", Group: 1, Driver: "ahci", Reset: "pm"),
            new PciFunction("0000:01:00.0", "0300", Group: 2, Driver: "gfx", Reset: "flr"),
            new PciFunction("0000:01:00.1", "0403", Group: 2, Driver: "snd", Reset: "flr"),
            new PciFunction("0000:02:00.0", "0c03", Group: 3, Driver: "xhci_hcd", Reset: "flr"),
            new PciFunction("0000:03:00.0", "0200", Group: 4, Driver: "net", Reset: "flr"),
            new PciFunction("0000:04:00.0", "0200", Group: 5, Driver: "net", Reset: "flr", Slices: 7),
        ],
        UsbBuses: [new UsbBus(1, "0000:02:00.0", 8)],
        UsbDevices:
        [
            new UsbDevice("1-1", "f0f0:0101", "Radio stick"),
            new UsbDevice("1-2", "f0f0:0102", "Serial adapter"),
            new UsbDevice("1-3", "f0f0:0103", "Radio stick"),
        ],
        Ports: [new NetworkPort("enp3s0", Function: "0000:03:00.0", Management: true)],
        Isolation: true
    );

    private static Host Host(int n) =>
        new(
            new HostId($"h{n}"),
            $"h{n}",
            "",
            new HostFacts(
                new Processor("x86_64", 1, 16, 32, true),
                ByteSize.FromGiB(96),
                [
                    new Disk($"b{n}", "sda", ByteSize.FromGB(240), DiskKind.SataFlash, ["/"], Controller: "0000:00:17.0"),
                    .. Enumerable
                        .Range(0, 6)
                        .Select(d => new Disk($"d{n}-{d}", $"sd{d}", ByteSize.FromTB(12), DiskKind.Spinning, Controller: "0000:00:17.0")),
                ],
                2,
                false,
                Inside: Inside
            ),
            new HostPlan([
                new Pool("clay", PoolLayout.Parity2, PoolFamily.CopyOnWrite, [.. Enumerable.Range(0, 6).Select(d => $"d{n}-{d}")]),
            ])
        );
}
