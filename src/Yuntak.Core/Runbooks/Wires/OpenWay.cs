using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Opens a way in from outside.</summary>
/// <param name="Way">The way.</param>
internal sealed record OpenWay(Forward Way) : Act
{
    /// <inheritdoc/>
    public override string Type => "open-way-in";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [
            Value("fromPort", Way.FromPort),
            Value("protocol", Way.Protocol.Word()),
            Value("to", Way.To.Value),
            Value("port", Way.ToPort),
            Value("through", Way.Through?.Value),
            Value("name", Way.Name),
            Value("certificate", Way.Certificate is { } c ? WireWords.Certificates.Word(c) : null),
        ];

    internal override HostId? On => null;

    internal override string Where(Plan plan) => plan.Sums.Wires.RouterName ?? "the router";

    internal override Duration Takes(Plan plan) => new(Way.Through is null ? 5 : 20);

    internal override ActText Text(Plan plan)
    {
        var wires = plan.Sums.Wires;
        var reached = wires.WaysIn.FirstOrDefault(w => w.Forward == Way);
        var first = Way.Through ?? Way.To;
        var at = plan.Guest(first) is { } guest ? wires.AddressOf(guest)?.ToString() : null;
        return new(
            $"Let {Way.FromPort}/{Way.Protocol.Word()} from outside lead to {plan.NameOf(Way.To)}",
            [
                new("port outside", $"{Way.FromPort}/{Way.Protocol.Word()}", Literal: true),
                new(
                    $"forward to {plan.NameOf(first)}",
                    $"{at ?? "its address"}:{(Way.Through is null ? Way.ToPort : Way.FromPort)}",
                    Literal: at is not null
                ),
                .. Way.Through is not null
                    ? [new StepValue("the reverse proxy passes on to", $"{plan.NameOf(Way.To)}, port {Way.ToPort}")]
                    : Array.Empty<StepValue>(),
                .. Way.Name is { } name
                    ?
                    [
                        new StepValue("name outside", name, Literal: true),
                        new StepValue($"names {plan.NameOf(Way.To)} trusts", name, Literal: true),
                    ]
                    : Array.Empty<StepValue>(),
                .. Way.Certificate is { } kind
                    ? [new StepValue("certificate", WireWords.Certificates.Display(kind))]
                    : Array.Empty<StepValue>(),
                .. Way.Certificate == CertificateKind.Public
                    ? [new StepValue("renewal", "every 60 days, by itself: needs port 80 from outside, or a record in the zone")]
                    : Array.Empty<StepValue>(),
            ],
            "From a phone with its own line, not the house's: it answers, and asks who you are.",
            "Answers at home but not outside? The provider's router may stand before yours, or your outside address is shared.",
            "Take the forward out again.",
            reached is { Clear: true } or { Page: true }
                ? "This opens something that should not be reached from outside in this way. Read the stop at Wires first; a tunnel is the safer way."
                : null
        );
    }

    internal override void Do(SimHouse house, Plan plan) => house.Ways = house.Ways.Add(Way);

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => h.Ways.Contains(Way))];
}
