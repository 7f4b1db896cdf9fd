using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Writes the card or stick a board starts from, with its name, user and way in set beforehand. Wipes it.</summary>
/// <param name="Host">The host.</param>
/// <param name="Onto">The stable id of the card or stick; null while nobody knows.</param>
internal sealed record WriteCard(HostId Host, string? Onto) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "write-card";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("onto", Onto)];

    /// <inheritdoc/>
    public override IReadOnlyList<string> Wipes => Onto is null ? [] : [Onto];

    internal override Duration Takes(Plan plan) => new(15);

    internal override ActText Text(Plan plan)
    {
        return new(
            "Write its system with presets",
            [
                new("image", "the board's system, for its processor family, compared with the sum its makers publish"),
                Onto is not null && plan.Disk(Host, Onto) is { } card
                    ? Plan.Seen(card, "write onto")
                    : new("write onto", "a flash stick or small flash disk rather than a card, where the board starts from one"),
                new("name", Names.Slug(plan.NameOf(Host)), Literal: true),
                new("user", "your own, with your key; no default user"),
                new("remote log-in", "on, by key"),
                new("wireless network", "off, when it has a wire"),
            ],
            "It starts without screen and keyboard, and lets your key in.",
            "Not to be found? Look in the router's list of who has which address; a weak power supply is the next suspect.",
            "Write it again; nothing is on it yet.",
            Onto is null ? "Writing wipes the card: choose it by its size and stable id." : plan.WipeWords(Host, [Onto])
        );
    }

    internal override bool FromMirror => false;

    internal override void Affect(SimHouse house, SimHost host, Plan plan)
    {
        foreach (var disk in Wipes)
        {
            house.Wipe(Host, disk);
        }
    }
}
