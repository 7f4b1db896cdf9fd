using Yuntak.Core.Edits;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Bench.Rules;

/// <summary>A guest that is asked for but has no host.</summary>
internal sealed class NotPlaced : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "bench.not-placed",
            Severity.Note,
            Station.Bench,
            Says: "Every guest that is asked for has a host.",
            Because: "Until then it is a wish.",
            Source: Source.Arithmetic
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from guest in lab.NotPlaced
        select Info.On(
            Subject.Of(guest.Guest),
            $"{guest.Guest.Name} has no host yet",
            $"It wants {Wishes(guest)}.",
            () => Fixes(lab, guest),
            guest.AdvisedMemory
        );

    private static string Wishes(Sizing guest)
    {
        var bulk = guest.Bulk > ByteSize.Zero ? $", {guest.Bulk.ToDecimalString()} of bulk data" : "";
        return $"{guest.Memory}, {guest.Vcpu} virtual processor{(guest.Vcpu == 1 ? "" : "s")} and a {guest.SystemDisk} disk{bulk}";
    }

    private static IEnumerable<Fix> Fixes(Sums lab, Sizing guest)
    {
        var best = FitCheck.Best(lab, guest.Guest);
        return best is null ? [] : [new Fix($"Put it on {best.After.Host.Name}", GuestEdits.Place(guest.Guest.Id, best.After.Host.Id))];
    }
}
