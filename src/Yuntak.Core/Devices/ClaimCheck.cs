using System.Collections.Concurrent;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using static Yuntak.Core.Devices.ClaimClash;

namespace Yuntak.Core.Devices;

/// <summary>Says what becomes of claims, before they are made: possible, with collateral, or impossible, and why.</summary>
public sealed class ClaimCheck
{
    /// <summary>The number of a claim that is only tried, in the place of the guest's own on the same device.</summary>
    internal const int Tried = -1;

    /// <summary>The number of a claim that is only tried, beside all that the guest has.</summary>
    internal const int Added = -2;

    private readonly Lab lab;

    /// <summary>What is chosen already, by the claim that says so.</summary>
    private readonly List<(AskedClaim Asked, Hold Hold)> held;

    // A check is kept with its lab and asked by many at once.
    private readonly ConcurrentDictionary<Guest, ByteSize> memory = new(ReferenceEqualityComparer.Instance);

    private ClaimCheck(Lab lab, DeviceMap map)
    {
        (this.lab, Map) = (lab, map);
        var book = lab.Book;
        Asked =
        [
            .. lab.GuestsOn(map.Host.Id)
                .SelectMany(g => lab.GuestsIn(g.Id).Prepend(g))
                .SelectMany(g => GuestClaims.Of(map.Host.Hardware, book, g)),
        ];
        held = [.. Asked.Where(a => a.Claim.Chosen).Select(a => (a, new Hold(a.Guest, a.Claim.Way!.Value, a.Claim.Device!)))];
    }

    /// <summary>The map of the host.</summary>
    public DeviceMap Map { get; }

    /// <summary>All that is claimed by the guests of the host, guest by guest.</summary>
    public IReadOnlyList<AskedClaim> Asked { get; }

    /// <summary>The check for one host of a lab.</summary>
    public static ClaimCheck On(Lab lab, DeviceMap map) => new(lab, map);

    /// <summary>All claims of the guests on the host, each with the best way there is where way or device are open. Devices listed on guests are whole claims.</summary>
    public IEnumerable<ClaimVerdict> Claims() => Asked.Select(Best);

    /// <summary>The ways a claim could be met beside what others have, side by side: the best first.</summary>
    /// <param name="asked">The claim.</param>
    /// <param name="every">Whether to look past the way and device that are chosen.</param>
    public IReadOnlyList<ClaimVerdict> Ways(AskedClaim asked, bool every = false) =>
        Ordered(Candidates(asked, every).Select(c => Of(asked, c.Device, c.Way)));

    /// <summary>Whether a way of meeting one claim and a chosen claim cannot both be.</summary>
    internal bool Clash(ClaimVerdict mine, AskedClaim chosen) =>
        IsThere(
            Map,
            new Hold(mine.Guest, mine.Way!.Value, mine.Device!),
            new Hold(chosen.Guest, chosen.Claim.Way!.Value, chosen.Claim.Device!)
        );

    /// <summary>Those of some ways of meeting open claims that can be had beside all chosen claims, also those that cannot be met, and beside each other.</summary>
    internal IEnumerable<ClaimVerdict> FitBeside(IEnumerable<ClaimVerdict> ways)
    {
        List<Hold> taken = [.. held.Select(h => h.Hold)];
        foreach (var way in ways)
        {
            ClaimCase found = new();
            Beside(Hold.Of(way), Map.Host.Hardware.Function(way.Device!), taken, found);
            if (found.Answer != ClaimAnswer.Impossible)
            {
                taken.Add(Hold.Of(way));
                yield return way;
            }
        }
    }

    /// <summary>The chosen claims that cannot both be met, each pair once, with what speaks against the first.</summary>
    internal IEnumerable<(AskedClaim Mine, AskedClaim Other, string Reason, ClaimTrouble Trouble)> Clashes()
    {
        for (var n = 0; n < held.Count; n++)
        {
            foreach (var (asked, hold) in held.Take(n))
            {
                if (Between(Map, held[n].Hold, hold) is var (reason, trouble))
                {
                    yield return (held[n].Asked, asked, reason, trouble);
                }
            }
        }
    }

    /// <summary>Every way a guest could have a device beside what others have, whatever it needs it for.</summary>
    public IReadOnlyList<ClaimVerdict> WaysOf(Guest guest, string device) =>
        Ordered(Enum.GetValues<ClaimWay>().Where(w => Suits(guest, w, device)).Select(w => Of(guest, Map.NeedOf(device), device, w)));

    /// <summary>The best way to meet a claim; where there is none, why.</summary>
    public ClaimVerdict Best(AskedClaim asked)
    {
        var ways = Ways(asked);
        return ways.Count > 0
            ? ways[0]
            : new ClaimVerdict(
                asked.Guest,
                asked.Claim.Need,
                asked.Claim.Device,
                asked.Claim.Way,
                ClaimAnswer.Impossible,
                [],
                default,
                [
                    asked.Claim is { Need: DeviceNeed.Other, Device: null }
                        ? "which device it is has not been said"
                        : $"{Map.Host.Name} has no {asked.Claim.Need.Words()} that was read",
                    .. Map.Gaps,
                ],
                []
            )
            {
                Asked = asked,
                Host = Map.Host.Id,
            };
    }

