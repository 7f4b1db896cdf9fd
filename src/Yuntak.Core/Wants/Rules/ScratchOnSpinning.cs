using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Wants.Rules;

/// <summary>What is written only to be read again at once belongs on flash.</summary>
internal sealed class ScratchOnSpinning : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "wants.scratch-on-spinning",
            Severity.Mind,
            Station.Wants,
            Says: "Scratch space of conversions does not lie on spinning disks.",
            Because: "Several conversions write and read at once, and the heads spend their time moving.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        from guest in host.Guests
        where guest.Scratch.Value.Bytes > 0
        let pool = host.Pool(guest.Guest.Placement?.SystemPool)
        where pool is not null && pool.Disks.Any(d => d.Kind == DiskKind.Spinning)
        select Info.On(
            Subject.Of(guest.Guest),
            $"{guest.Guest.Name} converts on spinning disks",
            $"Up to {guest.Scratch.Value.ToDecimalString()} of scratch space would lie on {pool.Pool.Name}. Put its system disk, and the scratch space with it, on flash.",
            figure: guest.Scratch
        );
}
