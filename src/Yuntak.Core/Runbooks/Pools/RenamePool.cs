using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Calls a pool otherwise. Nothing in it is touched.</summary>
/// <param name="Host">The host.</param>
/// <param name="Pool">Its name.</param>
/// <param name="Name">Its new name.</param>
/// <param name="Guests">The guests that keep volumes in it.</param>
internal sealed record RenamePool(HostId Host, string Pool, string Name, ValueList<GuestId> Guests) : PoolAct(Host, Pool)
{
    /// <inheritdoc/>
    public override string Type => "rename-pool";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values => [.. base.Values, Value("name", Name)];

    /// <inheritdoc/>
    public override IReadOnlyList<GuestId> Stops => Guests;

    internal override Duration Takes(Plan plan) => new(10);

    internal override void Apply(DiskState disks) => disks.Renamed(Host, Pool, Name);

    internal override ActText Text(Plan plan) =>
        new(
            $"Call the pool {Pool} {Name}",
            [
                new("from", Names.Slug(Pool), Literal: true),
                new("to", Names.Slug(Name), Literal: true),
                .. Guests.Count > 0
                    ?
                    [
                        new StepValue(
                            "guests in it",
                            $"off meanwhile, then pointed to the new name: {string.Join(", ", Guests.Select(plan.NameOf))}"
                        ),
                    ]
                    : Array.Empty<StepValue>(),
                new("mounts and jobs", "every line that names the old one: mounts, shares, backup jobs"),
            ],
            $"The host shows {Name} whole and with everything in it, and every guest in it starts.",
            "A guest does not start? It still looks for the old name.",
            $"Call it {Pool} again.",
            "Nothing is wiped by this. If your tools can only do it by making the pool anew, leave the old name."
        );

    internal override void Affect(SimHouse house, Plan plan)
    {
        var ran = Guests.Where(g => house.GuestIf(g)?.State == GuestState.Running).ToList();
        ran.ForEach(house.ShutDown);
        house.Rename(Host, Pool, Name);
        if (plan.Host(Host)?.PoolNamed(Name) is { Encrypted: null })
        {
            // Where the plan does not say, it is as it is.
            house.Pool(Host, Name).Made = house.Pool(Host, Name).Made with
            {
                Encrypted = null,
            };
        }

        ran.ForEach(house.Start);
    }

    private protected override string Now => Name;
}
