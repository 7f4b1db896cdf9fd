using System.Text.RegularExpressions;
using Yuntak.Core.Labs;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Kit;

public partial class PciClassTests
{
    private const string List = "/usr/share/misc/pci.ids";

    [Fact]
    [Reference("the class section of the pci.ids list, Debian package pci.ids")]
    public void Every_class_is_called_what_the_published_list_calls_it()
    {
        var published = Published();
        published.Count.ShouldBeGreaterThan(100, $"{List} has a class section");
        foreach (var known in PciClasses.All)
        {
            published.ShouldContainKeyAndValue(known.Code, known.Name);
        }
    }

    [Fact]
    [Reference("the class section of the pci.ids list, Debian package pci.ids")]
    public void Every_published_base_class_is_known() =>
        Published().Keys.Where(c => c.Length == 2).ShouldAllBe(c => PciClasses.Find(c) != null);

    [Theory]
    [Reference("PCI code and ID assignment specification, as the trade shortens it")]
    [InlineData("0108", "NVMe")]
    [InlineData("0106", "SATA")]
    [InlineData("0107", "SAS")]
    [InlineData("0104", "RAID")]
    [InlineData("0200", "Ethernet")]
    [InlineData("0300", "VGA")]
    [InlineData("0302", "3D")]
    [InlineData("0403", "audio")]
    [InlineData("0604", "bridge")]
    [InlineData("0c03", "USB")]
    [InlineData("1200", "accelerator")]
    [InlineData("12ff", "accelerator")]
    [InlineData("fe00", "other")]
    public void A_code_says_what_a_card_is(string code, string kind) => PciClasses.KindOf(code).ShouldBe(kind);

    private static Dictionary<string, string> Published()
    {
        Dictionary<string, string> classes = [];
        var at = "";
        foreach (var line in File.ReadLines(List).SkipWhile(l => !l.StartsWith("C 00", StringComparison.Ordinal)))
        {
            if (BaseClass().Match(line) is { Success: true } known)
            {
                at = known.Groups["code"].Value;
                classes[at] = known.Groups["name"].Value;
            }
            else if (SubClass().Match(line) is { Success: true } sub)
            {
                classes[at + sub.Groups["code"].Value] = sub.Groups["name"].Value;
            }
        }

        return classes;
    }

    [GeneratedRegex("^C (?<code>[0-9a-f]{2})  (?<name>.*)$", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex BaseClass();

    [GeneratedRegex("^\t(?<code>[0-9a-f]{2})  (?<name>.*)$", RegexOptions.ExplicitCapture, 1_000)]
    private static partial Regex SubClass();
}
