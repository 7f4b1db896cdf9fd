using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Wires;

/// <summary>Who answers on which ports, and at whose addresses.</summary>
public static class PortsOf
{
    private const int BootFiles = 69;

    /// <summary>
    /// Whose network addresses a guest's ports are at: its own where it is a machine, a system container, or has a place on a network; else those of the guest or the
    /// host whose engine publishes them. Null while it is on no host.
    /// </summary>
    public static Holder? StackOf(Lab lab, Guest guest)
    {
        if (guest.Kind != GuestKind.AppStack || guest.Interfaces.Count > 0)
        {
            return Holder.Of(guest);
        }

        return lab.Outer(guest) is { } outer ? Holder.Of(outer)
            : lab.HostOf(guest) is { } host ? Holder.Of(host)
            : null;
    }

    /// <summary>The ports a guest answers on: as said; else those said before ports had words of their own, else those a published standard names for its services.</summary>
    public static IEnumerable<Listen> Said(Sizing sizing)
    {
        var guest = sizing.Guest;
        if (guest.Listens.Count > 0)
        {
            return guest.Listens;
        }

        var known = guest.Ports.Count > 0 ? guest.Ports : [.. sizing.Profiles.SelectMany(p => p.Ports).Distinct()];
        return known.SelectMany(Both);
    }

    /// <summary>Names are asked over both protocols (RFC 7766); boot files and addresses go over UDP only (RFC 1350, RFC 2131).</summary>
    private static IEnumerable<Listen> Both(int port)
    {
        if (port is not (BootFiles or WellKnown.HandingOut))
        {
            yield return new Listen(port);
        }

        if (port is WellKnown.Names or BootFiles or WellKnown.HandingOut)
        {
            yield return new Listen(port, WireProtocol.Udp);
        }
    }

    /// <summary>All ports of a lab: of guests, of hosts as planned and as read, of boxes.</summary>
    internal static IEnumerable<HeardPort> All(Lab lab, IReadOnlyList<Sizing> sizings)
    {
        foreach (var sizing in sizings)
        {
            if (StackOf(lab, sizing.Guest) is { } stack)
            {
                foreach (var listen in Said(sizing))
                {
                    yield return new(stack, Holder.Of(sizing.Guest), listen.Port, listen.Protocol, listen.Address ?? "*", listen);
                }
            }
        }

        foreach (var host in lab.Hosts)
        {
            var who = Holder.Of(host);
            foreach (var listen in host.Wires.Listens)
            {
                yield return new(who, who, listen.Port, listen.Protocol, listen.Address ?? "*", listen);
            }

            foreach (var port in Read(lab, host, sizings))
            {
                yield return port;
            }
        }

        foreach (var box in lab.Boxes)
        {
            foreach (var listen in box.Listens)
            {
                yield return new(Holder.Of(box), Holder.Of(box), listen.Port, listen.Protocol, listen.Address ?? "*", listen);
            }
        }
    }

    /// <summary>What was found listening on a host. What one of its app stacks that was found running answers on is that stack's, and not the host's own.</summary>
    private static IEnumerable<HeardPort> Read(Lab lab, Host host, IReadOnlyList<Sizing> sizings)
    {
        if (host.Hardware.Listeners.Count == 0)
        {
            yield break;
        }

        var runs = host.Hardware.Runs.Select(r => Names.Slug(r.Name)).ToHashSet(StringComparer.Ordinal);
        var theirs = sizings
            .Where(s => StackOf(lab, s.Guest) == Holder.Of(host) && runs.Contains(Names.Slug(s.Guest.Name)))
            .SelectMany(s => Said(s).Select(l => (l.Port, l.Protocol.Word())))
            .ToHashSet();
        foreach (var read in host.Hardware.Listeners)
        {
            if (
                read.Port > 0
                && WireWords.Protocols.TryRead(read.Protocol, out var protocol)
                && !theirs.Contains((read.Port, read.Protocol))
                && host.Wires.Listens.All(l => l.Port != read.Port || l.Protocol != protocol)
            )
            {
                yield return new(
                    Holder.Of(host),
                    Holder.Of(host),
                    read.Port,
                    protocol,
                    PortClashes.Plain(read.Address),
                    null,
                    WasRead: true
                );
            }
        }
    }
}
