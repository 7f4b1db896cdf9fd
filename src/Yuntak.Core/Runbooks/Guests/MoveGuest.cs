using System.Text.Json.Nodes;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Moves a guest to another host, its volumes with it.</summary>
/// <param name="Guest">The guest.</param>
/// <param name="From">The host it stands on.</param>
/// <param name="To">The host it goes to.</param>
/// <param name="Place">Where it is on that host; null inside another guest.</param>
/// <param name="Straight">Whether both hosts have a pool of that name.</param>
/// <param name="Mounters">Guests that mount a folder of it: they would hang while it is away, and are stopped first.</param>
internal sealed record MoveGuest(
    GuestId Guest,
    HostId From,
    HostId To,
    Placement? Place,
    bool Straight,
    ValueList<GuestId> Mounters = default
) : GuestAct(Guest, To)
{
    /// <inheritdoc/>
    public override string Type => "move-guest";

    /// <inheritdoc/>
    public override IEnumerable<KeyValuePair<string, JsonNode?>> Values =>
        [
            .. base.Values,
            Value("from", From.Value),
            Value("to", To.Value),
            Value("systemPool", Place?.SystemPool),
            Value("bulkPool", Place?.BulkPool),
            // A step of a guest whose folders nobody mounts is known by what it always was.
            .. Mounters.Count > 0 ? [Value("stopsFirst", Mounters.Select(m => m.Value))] : Array.Empty<KeyValuePair<string, JsonNode?>>(),
        ];

    /// <inheritdoc/>
    public override IReadOnlyList<GuestId> Stops => [Guest, .. Mounters];

    internal override (double Least, double Most) Spread => OfAmounts;

    private const int StopMinutes = 3;

    internal override Duration Takes(Plan plan)
    {
        if (plan.Stands(Guest) is not { } before)
        {
            return new(20);
        }

        var (size, was) = (plan.Standing.Guest(Guest), before.Placement);
        var across =
            plan.CopyTime(was is null ? default : size.SystemDisk, (From, was?.SystemPool), (To, Place?.SystemPool))
            + plan.CopyTime(was is null ? default : size.Bulk, (From, was?.BulkPool), (To, Place?.BulkPool));
        // Through the backup everything is written twice.
        return new Duration(10 + (StopMinutes * Mounters.Count)) + (Straight ? across : across + across);
    }

    internal override void Apply(DiskState disks)
    {
        if (Place is null)
        {
            disks.Gone(Guest);
        }
        else
        {
            disks.Placed(Guest, Place);
        }
    }

    internal override ActText Text(Plan plan)
    {
        var (from, to) = (plan.NameOf(From), plan.NameOf(To));
        var pool = Place?.SystemPool;
        return new(
            $"Shut it down and move it to {to}",
            [
                .. Mounters.Count > 0
                    ? [new StepValue("shut down first", $"{string.Join(", ", Mounters.Select(plan.NameOf))}, which mount a folder of it")]
                    : Array.Empty<StepValue>(),
                new("from", from),
                new("to", to),
                new("pool there", GuestFigures.PoolWords(pool)),
                .. Place?.BulkPool is { } bulk && bulk != pool
                    ? [new StepValue("pool there for bulk data", bulk)]
                    : Array.Empty<StepValue>(),
                new(
                    "way",
                    Straight ? $"straight across: both hosts have a pool called {pool}" : "through the backup: the hosts share no pool name"
                ),
            ],
            $"{to} lists it, off, with all its disks.",
            "No room? It is still whole where it came from: start it there, and look what fills the pool. A disk or device stayed behind? Attach or replace it before you start it.",
            $"Bring it back to {from} the same way; do not delete it there yet."
        );
    }

    internal override bool NeedsOff => true;

    internal override bool Writes => true;

    internal override void Affect(SimHouse house, Plan plan)
    {
        house.StopMeanwhile(Mounters);
        house.ShutDown(Guest);
        house.Move(Guest, From, To, GuestNeeds.Of(plan.Sums, Guest));
    }
}
