using Yuntak.Core.Base;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>What has to be reserved where addresses are handed out differs from what has been.</summary>
internal sealed record ReserveWork : Work
{
    /// <inheritdoc/>
    public override string Key => "reserve-addresses";

    /// <summary>The one work, when anything differs.</summary>
    public static IEnumerable<Work> Find(Plan plan)
    {
        var act = Difference(plan);
        return act.Keep.Count + act.LetGo.Count > 0 ? [new ReserveWork()] : [];
    }

    /// <inheritdoc/>
    public override string Title(Plan plan) => "Reserve addresses";

    /// <inheritdoc/>
    public override Phase Phase(Plan plan) => Runbooks.Phase.Wires;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Acts(Plan plan) => [Difference(plan)];

    /// <inheritdoc/>
    public override Lab Adopt(Lab stands, Plan plan) => stands with { Reserved = [.. plan.Sums.Wires.Reservations] };

    private static ReserveAddresses Difference(Plan plan)
    {
        List<Reservation> wanted = [.. plan.Sums.Wires.Reservations];
        return new(
            [.. wanted.Except(plan.AsBuilt.Reserved)],
            [.. plan.AsBuilt.Reserved.Except(wanted).Where(r => wanted.TrueForAll(w => w.Address != r.Address && w.Mac != r.Mac))]
        );
    }
}
