using Yuntak.Core.Bench;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Stations;

/// <summary>Everything worked out about a lab, once: sizes, budgets and findings. Every page reads from it.</summary>
public sealed class Assessment : Sums
{
    private readonly Lazy<IReadOnlyList<Finding>> findings;

    private Assessment(Lab lab)
        : base(lab) => findings = new(() => RuleBook.Check(this));

    /// <summary>What the rule book says, the worst first.</summary>
    public IReadOnlyList<Finding> Findings => findings.Value;

    /// <summary>Assesses a lab.</summary>
    public static new Assessment Of(Lab lab) => new(lab);
}
