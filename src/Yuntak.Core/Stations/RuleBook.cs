using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Bench.Rules;
using Yuntak.Core.Devices.Rules;
using Yuntak.Core.Disks.Rules;
using Yuntak.Core.Findings;
using Yuntak.Core.Keeping.Rules;
using Yuntak.Core.Kit.Rules;
using Yuntak.Core.Wants.Rules;
using Yuntak.Core.Wires.Rules;

namespace Yuntak.Core.Stations;

/// <summary>All rules.</summary>
public static class RuleBook
{
    /// <summary>The rules, station by station: each brings its own list.</summary>
    public static readonly IReadOnlyList<IRule> Rules =
    [
        .. KitRules.All,
        .. WantsRules.All,
        .. DisksRules.All,
        .. DevicesRules.All,
        .. WiresRules.All,
        .. BenchRules.All,
        .. KeepingRuleList.All,
        .. RunbookRules.All,
    ];

    /// <summary>Those that look at what is planned alone.</summary>
    internal static readonly IReadOnlyList<IRule> OfPlan = [.. Rules.Except(RunbookRules.All)];

    /// <summary>Everything some rules notice in a lab, the worst first, otherwise in the order of the book.</summary>
    internal static IReadOnlyList<Finding> Check(Assessment lab, IReadOnlyList<IRule> rules) =>
        [.. rules.SelectMany(r => Told(Checked(r, lab))).OrderByDescending(f => f.Severity)];

    /// <summary>What one rule notices. A rule that breaks says so itself, and the others go on: a fault of Yuntak shuts nobody out.</summary>
    internal static IReadOnlyList<Finding> Checked(IRule rule, Sums lab)
    {
        Patience.Check();
        try
        {
            return [.. rule.Check(lab)];
        }
        catch (Exception e) when (e is not (OutOfMemoryException or OperationCanceledException))
        {
            return
            [
                rule.Info.On(
                    Subject.Of(lab.Lab),
                    $"The rule «{rule.Info.Id}» could not be worked out",
                    $"Something in the lab is more than it can reckon with ({e.GetType().Name}). It says: {rule.Info.Says} Look for yourself; all other rules were worked out."
                ),
            ];
        }
    }

    /// <summary>Findings of one rule about one subject, told apart by their place.</summary>
    private static IEnumerable<Finding> Told(IEnumerable<Finding> findings)
    {
        var seen = new Dictionary<Subject, int>();
        foreach (var finding in findings)
        {
            var ordinal = seen.GetValueOrDefault(finding.Subject);
            seen[finding.Subject] = ordinal + 1;
            yield return finding.At(ordinal);
        }
    }
}
