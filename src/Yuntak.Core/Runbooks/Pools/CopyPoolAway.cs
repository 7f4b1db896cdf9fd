using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Copies everything in a pool elsewhere and compares the copy, before the pool comes apart.</summary>
/// <param name="Host">The host.</param>
/// <param name="Pool">The pool.</param>
/// <param name="Known">What is known to lie in it.</param>
/// <param name="AtMost">All its disks added up.</param>
/// <param name="To">The host and pool with room for what is known; null when nothing is known to lie in it.</param>
/// <param name="Guests">The guests that keep volumes in it.</param>
internal sealed record CopyPoolAway(
    HostId Host,
    string Pool,
    ByteSize Known,
    ByteSize AtMost,
    (HostId Host, string Pool)? To,
    ValueList<GuestId> Guests
) : PoolAct(Host, Pool)
{
    /// <inheritdoc/>
    public override string Type => "copy-pool-away";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [
            .. base.Values,
            Value("knownBytes", Known.Bytes),
            Value("toHost", To?.Host.Value),
            Value("toPool", To?.Pool),
            Value("guests", Guests.Select(g => g.Value)),
        ];

    /// <inheritdoc/>
    public override IReadOnlyList<GuestId> Stops => Guests;

    internal override (double Least, double Most) Spread => OfAmounts;

    internal override Duration Takes(Plan plan) =>
        new Duration(15) + plan.CopyTime(Known > ByteSize.Zero ? Known : AtMost, (Host, Pool), (To?.Host, To?.Pool));

    internal override void Apply(DiskState disks) => disks.CopiedAway(Host, Pool);

    internal override ActText Text(Plan plan) =>
        new(
            $"Copy everything in {Pool} to another host or to disks that stay out of this",
            [
                new("at most", AtMost.ToDecimalString()),
                .. Known > ByteSize.Zero ? [new StepValue("known to lie in it", Known.ToDecimalString())] : Array.Empty<StepValue>(),
                .. To is var (host, pool)
                    ? [new StepValue("there is room in", $"{pool} on {plan.NameOf(host)}")]
                    : Array.Empty<StepValue>(),
                new("guests in it", "stopped while they are copied; their start with the host is off until they are back"),
            ],
            "The copy is there and as large as what is in use; three files picked at random open from it.",
            "No room for it? Do not go on: lay it out anew when there is.",
            "Delete the copy."
        );

    internal override bool Copies => true;

    internal override void Affect(SimHouse house, Plan plan)
    {
        foreach (var guest in Guests)
        {
            house.ShutDown(guest);
            // Until it is copied back nothing may start from what is being taken apart, not even after a power cut.
            house.Guest(guest).Held = true;
        }

        house.CopyAway(Host, Pool, To, Known);
    }

    internal override IEnumerable<Proof> Proofs(Plan plan) => [.. base.Proofs(plan), new Proof("", h => h.Pool(Host, Pool).CopiedAway)];
}
