namespace Yuntak.Core.Wires;

/// <summary>A way to let somebody in from outside, with what it risks and asks.</summary>
/// <param name="Name">The way.</param>
/// <param name="Risks">What it risks.</param>
/// <param name="Asks">What it asks of the house.</param>
/// <param name="Advised">Whether it is advised.</param>
public sealed record OutsideWay(string Name, string Risks, string Asks, bool Advised)
{
    /// <summary>The ways, the safest first (common practice).</summary>
    public static readonly IReadOnlyList<OutsideWay> All =
    [
        new(
            "a tunnel",
            "whoever has the key of a phone or laptop is in: let lost ones go at once",
            "one UDP port from outside to the tunnel, a key for each device, and prefixes on both sides that do not overlap",
            Advised: true
        ),
        new(
            "a reverse proxy with a certificate",
            "everybody on the internet sees the log-in and may try; a hole in the service is a hole in the house",
            "443 from outside to the proxy, 80 too or a record in the zone for the certificate, renewal every 60 days, a name that follows the outside address, and the service must list that name as one it trusts",
            Advised: false
        ),
        new(
            "a plain forward",
            "passwords in the clear where the service is not encrypted, and nobody stands before it: never for anything you mind losing",
            "one port from outside to the service",
            Advised: false
        ),
    ];
}
