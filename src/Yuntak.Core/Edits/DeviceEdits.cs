using Yuntak.Core.Base;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Edits;

/// <summary>Changes to who has which device. A claim is known by its number among those of its guest, and by its need, so that a list that changed meanwhile is noticed.</summary>
public static class DeviceEdits
{
    private const int MostTries = 200;

    /// <summary>Meets a claim with a device and a way. What cannot be is refused with its reasons; a container that a stack runs in maps a node too.</summary>
    public static Edit Take(GuestId id, int number, DeviceNeed need, ClaimWay way, string device) =>
        lab =>
        {
            var asked = Existing(lab, id, number, need);
            var host = lab.HostOf(asked.Guest) ?? throw new Refused($"Put {asked.Guest.Name} on a host first; devices belong to hosts.");
            var tried = asked with { Claim = new DeviceClaim(need, way, device, asked.Claim.Mapped) };
            var verdict = ClaimCheck.On(lab, DeviceMap.Of(host)).Best(tried);
            if (!verdict.CanBe)
            {
                throw new Refused($"{asked.Guest.Name} cannot have {device} {way.Words()}: {string.Join("; ", verdict.Reasons)}.");
            }

            var taken = lab.WithGuest(id, g => ClaimTaking.Taken(g, asked, way, device));
            var both =
                way == ClaimWay.Node && lab.Outer(asked.Guest) is { Kind: GuestKind.SystemContainer } outer
                    ? InOuter(taken, outer, tried.Claim)
                    : taken;
            return new Changed(
                both,
                $"{asked.Guest.Name}: {need.Words()} {device}, {way.Words()}{(both == taken ? "" : $", and into {lab.Outer(asked.Guest)!.Name} too")}"
            );
        };

    /// <summary>Asks for a device more; it is open until device and way are chosen.</summary>
    public static Edit Ask(GuestId id, DeviceNeed need, string? device) =>
        lab =>
        {
            var guest = GuestEdits.Existing(lab, id);
            var named = string.IsNullOrWhiteSpace(device) ? null : Names.Clean(device);
            if (need == DeviceNeed.Other && named is null)
            {
                throw new Refused("Say which device it is: an address such as 0000:03:00.0, or a USB port such as 3-2.");
            }

            // The words of the change are about the claim; what its profiles brought along is met by it.
            var changed = GuestEdits.Change(
                id,
                g =>
                    g with
                    {
                        Claims = g.Claims.With(new DeviceClaim(need, Device: named)),
                        GoesWithout = g.GoesWithout.Without(n => n == need),
                    }
            )(lab);
            return new Changed(changed.Lab, $"{guest.Name} asks for {Names.A(need.Words())}{(named is null ? "" : $" ({named})")}");
        };

    /// <summary>Hands a device over, starting from the device: it meets the guest's open claim of that sort, or becomes a claim of its own.</summary>
    public static Edit Give(GuestId id, ClaimWay way, string device) =>
        lab =>
        {
            var guest = GuestEdits.Existing(lab, id);
            var host = lab.HostOf(guest) ?? throw new Refused($"Put {guest.Name} on a host first; devices belong to hosts.");
            var need = DeviceMap.Of(host).NeedOf(device);
            var open = GuestClaims
                .Of(lab, guest)
                .FirstOrDefault(a => !a.Claim.Chosen && a.Claim.Need == need && (a.Claim.Device is null || a.Claim.Device == device));
            var asked = open is null ? Ask(id, need, device)(lab).Lab : lab;
            return Take(id, open?.Number ?? guest.Claims.Count, need, way, device)(asked);
        };

    /// <summary>Drops a claim. A listed device stays with its host; what a profile brings along is done without.</summary>
    public static Edit GiveUp(GuestId id, int number, DeviceNeed need) =>
        lab =>
        {
            var asked = Existing(lab, id, number, need);
            return asked.By == AskedBy.Profile
                ? new Changed(
                    lab.WithGuest(id, g => g with { GoesWithout = g.GoesWithout.With(need) }),
                    $"{asked.Guest.Name} goes without {Names.A(need.Words())}"
                )
                : new Changed(lab.WithGuest(id, g => ClaimTaking.Without(g, asked)), $"{asked.Guest.Name} gives up {Said(asked)}");
        };

