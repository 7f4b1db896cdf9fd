using System.Reflection;
using System.Xml.Linq;
using Yuntak.Core.Profiles;

namespace Yuntak.Web.Tests;

/// <summary>The arrows between projects run one way: Web, Cli → Data, Formats → Core. Core uses nothing but the framework.</summary>
public class ArchitectureTests
{
    private static readonly Dictionary<string, string[]> Arrows = new(StringComparer.Ordinal)
    {
        ["Yuntak.Core"] = [],
        ["Yuntak.Formats"] = ["Yuntak.Core"],
        ["Yuntak.Data"] = ["Yuntak.Core"],
        ["Yuntak.Cli"] = ["Yuntak.Core", "Yuntak.Formats"],
        ["Yuntak.Web"] = ["Yuntak.Core", "Yuntak.Data", "Yuntak.Formats"],
    };

    public static TheoryData<string> Projects() => [.. Arrows.Keys];

    [Theory]
    [MemberData(nameof(Projects))]
    public void Each_project_knows_only_those_it_may(string project)
    {
        var known = Assembly.Load(project).GetReferencedAssemblies().Select(a => a.Name!).Where(n => n.StartsWith("Yuntak."));
        known.ShouldBeSubsetOf(Arrows[project]);
    }

    [Fact]
    public void The_core_uses_nothing_but_the_framework_libraries_for_numbers_prefixes_time_zones_and_a_solver()
    {
        var known = Assembly.Load("Yuntak.Core").GetReferencedAssemblies().Select(a => a.Name!);
        known.ShouldAllBe(n =>
            n.StartsWith("System.")
            || n == "MathNet.Numerics"
            || n == "Google.OrTools"
            || n == "NodaTime"
            || n == "netstandard"
            || n == "mscorlib"
        );
    }

    [Fact]
    public void The_core_has_no_clock_no_files_and_no_network()
    {
        string[] outside = ["System.IO.FileSystem", "System.Net.", "System.Diagnostics.Process", "Microsoft."];
        // What an address is, and the arithmetic of prefixes; no sockets.
        string[] sums = ["System.Net.Primitives", "System.Net.IPNetwork"];
        var known = Assembly.Load("Yuntak.Core").GetReferencedAssemblies().Select(a => a.Name!).Except(sums).ToList();
        known.ShouldNotContain(n => outside.Any(n.StartsWith));
        foreach (
            var file in Directory
                .EnumerateFiles(Path.Combine(Repository.Root, "src", "Yuntak.Core"), "*.cs", SearchOption.AllDirectories)
                .Where(f => !f.Contains("/obj/"))
        )
        {
            var code = File.ReadAllText(file);
            foreach (var word in new[] { "DateTime.", "DateTimeOffset.", "Stopwatch", "File.", "Directory.", "Environment." })
            {
                code.ShouldNotContain(word, Case.Sensitive, file);
            }
        }
    }

    [Fact]
    public void Every_package_version_is_pinned_in_one_place()
    {
        foreach (var project in Directory.EnumerateFiles(Repository.Root, "*.csproj", SearchOption.AllDirectories))
        {
            XDocument.Load(project).Descendants("PackageReference").Attributes("Version").ShouldBeEmpty(project);
        }

        var versions = XDocument
            .Load(Path.Combine(Repository.Root, "Directory.Packages.props"))
            .Descendants("PackageVersion")
            .Select(p => p.Attribute("Version")!.Value);
        versions.ShouldAllBe(v => !v.Contains('*') && !v.Contains('['));
    }

    [Fact]
    public void Files_stay_small()
    {
        var large =
            from file in Directory.EnumerateFiles(Path.Combine(Repository.Root, "src"), "*.cs", SearchOption.AllDirectories)
            where !file.Contains("/obj/") && !file.Contains("/Migrations/")
            let lines = File.ReadLines(file).Count()
            where lines > 320
            select $"{file}: {lines}";
        large.ShouldBeEmpty();
    }

    [Fact]
    public void A_file_is_of_one_namespace_and_says_so_once()
    {
        var wrong =
            from folder in new[] { "src", "tests" }
            from file in Directory.EnumerateFiles(Path.Combine(Repository.Root, folder), "*.cs", SearchOption.AllDirectories)
            where !file.Contains("/obj/") && !file.Contains("/bin/") && !file.Contains("/Migrations/")
            where File.ReadLines(file).Any(l => l.StartsWith("namespace ", StringComparison.Ordinal) && !l.EndsWith(';'))
            select file;
        wrong.ShouldBeEmpty();
    }

    /// <summary>In .NET it also matches the digits of other scripts, which no parser takes.</summary>
    [Fact]
    public void No_pattern_matches_digits_that_cannot_be_read()
    {
        var wrong =
            from file in Directory.EnumerateFiles(Path.Combine(Repository.Root, "src"), "*.cs", SearchOption.AllDirectories)
            where !file.Contains("/obj/") && !file.Contains("/bin/")
            let text = File.ReadAllText(file)
            where text.Contains("Regex", StringComparison.Ordinal) && text.Contains("\\d", StringComparison.Ordinal)
            select file;
        wrong.ShouldBeEmpty();
    }

    [Fact]
    public void Nothing_on_a_page_comes_from_elsewhere()
    {
        foreach (
            var file in Directory.EnumerateFiles(Path.Combine(Repository.Root, "src", "Yuntak.Web"), "*.*", SearchOption.AllDirectories)
        )
        {
            if (
                file.Contains("/wwwroot/lib/")
                || file.Contains("/bin/")
                || file.Contains("/obj/")
                || Path.GetExtension(file) is not (".cshtml" or ".css" or ".js")
            )
            {
                continue;
            }

            File.ReadAllText(file).Replace("http://www.w3.org/2000/svg", "").ShouldNotContain("://", Case.Insensitive, file);
        }
    }
}
