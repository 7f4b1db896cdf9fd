using Yuntak.Core.Bench;
using Yuntak.Core.Figures;
using Yuntak.Core.Findings;
using Yuntak.Core.Stations;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Findings;

/// <summary>A rule that breaks is a finding of its own; it takes no page and no other rule down.</summary>
public class BrokenRuleTests
{
    [Fact]
    public void A_rule_that_breaks_names_itself_and_the_others_go_on()
    {
        var finding = RuleBook.Checked(new Broken(), Sums.Of(Small.Lab(Small.Host("kiln")))).Single();

        finding.Title.ShouldContain("bench.broken");
        finding.Severity.ShouldBe(Severity.Stop);
        finding.Key.ShouldBe("bench.broken@lab:");
        finding.Fixes.ShouldBeEmpty();
    }

    [Fact]
    public void A_fix_that_cannot_be_worked_out_is_not_offered() =>
        new Broken()
            .Info.On(Subject.Of(Small.Host("kiln")), "title", "text", () => throw new InvalidOperationException("no fix"))
            .Fixes.ShouldBeEmpty();

    private sealed class Broken : IRule
    {
        public RuleInfo Info { get; } =
            new("bench.broken", Severity.Stop, Station.Bench, "It never breaks.", "Because.", Source.CommonPractice);

        public IEnumerable<Finding> Check(Sums lab)
        {
            yield return Info.On(Subject.Of(lab.Lab.Hosts[0]), "one", "text");
            throw new OverflowException("more than can be counted");
        }
    }
}
