using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Bench;

/// <summary>Labs far larger than a household's, to see what grows how.</summary>
internal static class LargeLabs
{
    /// <summary>A lab of so many hosts with a pool each, and so many guests spread over them.</summary>
    public static Lab Of(int hosts, int guests)
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
                        (Importance)(n % 3)
                    )),
            ]
        );
    }

    private static Host Host(int n) =>
        new(
            new HostId($"h{n}"),
            $"h{n}",
            "",
            new HostFacts(
                new Processor("x86_64", 1, 16, 32, true),
                ByteSize.FromGiB(96),
                [
                    new Disk($"b{n}", "sda", ByteSize.FromGB(240), DiskKind.SataFlash, ["/"]),
                    .. Enumerable.Range(0, 6).Select(d => new Disk($"d{n}-{d}", $"sd{d}", ByteSize.FromTB(12), DiskKind.Spinning)),
                ],
                2,
                false
            ),
            new HostPlan([
                new Pool("clay", PoolLayout.Parity2, PoolFamily.CopyOnWrite, [.. Enumerable.Range(0, 6).Select(d => $"d{n}-{d}")]),
            ])
        );
}
