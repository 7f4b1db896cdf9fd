using Yuntak.Core.Bench;

namespace Yuntak.Core.Findings;

/// <summary>One thing Yuntak looks out for.</summary>
public interface IRule
{
    /// <summary>What it is called and what stands behind it.</summary>
    RuleInfo Info { get; }

    /// <summary>Everything it notices in a lab.</summary>
    IEnumerable<Finding> Check(Sums lab);
}
