using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Wires.Rules;

/// <summary>What the rules about networks have in common.</summary>
internal static class WireFixes
{
    /// <summary>The guest that holds something; null where a host or a box does.</summary>
    public static Guest? GuestOf(Sums lab, Holder who) => who.Kind == HolderKind.Guest ? lab.Lab.Guest(new GuestId(who.Id)) : null;

    /// <summary>What a finding about a holder is about.</summary>
    public static Subject SubjectOf(Sums lab, Holder who) =>
        GuestOf(lab, who) is { } guest ? Subject.Of(guest)
        : who.Kind == HolderKind.Host && lab.Lab.Host(new HostId(who.Id)) is { } host ? Subject.Of(host)
        : Subject.Of(lab.Lab);

    /// <summary>The next free address, or the one of its number, for a guest.</summary>
    public static IEnumerable<Fix> Next(NetworkSums network, Guest guest) =>
        network.NextFree is null || guest.Interfaces.All(l => l.Network != network.Network.Name)
            ? []
            :
            [
                new Fix(
                    $"Give {guest.Name} {(network.Network.Numbered && guest.Number is { } n ? network.ForNumber(n) ?? network.NextFree : network.NextFree)}",
                    LegEdits.NextAddress(guest.Id, network.Network.Name)
                ),
            ];

    /// <summary>Closes a way in.</summary>
    public static IEnumerable<Fix> Close(WayIn way) =>
        way.Forward is { } forward ? [new Fix($"Close {forward.FromPort} from outside", ReachEdits.Close(forward.Key))] : [];

    /// <summary>Lets a way in pass a reverse proxy that is there.</summary>
    public static IEnumerable<Fix> ThroughProxy(Sums lab, WayIn way) =>
        way.Forward is { Through: null, Protocol: WireProtocol.Tcp } forward
        && lab.Guests.FirstOrDefault(s => s.Follows("reverse-proxy") && lab.HostOf(s.Guest) is not null && s.Guest.Id != way.Who.Id)
            is { } proxy
        && lab.Lab.Forwards.All(f => f.Key == forward.Key || f.FromPort != 443)
            ?
            [
                new Fix(
                    $"Through {proxy.Guest.Name}, encrypted",
                    ReachEdits.ChangeForward(
                        forward.Key,
                        f => f with { FromPort = 443, Port = f.ToPort, Through = proxy.Guest.Id, Certificate = CertificateKind.Public }
                    )
                ),
            ]
            : [];
}
