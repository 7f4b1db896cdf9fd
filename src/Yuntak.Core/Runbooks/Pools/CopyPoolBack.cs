using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Copies what was copied away back into a pool that was laid out anew.</summary>
/// <param name="Host">The host.</param>
/// <param name="Before">The pool's name before.</param>
/// <param name="Pool">Its name now.</param>
/// <param name="Guests">The guests that keep volumes in it.</param>
/// <param name="Amount">How much that is; all the pool holds where nobody knows.</param>
/// <param name="From">Where the copy lies; null where that was left open.</param>
internal sealed record CopyPoolBack(
    HostId Host,
    string Before,
    string Pool,
    ValueList<GuestId> Guests,
    ByteSize Amount,
    (HostId Host, string Pool)? From
) : PoolAct(Host, Pool)
{
    /// <inheritdoc/>
    public override string Type => "copy-pool-back";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [.. base.Values, Value("before", Before), Value("guests", Guests.Select(g => g.Value))];

    /// <inheritdoc/>
    public override IReadOnlyList<GuestId> Stops => Guests;

    internal override (double Least, double Most) Spread => OfAmounts;

    internal override Duration Takes(Plan plan) => new Duration(15) + plan.CopyTime(Amount, (From?.Host, From?.Pool), (Host, Pool));

    internal override void Apply(DiskState disks) => disks.CopiedBack(Host, Before, Pool);

    internal override ActText Text(Plan plan) =>
        new(
            $"Copy everything back into {Pool}",
            [],
            "Sizes and a sample of checksums agree with the copy; the guests start and find their data.",
            "Differs? The copy is still there: compare before you copy again.",
            "The copy is the way back: keep it for two weeks."
        );

    internal override void Affect(SimHouse house, Plan plan)
    {
        house.CopyBack(Host, Before, Pool);
        foreach (var guest in Guests)
        {
            house.Start(guest);
        }
    }
}
