using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Core.Devices.Rules;

/// <summary>What is needed is there.</summary>
internal sealed class NotThere : IRule
{
    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "devices.not-there",
            Severity.Mind,
            Station.Devices,
            Says: "What a guest needs is in its host.",
            Because: "Without it the processor does the work, or nobody does.",
            Source: Source.CommonPractice
        );

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Devices
        from open in ClaimFixes.NothingFor(host)
        where
            !(open.Asked!.By == AskedBy.Profile && open.Need == DeviceNeed.VideoEncoder)
            && !lab.Devices.Any(h => h.Host.Id != host.Host.Id && h.Check.Best(ClaimFixes.Freed(open.Asked!)).CanBe)
        select Info.On(
            Subject.Of(open.Guest),
            $"{open.Guest.Name} needs {Base.Names.A(open.Need.Words())}",
            $"{host.Host.Name} has none that was read, and {Elsewhere(lab, open)}. Plug one in and read {host.Host.Name} again, or say that it goes without.",
            () => [ClaimFixes.Without(open)]
        );

    /// <summary>Another host may have one that cannot be had.</summary>
    private static string Elsewhere(Sums lab, ClaimVerdict open) =>
        lab.Devices.FirstOrDefault(h => h.Host.Id != open.Host && DeviceSorts.Of(h.Host, open.Need).Any()) is { } there
            ? $"that of {there.Host.Name} is not free"
            : "no other host does";
}
