using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Runbooks;

/// <summary>Makes the folders of an app stack and lays its Compose file in place.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="With">Its figures.</param>
/// <param name="Folders">The folders outside.</param>
internal sealed record LayStack(GuestId Guest, HostId? Host, GuestFigures With, ValueList<string> Folders) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "lay-app-stack";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, .. With.Values, Value("folders", Folders)];

    internal override Duration Takes(Plan plan) => new(5);

    /// <summary>«Inside nest: make the folders …», where another guest's engine runs it.</summary>
    public static string Sentence(Plan plan, GuestId? runsIn, string what) =>
        runsIn is { } outer ? $"Inside {plan.NameOf(outer)}: {char.ToLowerInvariant(what[0])}{what[1..]}" : what;

    internal override ActText Text(Plan plan) =>
        new(
            Sentence(plan, With.RunsIn, "Make the folders and lay the Compose file in place"),
            [
                .. Folders.Select(f => new StepValue(
                    "folder",
                    $"mkdir -p -- {ShellText.Quoted(f)}",
                    Literal: true,
                    Run: With.RunsIn is null
                )),
                new("Compose file", $"{GuestVolumes.StackHome(plan.Draft, plan.Guest(Guest)!)}/compose.yaml", Literal: true),
                With.Image is { } image
                    ? new StepValue("image", image, Literal: true)
                    : StepValue.Ask("image and its tag", "a fixed one, not the newest of the day; it goes into the .env file beside it"),
                new("for the processor family", plan.Host(Host)?.Processor.Architecture ?? "of the host", Literal: true),
                new("memory, at most", Plan.MemoryText(With.Memory)),
                .. WireValues.Of(plan, Guest),
                .. WireValues.Ports(plan, Guest),
            ],
            "The folders exist, belong to the user the image runs as, and allow execution where the image needs it.",
            "Permission refused? Look up the user number the image runs as and chown the folders to it. No room? Look what fills the pool before you delete anything.",
            "Remove the folders; nothing is in them yet."
        );

    internal override bool Writes => true;

    internal override void Affect(SimHouse house, Plan plan)
    {
        var needs = GuestNeeds.Of(plan.Sums, Guest);
        if (needs.Figures.RunsIn is null && !house.Host(Host).Engine)
        {
            throw new HostRefuses($"No container engine answers on {house.Host(Host).Name}.");
        }

        house.Create(needs);
    }
}
