using ArchUnitNET.Domain;
using ArchUnitNET.Fluent.Slices;
using ArchUnitNET.Loader;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Tests.House;

/// <summary>The arrows between the core's namespaces run one way, as those between projects do.</summary>
public class ArrowTests
{
    private static readonly Architecture Core = new ArchLoader().LoadAssemblies(typeof(Lab).Assembly).Build();

    [Fact]
    public void No_two_namespaces_use_each_other_not_even_round_a_corner()
    {
        var slices = SliceRuleDefinition.Slices().Matching("Yuntak.Core.(**)");
        slices.GetObjects(Core).Count().ShouldBeGreaterThan(12, "the namespaces are seen");
        slices.Should().BeFreeOfCycles().Evaluate(Core).Where(r => !r.Passed).Select(r => r.Description).ShouldBeEmpty();
    }
}
