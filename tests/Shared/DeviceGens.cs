using CsCheck;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Tests;

/// <summary>Random hosts as trees of bridges, groups, controllers and hubs, with guests that claim what is in them.</summary>
internal static class DeviceGens
{
    private static readonly string[] Classes = ["0604", "0300", "0403", "0c03", "0c03", "0106", "0200", "1200"];

    private static readonly string?[] Names = ["Radio stick", "AI stick", "Serial adapter", "Keyboard", null];

    /// <summary>A host with up to seven functions in a few groups, some of them USB controllers with sticks on ports and hubs.</summary>
    public static Gen<Host> AnyHost(string name) =>
        from count in Gen.Int[1, 7]
        from kinds in Gen.Int[0, 7].Array[count]
        from groups in Gen.Int[0, 4].Array[count]
        from sticks in Gen.Int[0, 4].Array[0, 5]
        from ids in Gen.Int[1, 3].Array[5]
        from hubs in Gen.Bool.Array[5]
        from isolation in Gen.Int[0, 9]
        from boot in Gen.Int[0, 6]
        from link in Gen.Int[0, 12]
        from slices in Gen.Int[0, 3]
        select Build(name, kinds, groups, sticks, ids, hubs, isolation, boot, link, slices);

    /// <summary>A lab of hosts with up to eight claims on each, half of them open.</summary>
    public static Gen<Lab> AnyLab(int hosts, int claims) =>
        from built in Hosts(hosts)
        from asked in Gen.Int[0, 1_000_000].Array[claims]
        select Claiming(built, asked);

    private static Gen<Host[]> Hosts(int count)
    {
        var all = Gen.Const(Array.Empty<Host>());
        for (var n = 0; n < count; n++)
        {
            var (before, name) = (all, $"host{n}");
            all = from hosts in before from host in AnyHost(name) select hosts.Append(host).ToArray();
        }

        return all;
    }

    private static Host Build(
        string name,
        int[] kinds,
        int[] groups,
        int[] sticks,
        int[] ids,
        bool[] hubs,
        int isolation,
        int boot,
        int link,
        int slices
    )
    {
        var functions = kinds
            .Select(
                (k, n) =>
                    new PciFunction(
                        $"0000:0{n}:00.0",
                        Classes[k],
                        Group: groups[n] == 4 ? null : groups[n],
                        Driver: n % 3 == 2 ? null : "drv",
                        Reset: n % 4 == 3 ? "" : "flr",
                        ConsoleGraphics: Classes[k] == "0300" && n % 2 == 0,
                        Slices: Classes[k] == "0200" ? slices : null
                    )
            )
            .ToList();
        var controllers = functions.Where(f => f.ClassCode == "0c03").ToList();
        List<UsbBus> buses = [.. controllers.Select((c, n) => new UsbBus(n + 1, c.Address, 4))];
        List<UsbDevice> devices = [];
        for (var n = 0; n < sticks.Length && buses.Count > 0; n++)
        {
            var bus = buses[sticks[n] % buses.Count].Number;
            if (hubs[n])
            {
                devices.Add(new UsbDevice($"{bus}-{n + 1}", "f0f0:0009", "Hub", Hub: true));
            }

            devices.Add(
                new UsbDevice(
                    hubs[n] ? $"{bus}-{n + 1}.1" : $"{bus}-{n + 1}",
                    $"f0f0:010{ids[n]}",
                    Names[(ids[n] + n) % Names.Length],
                    BatteryLink: link == n
                )
            );
        }

        var basis = Small.Host(name, 64, 8, 16);
        return (
            basis with
            {
                Disks = basis
                    .Disks.Change(
                        d => d.IsBoot,
                        d => d with { Controller = boot < functions.Count ? functions[boot].Address : "0000:ff:00.0" }
                    )
                    .Change(d => !d.IsBoot, d => d with { Controller = "0000:fe:00.0" }),
            }
        ).With(
            new Hardware(
                Functions: [.. functions],
                UsbBuses: [.. buses],
                UsbDevices: [.. devices],
                Ports:
                [
                    .. functions
                        .Where(f => f.ClassCode == "0200")
                        .Take(1)
                        .Select(f => new NetworkPort("enp1s0", Function: f.Address, Management: true)),
                ],
                Isolation: isolation > 0
            )
        );
    }

    private static Lab Claiming(Host[] hosts, int[] asked)
    {
        var lab = Small.Lab(hosts);
        for (var n = 0; n < asked.Length; n++)
        {
            var (pick, host) = (asked[n], lab.Hosts[n % hosts.Length]);
            var kind = (GuestKind)(pick % 3);
            // Two claims in three belong to a guest of their own; the others to the one before.
            var need = Enum.GetValues<DeviceNeed>()[pick / 3 % 7];
            var devices = host.Hardware.Functions.Select(f => f.Address).Concat(host.Hardware.UsbDevices.Select(d => d.Port)).ToList();
            var device = pick / 21 % 3 == 0 ? devices[pick / 63 % devices.Count] : null;
            ClaimWay? way = pick / 441 % 3 == 0 ? (ClaimWay)(pick / 1323 % 5) : null;
            var claim = new DeviceClaim(need, way, device);
            if (n >= hosts.Length && pick % 7 < 2)
            {
                var before = lab.Guests[n - hosts.Length < lab.Guests.Count ? n - hosts.Length : 0];
                lab = lab.WithGuest(before.Id, g => g with { Claims = g.Claims.With(claim) });
                continue;
            }

            var guest = Small.Guest($"guest{n}", "wiki", kind) with { Overrides = new SizeOverrides(1, ByteSize.FromGiB(1)) };
            lab = lab.WithGuestOn(guest, host.Id.Value).WithGuest(guest.Id, g => g with { Claims = [claim] });
        }

        return lab;
    }
}