    /// <summary>Opens a claim again: device and way are to be chosen anew.</summary>
    public static Edit Open(GuestId id, int number, DeviceNeed need) =>
        lab =>
        {
            var asked = Existing(lab, id, number, need);
            return new Changed(lab.WithGuest(id, g => ClaimTaking.Opened(g, asked)), $"{asked.Guest.Name}: {Said(asked)} is open again");
        };

    /// <summary>Asks again for what a guest went without.</summary>
    public static Edit WantAgain(GuestId id, DeviceNeed need) =>
        lab =>
        {
            var guest = GuestEdits.Existing(lab, id);
            return new Changed(
                lab.WithGuest(id, g => g with { GoesWithout = g.GoesWithout.Without(n => n == need) }),
                $"{guest.Name} asks for {Names.A(need.Words())} again"
            );
        };

    /// <summary>Says whether the group that may use a node on the host is mapped inside an unprivileged container.</summary>
    public static Edit Mapped(GuestId id, int number, DeviceNeed need, bool mapped) =>
        lab =>
        {
            var asked = Existing(lab, id, number, need);
            if (asked.By != AskedBy.Claim)
            {
                throw new Refused("Only a node that is handed in has a group to map.");
            }

            return new Changed(
                lab.WithGuest(id, g => g with { Claims = g.Claims.Change(c => c == asked.Claim, c => c with { Mapped = mapped }) }),
                $"{asked.Guest.Name}: the group of {Said(asked)} is {(mapped ? "mapped" : "not mapped")}"
            );
        };

    /// <summary>Meets all claims that can be met, with the least collateral.</summary>
    public static Edit Assign() =>
        lab =>
        {
            var met = DeviceAssignment.Of(lab).ToTake;
            return met.Count == 0
                ? throw new Refused("No open claim can be met. Each says why, and what would let it.")
                : new Changed(
                    DeviceAssignment.With(lab, met),
                    $"{Numbers.Count(met.Count, "claim")} met: {string.Join(", ", met.Take(4).Select(v => $"{v.Guest.Name} {v.Need.Words()} {v.Device}"))}{(met.Count > 4 ? " and more" : "")}"
                );
        };

    /// <summary>Writes down that a controller was tried while looking for a stick.</summary>
    public static Edit Tried(HostId id, string looked, string controller, bool seen, DateOnly on) =>
        lab =>
        {
            var host = HostEdits.Existing(lab, id);
            var what = Names.Clean(looked);
            if (what.Length == 0)
            {
                throw new Refused("Say what you are looking for, such as radio stick.");
            }

            if (host.Hardware.Function(controller) is null)
            {
                throw new Refused($"{host.Name} has no controller at {Names.Short(controller)}.");
            }

            if (host.Tries.Count >= MostTries)
            {
                throw new Refused($"{MostTries} tries of {host.Name} are kept. Forget some first.");
            }

            var tried = new DeviceTry(what, controller, seen, on);
            return new Changed(
                HostEdits
                    .Change(id, h => h with { Tries = h.Tries.Without(t => t.Looked == what && t.Controller == controller).With(tried) })(
                        lab
                    )
                    .Lab,
                $"{host.Name}: {what} {(seen ? "seen" : "not seen")} on {controller}"
            );
        };

    /// <summary>Forgets what was tried for a stick.</summary>
    public static Edit ForgetTries(HostId id, string looked) =>
        lab => new Changed(
            lab.WithHost(id, h => h with { Tries = h.Tries.Without(t => t.Looked == looked) }),
            $"{HostEdits.Existing(lab, id).Name}: tries for {Names.Short(looked)} forgotten"
        );

    private static string Said(AskedClaim asked) => $"{asked.Claim.Need.Words()}{(asked.Claim.Device is { } device ? $" {device}" : "")}";

    private static Lab InOuter(Lab lab, Guest outer, DeviceClaim claim) =>
        outer.Claims.Any(c => c.Way == ClaimWay.Node && c.Device == claim.Device)
            ? lab
            : lab.WithGuest(outer.Id, g => g with { Claims = g.Claims.With(claim with { Mapped = null }) });

    private static AskedClaim Existing(Lab lab, GuestId id, int number, DeviceNeed need) =>
        GuestClaims.Of(lab, GuestEdits.Existing(lab, id)).FirstOrDefault(a => a.Number == number && a.Claim.Need == need)
        ?? throw new Refused("That claim is no longer there; it was changed meanwhile.");
}
