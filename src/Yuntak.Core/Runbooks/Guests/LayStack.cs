using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Makes the folders of an app stack and lays its Compose file in place.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="With">Its figures.</param>
/// <param name="Folders">The folders outside.</param>
internal sealed record LayStack(GuestId Guest, HostId? Host, Figures With, ValueList<string> Folders) : GuestAct(Guest, Host)
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
                .. Folders.Select(f => new StepValue("folder", $"mkdir -p -- {ShellText.Quoted(f)}", Literal: true)),
                new("Compose file", $"/srv/{Names.Slug(With.Name)}/compose.yaml", Literal: true),
                new("image", With.Image ?? "write the image and its tag into the .env file beside it", Literal: With.Image is not null),
                new("memory, at most", Plan.MemoryText(With.Memory)),
                .. WireValues.Of(plan, Guest),
                .. WireValues.Ports(plan, Guest),
            ],
            "The folders exist, belong to the user the image runs as, and allow execution where the image needs it.",
            "Permission refused? Look up the user number the image runs as and chown the folders to it.",
            "Remove the folders; nothing is in them yet."
        );
}
