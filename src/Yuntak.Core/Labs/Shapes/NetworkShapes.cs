using System.Text.Json.Nodes;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>The shapes of what a host has of the network.</summary>
internal static class NetworkShapes
{
    private static readonly Codec<string> Text = Codecs.Text(200);
    private static readonly Codec<double> Amount = Codecs.Number(0, Most);

    private const double Most = 1e15;

    internal static readonly Shape<NetworkPort> Port = new(
        "network port",
        new NetworkPort(""),
        Of<NetworkPort>.Always("name", nameof(NetworkPort.Name), "name", Text, "", p => p.Name, (p, v) => p with { Name = v }),
        Of<NetworkPort>.MaybeText("mac", nameof(NetworkPort.Mac), "hardware address", Text, p => p.Mac, (p, v) => p with { Mac = v }),
        Of<NetworkPort>.Maybe(
            "speed",
            nameof(NetworkPort.SpeedMbps),
            "speed",
            new Speed(),
            p => p.SpeedMbps,
            (p, v) => p with { SpeedMbps = v }
        ),
        Of<NetworkPort>.Maybe("up", nameof(NetworkPort.Up), "link up", Codecs.Flag(), p => p.Up, (p, v) => p with { Up = v }).IsSilent(),
        Of<NetworkPort>.MaybeText(
            "function",
            nameof(NetworkPort.Function),
            "on the bus at",
            Text,
            p => p.Function,
            (p, v) => p with { Function = v }
        ),
        new ListOf<NetworkPort, string>(
            "addresses",
            nameof(NetworkPort.Addresses),
            "addresses",
            Text,
            p => p.Addresses,
            (p, v) => p with { Addresses = v }
        ),
        Of<NetworkPort>.Value(
            "wireless",
            nameof(NetworkPort.Wireless),
            "wireless",
            Codecs.Flag(),
            false,
            p => p.Wireless,
            (p, v) => p with { Wireless = v }
        ),
        Of<NetworkPort>.Value(
            "management",
            nameof(NetworkPort.Management),
            "is for looking after the host",
            Codecs.Flag(),
            false,
            p => p.Management,
            (p, v) => p with { Management = v }
        )
    );

    internal static readonly Shape<Bridge> Bridge = new(
        "bridge",
        new Bridge(""),
        Of<Bridge>.Always("name", nameof(Labs.Bridge.Name), "name", Text, "", b => b.Name, (b, v) => b with { Name = v }),
        new ListOf<Bridge, string>("ports", nameof(Labs.Bridge.Ports), "joins", Text, b => b.Ports, (b, v) => b with { Ports = v }),
        new ListOf<Bridge, string>(
            "addresses",
            nameof(Labs.Bridge.Addresses),
            "addresses",
            Text,
            b => b.Addresses,
            (b, v) => b with { Addresses = v }
        )
    );

    internal static readonly Shape<LinkSpeed> LinkSpeed = new(
        "link speed",
        new LinkSpeed("", "", default),
        Of<LinkSpeed>.Always("from", nameof(Labs.LinkSpeed.From), "from", Text, "", s => s.From, (s, v) => s with { From = v }),
        Of<LinkSpeed>.Always("to", nameof(Labs.LinkSpeed.To), "to", Text, "", s => s.To, (s, v) => s with { To = v }),
        Of<LinkSpeed>
            .Value(
                "goodput",
                nameof(Labs.LinkSpeed.Goodput),
                "goodput",
                Amount,
                0,
                s => s.Goodput.BitsPerSecond,
                (s, v) => s with { Goodput = new DataRate(v) }
            )
            .Explained("bits a second")
    );

    /// <summary>A speed in Mbit/s, said as links are spoken of.</summary>
    private sealed class Speed : Codec<int>
    {
        private static readonly Codec<int> Plain = Codecs.Whole(1, 10_000_000);

        public override string Expects => Plain.Expects;

        public override System.Text.Json.Nodes.JsonNode Write(int value) => Plain.Write(value);

        public override bool TryRead(string text, out int value) => Plain.TryRead(text, out value);

        public override bool Within(int value) => Plain.Within(value);

        public override string Say(int value) => DataRate.FromMbps(value).ToString();

        public override System.Text.Json.Nodes.JsonObject Schema() => Plain.Schema();
    }
}
