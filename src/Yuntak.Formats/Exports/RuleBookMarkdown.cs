using System.Text;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;

namespace Yuntak.Formats.Exports;

/// <summary>The rule book as a page of the documentation, with the limit of every rule in figures.</summary>
public static class RuleBookMarkdown
{
    /// <summary>The whole page.</summary>
    public static string Page()
    {
        var text = new StringBuilder(
            """
            # Rule book

            Everything Yuntak looks out for, by station; written by `./yuntak docs` from the rules in force. The same list stands in the application under *Rule book*.
            A **stop** will fail or lose data, a **mind** will hurt, a **note** is good to know. A limit is what the rule itself asks; «yes or no» has none. Sums at a round
            figure count as that figure (to 1e-9 of the limit).

            """
        );
        foreach (var station in RuleBook.Rules.Select(r => r.Info).GroupBy(r => r.Station))
        {
            text.Append($"\n## {station.Key}\n\n| rule | severity | what is kept | said | why | source |\n|---|---|---|---|---|---|\n");
            foreach (var rule in station)
            {
                var limits = rule.Limits.Count > 0 ? string.Join("; ", rule.Limits) : "yes or no";
                text.Append(
                    $"| `{rule.Id}` | {rule.Severity.ToString().ToLowerInvariant()} | {rule.Says} | {limits} | {rule.Because} | {rule.Source.Text} |\n"
                );
            }
        }

        return text.ToString();
    }
}
