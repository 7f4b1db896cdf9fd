using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Kit.Rules;

/// <summary>Nothing in a host is hotter than its maker allows for steady running.</summary>
internal sealed class TooHot : IRule
{
    private static readonly RuleLimit Limit = RuleLimit.Share(Share.All, "of the limit its maker gives", LimitSide.From);

    /// <inheritdoc/>
    public RuleInfo Info { get; } =
        new(
            "kit.too-hot",
            Severity.Mind,
            Station.Kit,
            Says: "No sensor of a host is at or over the limit its maker gives.",
            Because: "It slows itself down, then switches off; disks and batteries age faster in heat.",
            Source: Source.CommonPractice
        )
        {
            Limits = [Limit],
        };

    /// <inheritdoc/>
    public IEnumerable<Finding> Check(Sums lab) =>
        from host in lab.Hosts
        let hot = host.Host.Hardware.Temperatures.Where(t => t.High is { } high && Limit.Notices(t.Celsius / high)).ToList()
        where hot.Count > 0
        select Info.On(
            Subject.Of(host.Host),
            $"{host.Host.Name} runs hot",
            string.Join("; ", hot.Select(t => $"{t.Where}: {t.Celsius:0} °C, the limit is {t.High:0} °C"))
                + ". Clean the fans and let air through before you give it more work. Let hot parts cool down before you touch them."
        );
}
