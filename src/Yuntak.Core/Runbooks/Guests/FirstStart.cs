using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Runbooks;

/// <summary>Starts a new guest for the first time.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="Kind">How it is packaged.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Minutes">How long its first start may take.</param>
/// <param name="RunsIn">The guest whose engine runs it.</param>
internal sealed record FirstStart(GuestId Guest, HostId? Host, GuestKind Kind, string Name, int Minutes, GuestId? RunsIn)
    : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "first-start";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [.. base.Values, Value("kind", ProfileWords.Kinds.Word(Kind)), Value("minutes", Minutes)];

    internal override (double Least, double Most) Spread => OfInstalling;

    internal override Duration Takes(Plan plan) =>
        new(
            Kind switch
            {
                GuestKind.Machine => Math.Max(1, Minutes),
                GuestKind.SystemContainer => 2,
                GuestKind.AppStack => Math.Max(3, Minutes),
            }
        );

    internal override ActText Text(Plan plan) =>
        Kind switch
        {
            GuestKind.Machine => new(
                "Start it and touch nothing",
                [new("first start may take", $"{Minutes} min")],
                "It comes up by itself and answers over the network.",
                "Installer again? The medium is still in or first: go one step back.",
                "Shut it down."
            ),
            GuestKind.SystemContainer => new(
                "Start it",
                [new("administrator", "a password of your own, or keys only")],
                "It answers over the network. Inside it, do not trust tools that show memory: they may show the host's.",
                "Read the host's journal for the container's name.",
                "Shut it down."
            ),
            GuestKind.AppStack => new(
                LayStack.Sentence(plan, RunsIn, "Start the stack with your container engine's Compose command"),
                [new("in", GuestVolumes.StackHome(plan.Draft, plan.Guest(Guest)!), Literal: true)],
                "Every container stays up for a minute.",
                "Does not start at all? The image may be for another processor family.",
                "Stop the stack; the folders keep its data."
            ),
        };

    internal override bool Starts => true;

    internal override void Affect(SimHouse house, Plan plan) => house.Start(Guest);

    internal override IEnumerable<Proof> Proofs(Plan plan) => [.. base.Proofs(plan), .. Running(plan)];
}
