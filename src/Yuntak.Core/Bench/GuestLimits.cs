using Yuntak.Core.Base;
using Yuntak.Core.Kit;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Bench;

/// <summary>What keeps a guest off a host whoever else is there: packaging, processor, legs and shares. Budgets and devices are looked at with the others.</summary>
internal static class GuestLimits
{
    /// <summary>The limits; none where the guest can be there.</summary>
    /// <param name="lab">The lab, as it is.</param>
    /// <param name="guest">The guest, sized for the host, with what runs inside it.</param>
    /// <param name="host">The host.</param>
    public static IEnumerable<FitLimit> Of(Sums lab, Sizing guest, Host host) =>
        Packaging(guest, host).Concat(Processor(guest, host)).Concat(Legs(lab, guest, host)).Concat(Folders(lab, guest, host));

    /// <summary>A host without a pool keeps nobody's disk.</summary>
    public static FitLimit NoPool(Host host) => new($"{host.Name} has no pool to keep its disk in", $"a pool on {host.Name}");

    private static IEnumerable<FitLimit> Packaging(Sizing guest, Host host)
    {
        var (name, kind) = (guest.Guest.Name, guest.Guest.Kind);
        if (!host.Kind.Runs.Contains(kind))
        {
            yield return new FitLimit(
                $"{host.Name} is {Names.A(host.Type.Words())} and runs no {kind.Words()}s",
                $"{name} as {Names.A(host.Kind.Runs[0].Words())}"
            );
        }

        if (kind == GuestKind.Machine && host.Processor.Virtualisation == false)
        {
            yield return new FitLimit(
                $"virtualisation is off on {host.Name}, and this is a machine",
                $"switch virtualisation on in {host.Name}'s firmware"
            );
        }

        if (guest.Follows(ProfileBook.Router) && RouterLegs.HasSecond(host) == false)
        {
            yield return new FitLimit(
                $"a router needs a second leg, {host.Name} has {Numbers.Count(host.NetworkPorts ?? 0, "network port")} and no other bridge",
                $"a second network port in {host.Name}"
            );
        }
    }

    private static IEnumerable<FitLimit> Processor(Sizing guest, Host host)
    {
        if (guest.Vcpu > host.Processor.Threads)
        {
            yield return new FitLimit(
                $"{guest.Vcpu} virtual processors wanted, {host.Name} has {Numbers.Count(host.Processor.Threads, "thread")}",
                $"{guest.Guest.Name} at {host.Processor.Threads} virtual processors"
            );
        }

        foreach (var part in guest.Inner.Prepend(guest).Select(s => s.Guest))
        {
            if (part.MadeFor is { } family && !ProcessorFamily.Runs(host.Processor.Architecture, family))
            {
                yield return new FitLimit(
                    $"{part.Name} is made for {family}, {host.Name} is {host.Processor.Architecture}",
                    $"an image of {part.Name} for {host.Processor.Architecture}"
                );
            }
        }
    }

    private static IEnumerable<FitLimit> Legs(Sums lab, Sizing guest, Host host)
    {
        if (guest.Guest.Interfaces.Count == 0)
        {
            yield break;
        }

        foreach (var leg in LegSums.NotCarried(lab.Wires, host, guest.Guest))
        {
            yield return new FitLimit(
                $"no bridge of {host.Name} carries {leg.Network}",
                $"a bridge on {host.Name} that carries {leg.Network}"
            );
        }

        if (guest.Follows(ProfileBook.Router) && LegSums.Crossed(lab.Wires, host, guest.Guest) is { } crossed)
        {
            yield return new FitLimit(
                $"{string.Join(" and ", crossed.Networks)} are both on {crossed.Bridge} of {host.Name}, with nothing to tell them apart",
                $"a bridge of its own on {host.Name} for {crossed.Networks[^1]}"
            );
        }
    }

    private static IEnumerable<FitLimit> Folders(Sums lab, Sizing guest, Host host)
    {
        if (lab.Lab.Folders.Count == 0 && lab.Lab.Shares.Count == 0)
        {
            yield break;
        }

        foreach (var part in guest.Inner.Prepend(guest).Select(s => s.Guest))
        {
            // What is handed in from a folder of one host is not there on another; who sees it from elsewhere already does so over the network.
            var now = lab.Lab.Guest(part.Id) is { } known ? lab.Lab.HostOf(known)?.Id : null;
            foreach (var folder in lab.Lab.Folders.Where(f => f.Host != host.Id && now != host.Id && f.Uses.Any(u => u.Guest == part.Id)))
            {
                yield return new FitLimit(
                    $"{part.Name} uses the folder {folder.Name}, which lies on {lab.Lab.Host(folder.Host)?.Name ?? folder.Host.Value}",
                    $"{folder.Name} as a share, mounted on {host.Name}"
                );
            }

            foreach (var mount in part.Mounts.Where(m => m.By == MountBy.Host && lab.Lab.Outer(part) is null))
            {
                if (
                    lab.Lab.Shares.FirstOrDefault(s => s.Name == mount.Share) is { } share
                    && share.From.Host != host.Id
                    && !ShareSums.Allows(lab.Wires, share, Holder.Of(host))
                )
                {
                    yield return new FitLimit($"{host.Name} may not use the share {share.Name}", $"let {host.Name} use {share.Name}");
                }
            }
        }
    }
}