    /// <summary>What becomes of one way on one device, beside what is chosen already.</summary>
    public ClaimVerdict Of(Guest guest, DeviceNeed need, string device, ClaimWay way) =>
        Of(new AskedClaim(guest, new DeviceClaim(need, way, device), AskedBy.Claim) { Number = Tried }, device, way);

    /// <summary>The ways a claim could be met if nobody else claimed anything.</summary>
    internal IReadOnlyList<ClaimVerdict> Alone(AskedClaim asked) =>
        Ordered(Candidates(asked, every: false).Select(c => Judge(asked, c.Device, c.Way, [])));

    /// <summary>The devices and ways that may be meant: those chosen, else all that suit.</summary>
    private IEnumerable<(string Device, ClaimWay Way)> Candidates(AskedClaim asked, bool every)
    {
        var claim = asked.Claim;
        return from device in claim.Device is { } named && !(every && claim.Need != DeviceNeed.Other) ? [named] : Devices(claim)
            from way in claim.Way is { } chosen && !every ? [chosen] : Enum.GetValues<ClaimWay>().Where(w => Suits(asked.Guest, w, device))
            select (device, way);
    }

    /// <summary>The devices of the sort that is needed, and the one that is named, if it is of another.</summary>
    private IEnumerable<string> Devices(DeviceClaim claim)
    {
        var devices = DeviceSorts.Of(Map.Host, claim.Need);
        return claim.Device is { } named ? devices.Append(named).Distinct(StringComparer.Ordinal) : devices;
    }

    private static List<ClaimVerdict> Ordered(IEnumerable<ClaimVerdict> verdicts) =>
        [
            .. verdicts
                .OrderBy(v => v.Answer)
                .ThenBy(v => v.AlsoMoves.Count)
                .ThenBy(v => v.Pins > ByteSize.Zero)
                .ThenBy(v => v.Reasons.Count),
        ];

    private ClaimVerdict Of(AskedClaim asked, string device, ClaimWay way) =>
        // A claim is not held against itself; one that is only tried takes the place of the guest's own claim on that device.
        Judge(
            asked,
            device,
            way,
            held.Where(h =>
                    h.Asked.Guest.Id != asked.Guest.Id || (asked.Number == Tried ? h.Hold.Device != device : h.Asked.Number != asked.Number)
                )
                .Select(h => h.Hold)
        );

    private ClaimVerdict Judge(AskedClaim asked, string device, ClaimWay way, IEnumerable<Hold> others)
    {
        var guest = asked.Guest;
        ClaimCase found = new();
        var usb = Map.At(device);
        var function = Map.Host.Hardware.Function(device);
        if (usb is null && function is null)
        {
            found.No($"{Map.Host.Name} has nothing at {device} that was read");
        }
        else if (way == ClaimWay.Node ? guest.Kind == GuestKind.Machine : guest.Kind != GuestKind.Machine)
        {
            found.No(
                way == ClaimWay.Node
                    ? "a machine has a kernel of its own and sees no node of the host's"
                    : $"only a machine takes a device {way.Words()}"
            );
        }
        else if (way is ClaimWay.UsbId or ClaimWay.UsbPort && usb is null)
        {
            found.No($"{device} is no USB port");
        }
        else
        {
            new ClaimWays(lab, Map, guest, MemoryOf, found).Look(way, device, usb, function);
            Beside(new Hold(guest, way, device), function, others, found);
        }

        var pins = way is ClaimWay.Whole or ClaimWay.Slice && found.Answer != ClaimAnswer.Impossible ? MemoryOf(guest) : ByteSize.Zero;
        return new ClaimVerdict(guest, asked.Claim.Need, device, way, found.Answer, found.AlsoMoves, pins, found.Reasons, found.Costs)
        {
            Asked = asked,
            Host = Map.Host.Id,
            Troubles = found.Troubles,
        };
    }

    /// <summary>The memory a guest is given; worked out once, and only where it follows the advice.</summary>
    private ByteSize MemoryOf(Guest guest) => guest.Overrides.Memory ?? memory.GetOrAdd(guest, g => Sizing.Of(lab, g).Memory);

    /// <summary>What others have that this would take, and how many slices of a card are gone.</summary>
    private void Beside(Hold mine, PciFunction? function, IEnumerable<Hold> others, ClaimCase found)
    {
        var slices = 0;
        foreach (var other in others)
        {
            if (Between(Map, mine, other) is var (reason, trouble))
            {
                found.No(reason, trouble);
            }

            slices += mine.Way == ClaimWay.Slice && other.Way == ClaimWay.Slice && other.Device == mine.Device ? 1 : 0;
        }

        if (slices > 0 && function?.Slices is { } most && slices >= most)
        {
            found.No($"all {most} slices of {Map.NameOf(mine.Device)} are taken");
        }
    }

    /// <summary>The ways that are tried where none is chosen.</summary>
    private bool Suits(Guest guest, ClaimWay way, string device) =>
        way switch
        {
            ClaimWay.Whole => guest.Kind == GuestKind.Machine,
            ClaimWay.UsbId or ClaimWay.UsbPort => guest.Kind == GuestKind.Machine && Map.At(device) is not null,
            ClaimWay.Node => guest.Kind != GuestKind.Machine,
            ClaimWay.Slice => guest.Kind == GuestKind.Machine && Map.Host.Hardware.Function(device)?.Slices > 0,
        };
}
