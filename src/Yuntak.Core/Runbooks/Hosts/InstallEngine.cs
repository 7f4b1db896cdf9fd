using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Installs a container engine on a host that runs app stacks, and tries it.</summary>
/// <param name="Host">The host.</param>
/// <param name="DataPool">The pool its images and folders go to; null for the boot disk.</param>
internal sealed record InstallEngine(HostId Host, string? DataPool) : HostAct(Host)
{
    /// <inheritdoc/>
    public override string Type => "install-engine";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("dataPool", DataPool)];

    internal override (double Least, double Most) Spread => OfInstalling;

    internal override Duration Takes(Plan plan) => new(10 + (10 / plan.Host(Host)!.Speed));

    internal override ActText Text(Plan plan) =>
        EngineText.Of(
            "Install the container engine",
            DataPool is null
                ? "on the boot disk; one-disk hosts have no other place"
                : $"in {DataPool}, set before the first image is fetched",
            plan.NameOf(Host)
        );

    internal override bool FromMirror => true;

    internal override void Affect(SimHouse house, SimHost host, Plan plan) => host.Engine = true;

    internal override IEnumerable<Proof> Proofs(Plan plan) => [.. base.Proofs(plan), new Proof("", h => h.Host(Host).Engine)];
}
