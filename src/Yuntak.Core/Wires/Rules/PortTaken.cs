using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Wires.Rules;

/// <summary>A port at an address is answered by one.</summary>
internal sealed class PortTaken : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wires.port-clash",
            Severity.Stop,
            Station.Wires,
            Says: "A port at an address is answered by one service only.",
            Because: "Only the first to start gets it; the second never starts.",
            Source: new Source("RFC 9293, 3.3; common practice for the rest")
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) => lab.Wires.Clashes.Select(c => Told(lab, c));

    private Finding Told(Sums lab, PortClash clash)
    {
        var movable = clash.Who.Where(w => w.Who.Kind == HolderKind.Guest).ToList();
        var names = clash
            .Who.Select(w => w.Who == clash.Stack && w.Who.Kind == HolderKind.Host ? $"{w.Who.Name} itself" : w.Who.Name)
            .ToList();
        var at = clash.Address == "*" ? clash.Stack.Name : $"{clash.Stack.Name} ({clash.Address})";
        var guest = movable.Count > 0 ? lab.Lab.Guest(new GuestId(movable[^1].Who.Id)) : null;
        return Info.On(
            guest is not null ? Subject.Of(guest)
                : lab.Lab.Hosts.FirstOrDefault(h => Holder.Of(h) == clash.Stack) is { } host ? Subject.Of(host)
                : Subject.Of(lab.Lab),
            $"{string.Join(" and ", names)} want port {clash.Port}/{clash.Protocol.Word()} on {clash.Stack.Name}",
            $"At {at} only the first to start gets {clash.Port}{(WellKnown.Words(clash.Port) is { } what ? $" ({what})" : "")}. Move one of them, or give it an address of its own."
                + (
                    clash.Who.Any(w => w.WasRead)
                        ? $" That {clash.Stack.Name} answers there was read of it; if it is {movable.FirstOrDefault()?.Who.Name}'s own, which runs already, say so."
                        : ""
                ),
            () => Fixes(lab, clash, movable)
        );
    }

    private static IEnumerable<Fix> Fixes(Sums lab, PortClash clash, List<HeardPort> movable)
    {
        foreach (var port in movable.AsEnumerable().Reverse().Take(2))
        {
            if (PortAdvice.Next(lab.Wires, port) is { } free)
            {
                yield return new(
                    $"Move {port.Who.Name} to {free}",
                    ReachEdits.MovePort(new GuestId(port.Who.Id), port.Port, port.Protocol, free)
                );
            }
        }

        if (
            clash.Who.FirstOrDefault(w => w.Who.Kind == HolderKind.Host && !w.WasRead) is { Listen: { } page } own
            && PortAdvice.Next(lab.Wires, own) is { } other
        )
        {
            yield return new(
                $"Move the page of {own.Who.Name} to {other}",
                ReachEdits.HostListens(new HostId(own.Who.Id), all => all.Change(l => l == page, l => l with { Port = other }))
            );
        }

        if (clash.Who.FirstOrDefault(w => w.WasRead) is { } read && movable.Count > 0)
        {
            yield return new(
                $"It is {movable[0].Who.Name}'s own",
                ReachEdits.NotTheHosts(new HostId(read.Who.Id), read.Port, read.Protocol)
            );
        }

        // A network of its own only helps a stack that shares its host's addresses now.
        if (
            movable.Count > 0
            && movable[^1].Stack != movable[^1].Who
            && lab.Wires.Networks.FirstOrDefault(n => n.NextFree is not null && n.Held.Any(h => h.Who == clash.Stack)) is { } network
        )
        {
            yield return new(
                $"Give {movable[^1].Who.Name} {network.NextFree}",
                LegEdits.Join(new GuestId(movable[^1].Who.Id), network.Network.Name)
            );
        }
    }
}
