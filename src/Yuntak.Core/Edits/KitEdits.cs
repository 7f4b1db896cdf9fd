using Yuntak.Core.Base;
using Yuntak.Core.Devices;
using Yuntak.Core.Figures;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Edits;

/// <summary>Changes to what is known of a host: readings accepted, facts corrected, the readiness list gone through.</summary>
public static class KitEdits
{
    /// <summary>Accepts what was read again of a host that is there.</summary>
    public static Edit Accept(HostId id, HostReading reading) =>
        lab =>
        {
            var before = HostEdits.Existing(lab, id);
            var after = HostMerge.Applied(before, reading);
            var changes = HostDifference.Between(before, after, reading: true);
            var sound = HostEdits.Change(id, _ => after)(lab);
            var words = changes.Count == 0 ? "nothing changed" : string.Join(", ", changes.Take(4).Select(c => c.Text));
            return new Changed(
                sound.Lab,
                $"{before.Name} read again: {words}{(changes.Count > 4 ? $" and {changes.Count - 4} more" : "")}"
            );
        };

    /// <summary>Corrects one fact of a host; what the tools had said is remembered.</summary>
    public static Edit Correct(HostId id, string fact, string text, DateOnly on) =>
        lab =>
        {
            var before = HostEdits.Existing(lab, id);
            var changed = HostEdits.Change(id, h => KitCorrections.Correct(h, fact, text, on))(lab).Lab;
            var (was, now) = (KitFacts.Find(before, fact)!, KitFacts.Find(changed.Host(id)!, fact));
            return new Changed(changed, $"{before.Name}: {was.Label} {Arrow.Between(was.Value ?? "unknown", now?.Value ?? "unknown")}");
        };

    /// <summary>Drops a correction.</summary>
    public static Edit DropCorrection(HostId id, string fact) => lab => HostEdits.Change(id, h => KitCorrections.Drop(h, fact))(lab);

    /// <summary>Answers a line of the readiness list: yes is ticked with its day, no is noted.</summary>
    public static Edit Answer(HostId id, string item, bool yes, DateOnly on) =>
        lab =>
        {
            var line = Line(item);
            var answer = line.Answer ?? throw new Refused("That line is read from the host, not answered.");
            var host = HostEdits.Existing(lab, id);
            var after = Ticked(answer(host, yes), item, yes ? on : null);
            return new Changed(lab.WithHost(id, _ => after), $"{host.Name}: {line.Question.TrimEnd('?')}? {(yes ? "yes" : "no")}");
        };

    /// <summary>Says that what is on a disk may go, or takes that back when no day is given. A disk of a pool is that pool's matter.</summary>
    public static Edit MayBeWiped(HostId id, string disk, DateOnly? on) =>
        lab =>
        {
            var host = HostEdits.Existing(lab, id);
            var known = host.Disks.FirstOrDefault(d => d.Id == disk) ?? throw new Refused($"{host.Name} has no such disk any more.");
            return new Changed(
                lab.WithHost(id, h => h with { Disks = h.Disks.Change(d => d.Id == disk, d => d with { MayBeWiped = on }) }),
                on is null ? $"{host.Name}: {known.Name} may not be wiped" : $"{host.Name}: {known.Name} may be wiped, with what is on it"
            );
        };

    /// <summary>Ticks a line of the readiness list, or takes the tick away when no day is given.</summary>
    public static Edit Tick(HostId id, string item, DateOnly? on) =>
        lab =>
        {
            var line = Line(item);
            var host = HostEdits.Existing(lab, id);
            var words = on is null ? "no longer ticked" : "ticked";
            return new Changed(lab.WithHost(id, h => Ticked(h, item, on)), $"{host.Name}: {words}: {line.Question}");
        };

    /// <summary>Adds a host like another: the same parts, with ids of their own until it is read. Its pools come along, its guests do not.</summary>
    public static Edit Copy(HostId id, string name) =>
        lab =>
        {
            var host = HostEdits.Existing(lab, id);
            var slug = Names.Slug(name);
            var ids = host
                .Disks.Select((d, n) => (d.Id, New: $"{slug}-disk-{n + 1}"))
                .ToDictionary(d => d.Id, d => d.New, StringComparer.Ordinal);
            var hardware = host.Hardware with
            {
                Ports = host.Hardware.Ports.Change(_ => true, p => p with { Mac = null, Addresses = [] }),
                UsbDevices = [],
                Bridges = [],
                Temperatures = [],
                DiskSpeeds = [],
                LinkSpeeds = [],
                Battery = null,
            };
            var copy = host.With(hardware) with
            {
                Name = name,
                Disks = [.. host.Disks.Select((d, n) => d with { Id = ids[d.Id], Name = $"disk {n + 1}", HoursRun = null, Health = null })],
                Pools = host.Pools.Change(
                    _ => true,
                    p => p with { DiskIds = [.. p.DiskIds.Where(ids.ContainsKey).Select(d => ids[d])], AlreadyUsed = default }
                ),
                WasRead = false,
                ReadOn = null,
                Checks = [],
                Notes = [.. KitParts.All.Select(p => new FactNote(p, Origin.Assumed, $"copied from {host.Name}"))],
            };
            return new Changed(HostEdits.Add(copy)(lab).Lab, $"host {Names.Clean(name)} added, like {host.Name}");
        };

    /// <summary>Hands a PCI function of a host to one of its machines whole, or takes it back when no guest is named.</summary>
    public static Edit HandOver(HostId id, string address, GuestId? to) =>
        lab =>
        {
            var host = HostEdits.Existing(lab, id);
            if (host.Hardware.Function(address) is null)
            {
                throw new Refused($"{host.Name} has nothing at {address}.");
            }

            var guest = to is { } wanted ? lab.Guest(wanted) : null;
            if (to is not null && (guest?.Placement?.Host != id || guest.Kind != GuestKind.Machine))
            {
                throw new Refused($"Only a machine on {host.Name} can be handed a device whole.");
            }

            // A group moves as a whole, and the host keeps what it cannot do without.
            if (guest is not null && DeviceMap.Of(host).TrayOf(address) is { NeededByHost: [var need, ..] })
            {
                throw new Refused(
                    $"{host.Name} needs {need.What}{(need.What == address ? "" : $", in the same group as {address}")}: {need.Why}. It stays with the host."
                );
            }

            // Who claimed it whole still needs one: the claim is open again.
            var taken = lab.Guests.Change(
                g => g.Placement?.Host == id && g.HandedWhole.Contains(address) && g.Id != to,
                g =>
                    g with
                    {
                        Devices = g.Devices.Without(d => d == address),
                        Claims = g.Claims.Change(c => c.Way == ClaimWay.Whole && c.Device == address, c => new DeviceClaim(c.Need)),
                    }
            );
            var given = taken.Change(
                g => g.Id == to && !g.HandedWhole.Contains(address),
                g => g with { Devices = g.Devices.With(address) }
            );
            return new Changed(
                lab with
                {
                    Guests = given,
                },
                guest is null ? $"{address} stays with {host.Name}" : $"{guest.Name} is handed {address} of {host.Name} whole"
            );
        };

    private static Host Ticked(Host host, string item, DateOnly? on)
    {
        var others = host.Checks.Without(c => c.Item == item);
        return host with { Checks = on is { } day ? others.With(new ReadinessCheck(item, day)) : others };
    }

    private static ReadinessItem Line(string item) =>
        Readiness.Find(item) ?? throw new Refused("There is no such line in the readiness list.");
}
