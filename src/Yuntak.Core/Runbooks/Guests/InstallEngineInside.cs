using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Installs a container engine in a guest that runs app stacks.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="Host">Its host.</param>
/// <param name="OnBulk">Whether its data root goes to its bulk volume.</param>
internal sealed record InstallEngineInside(GuestId Guest, HostId? Host, bool OnBulk) : GuestAct(Guest, Host)
{
    /// <inheritdoc/>
    public override string Type => "install-engine-inside";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("onBulk", OnBulk)];

    internal override bool FromMirror => true;

    internal override (double Least, double Most) Spread => OfInstalling;

    internal override Duration Takes(Plan plan) => new(10 + (10 / (plan.Host(Host)?.Speed ?? 1)));

    internal override ActText Text(Plan plan) =>
        EngineText.Of(
            $"Inside {plan.NameOf(Guest)}: install the container engine",
            OnBulk
                ? "/srv/data/engine, set before the first image is fetched"
                : "on its system disk; set before the first image is fetched",
            plan.NameOf(Guest)
        );

    internal override void Affect(SimHouse house, Plan plan) => house.Start(Guest);
}
