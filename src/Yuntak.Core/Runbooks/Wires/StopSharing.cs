using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>No longer exports a folder. Its files stay.</summary>
/// <param name="Share">The share as it is.</param>
/// <param name="Host">The host it lies on; null for a box.</param>
internal sealed record StopSharing(NetworkShare Share, HostId? Host) : Act
{
    /// <inheritdoc/>
    public override string Type => "stop-sharing";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [Value("share", Share.Name), Value("path", Share.From.Path)];

    internal override HostId? On => Host;

    internal override string Where(Plan plan) => Host is null ? Share.From.Box ?? "" : plan.NameOf(Host);

    internal override Duration Takes(Plan plan) => new(5);

    internal override ActText Text(Plan plan) =>
        new(
            $"On {ShareSums.ExporterName(plan.AsBuilt, Share)}: no longer share {Share.Name}",
            [new("folder", ShellText.Quoted(Share.From.Path), Literal: true)],
            "Nobody has it mounted any more, and the files are still in their folder.",
            "Somebody still uses it? Unmount it there first.",
            "Share it again."
        );

    internal override void Do(SimHouse house, Plan plan) => house.Shares = house.Shares.Remove(Share.Name);

    internal override IEnumerable<Proof> Proofs(Plan plan) => [new Proof("", h => !h.Shares.ContainsKey(Share.Name))];
}
