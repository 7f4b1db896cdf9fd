using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Tests.Devices;

/// <summary>
/// The chapter's rules done a second time, without the code they check: what each way takes from the host, whether it may, and which set of ways is the best when all
/// are tried. It knows nothing of trays, clashes or verdicts.
/// </summary>
internal sealed class BruteForce(Host host)
{
    private readonly Hardware inside = host.Hardware;

    /// <summary>One claim met one way: who, what is taken away from the host, what is shared.</summary>
    public sealed record Pick(int Claim, Guest Guest, ClaimWay Way, string Device, HashSet<string> Takes, int Along, bool Worse);

    /// <summary>Every way a claim could be met if nobody else claimed anything.</summary>
    public IEnumerable<Pick> Ways(int n, Guest guest, DeviceClaim claim)
    {
        foreach (var device in claim.Device is { } named ? [named] : Sort(claim.Need))
        {
            foreach (var way in claim.Way is { } chosen ? [chosen] : Enum.GetValues<ClaimWay>())
            {
                if (Try(n, guest, device, way) is { } pick)
                {
                    yield return pick;
                }
            }
        }
    }

    /// <summary>Whether two claims can both be met.</summary>
    public static bool Together(Pick a, Pick b)
    {
        if (a.Guest.Id == b.Guest.Id && (a.Way, b.Way) == (ClaimWay.Whole, ClaimWay.Whole))
        {
            return a.Device != b.Device;
        }

        // What one takes from the host the other can neither take nor share.
        return !a.Takes.Overlaps(b.Takes.Append(b.Device))
            && !b.Takes.Contains(a.Device)
            && !(a.Guest.Id == b.Guest.Id && a.Device == b.Device && a.Way != ClaimWay.Slice);
    }

    private IEnumerable<string> Sort(DeviceNeed need)
    {
        var byClass = inside.Functions.Where(f =>
            need switch
            {
                DeviceNeed.VideoEncoder => f.ClassCode[..2] == "03",
                DeviceNeed.AiAccelerator => f.ClassCode[..2] == "12",
                DeviceNeed.DiskController => f.ClassCode[..2] == "01",
                DeviceNeed.NetworkPort => f.ClassCode[..2] == "02",
                DeviceNeed.Sound => f.ClassCode == "0403",
                _ => false,
            }
        );
        // A stick that says what it is goes before one that says nothing.
        var called = need switch
        {
            DeviceNeed.RadioStick => "Radio stick",
            DeviceNeed.SerialAdapter => "Serial adapter",
            DeviceNeed.AiAccelerator => "AI stick",
            _ => null,
        };
        var plugged = inside.UsbDevices.Where(d => !d.Hub && !d.BatteryLink).ToList();
        var sticks = plugged.Where(d => called is not null && d.Name == called).ToList();
        if (sticks.Count == 0 && need is DeviceNeed.RadioStick or DeviceNeed.SerialAdapter)
        {
            sticks = [.. plugged.Where(d => d.Name is null)];
        }

        return byClass.Select(f => f.Address).Concat(sticks.Select(s => s.Port));
    }

    private Pick? Try(int n, Guest guest, string device, ClaimWay way)
    {
        var stick = inside.UsbDevices.FirstOrDefault(d => d.Port == device);
        var function = inside.Functions.FirstOrDefault(f => f.Address == device);
        if ((stick, function) == (null, null) || guest.Kind == GuestKind.Machine == (way == ClaimWay.Node))
        {
            return null;
        }

        switch (way)
        {
            case ClaimWay.UsbId or ClaimWay.UsbPort:
                return
                    stick is null or { Hub: true } or { BatteryLink: true }
                    || (way == ClaimWay.UsbId && inside.UsbDevices.Count(d => d.Id == stick.Id) > 1)
                    ? null
                    : new Pick(n, guest, way, device, [device], 0, false);
            case ClaimWay.Node:
                return stick is { BatteryLink: true } || function is { ClassCode: "0c03" or "0604" or "0106" or "0200" }
                    ? null
                    : new Pick(n, guest, way, device, [], 0, function is { Driver: null });
            case ClaimWay.Slice:
                return inside.Isolation == false || function is not { Slices: > 0 } ? null : new Pick(n, guest, way, device, [], 0, false);
        }

        var card = stick is null
            ? function!
            : inside.Functions.First(f => f.Address == inside.UsbBuses.First(b => stick.Port.StartsWith($"{b.Number}-")).Controller);
        var moves = inside
            .Functions.Where(f => (f == card || (card.Group is not null && f.Group == card.Group)) && f.ClassCode != "0604")
            .ToList();
        var hanging = moves
            .SelectMany(m =>
                inside.UsbDevices.Where(d => inside.UsbBuses.Any(b => b.Controller == m.Address && d.Port.StartsWith($"{b.Number}-")))
            )
            .ToList();
        var group = inside.Functions.Where(f => f == card || (card.Group is not null && f.Group == card.Group));
        var needed =
            group.Any(f => host.Disks.Any(d => d.Controller == f.Address) || inside.Ports.Any(p => p.Management && p.Function == f.Address))
            || hanging.Exists(d => d.BatteryLink);
        if (inside.Isolation == false || needed || card.ClassCode == "0604")
        {
            return null;
        }

        var along = moves.Count - 1 + hanging.Count(d => !d.Hub && d != stick);
        var worse = card.Group is null || moves.Exists(m => m.ConsoleGraphics || m.Reset is "") || along > 0;
        return new Pick(n, guest, way, device, [.. moves.Select(m => m.Address), .. hanging.Select(d => d.Port), device], along, worse);
    }

    /// <summary>The best set of ways, all tried: most chosen claims, most open ones, least that goes along, fewest with something lost.</summary>
    public (int Chosen, int Open, int Along, int Worse) Best(IReadOnlyList<(Guest Guest, DeviceClaim Claim)> claims)
    {
        var ways = claims.Select((c, n) => Ways(n, c.Guest, c.Claim).ToList()).ToList();
        var best = (Chosen: -1, Open: 0, Along: 0, Worse: 0);
        List<Pick> taken = [];
        void Go(int n)
        {
            if (n == claims.Count)
            {
                var found = (
                    taken.Count(t => claims[t.Claim].Claim.Chosen),
                    taken.Count(t => !claims[t.Claim].Claim.Chosen),
                    -taken.Sum(t => t.Along),
                    -taken.Count(t => t.Worse)
                );
                best = found.CompareTo((best.Chosen, best.Open, best.Along, best.Worse)) > 0 ? found : best;
                return;
            }

            foreach (var way in ways[n].Where(w => taken.TrueForAll(t => Together(t, w)) && SlicesLeft(w)))
            {
                taken.Add(way);
                Go(n + 1);
                taken.RemoveAt(taken.Count - 1);
            }

            Go(n + 1);
        }

        bool SlicesLeft(Pick w) =>
            w.Way != ClaimWay.Slice
            || taken.Count(t => t.Way == ClaimWay.Slice && t.Device == w.Device)
                < inside.Functions.First(f => f.Address == w.Device).Slices;

        Go(0);
        return best;
    }
}
