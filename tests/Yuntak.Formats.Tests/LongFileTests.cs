using System.Diagnostics;
using System.Text;
using Yuntak.Formats.LabFiles;

namespace Yuntak.Formats.Tests;

/// <summary>A file that is long, or wrong in very many places, is read in the time its length asks for and no more.</summary>
public class LongFileTests
{
    [Fact]
    public void A_file_that_is_wrong_everywhere_names_fifty_problems_and_stops()
    {
        var watch = Stopwatch.StartNew();
        var reading = LabFile.Read("yuntak: 1\nname: x\nhosts: []\nguests:\n" + string.Concat(Enumerable.Repeat("- {}\n", 28_000)));

        reading.Lab.ShouldBeNull();
        reading.Problems.Count.ShouldBe(50);
        // It took 62 s; a tenth of that leaves room for the slowest machine.
        watch.Elapsed.ShouldBeLessThan(TimeSpan.FromSeconds(6));
    }

    [Fact]
    public void A_file_of_more_values_than_any_lab_has_is_refused_before_it_is_built_up() =>
        LabFile
            .Read("yuntak: 1\nguests:\n" + string.Concat(Enumerable.Repeat("- [1, 2, 3, 4]\n", 100_000)))
            .Problems.Single()
            .ToString()
            .ShouldContain("more than 400,000 values");

    [Fact]
    public void A_file_of_more_lines_or_a_longer_one_than_any_lab_has_is_refused_with_the_line()
    {
        LabFile
            .Read("yuntak: 1\n" + new string('\n', 300_000))
            .Problems.Single()
            .ToString()
            .ShouldContain("line 200001: more than 200,000 lines");
        LabFile
            .Read("yuntak: 1\nname: " + new string('a', 300_000))
            .Problems.Single()
            .ToString()
            .ShouldContain("line 2: a line longer than");
    }

    /// <summary>Four times the guests take four times as long, not sixteen: ratios in one run, with room for a busy machine.</summary>
    [Theory]
    [InlineData("")]
    [InlineData("  runs-in: engine\n")]
    public void Reading_is_linear_in_the_length(string more)
    {
        var (few, many) = (File(230, more), File(920, more));
        Time(few);
        // In turns, and the quickest of each: whatever else the machine does for a moment then strikes both.
        var (small, large) = (double.MaxValue, double.MaxValue);
        for (var round = 0; round < 6; round++)
        {
            small = Math.Min(small, Time(few));
            large = Math.Min(large, Time(many));
        }

        (large / small).ShouldBeLessThan(10);

        static double Time(string text)
        {
            var watch = Stopwatch.StartNew();
            LabFile.Read(text).Problems.ShouldBeEmpty();
            return watch.Elapsed.TotalMilliseconds;
        }
    }

    private static string File(int guests, string more)
    {
        var text = new StringBuilder(
            "yuntak: 1\nname: x\nhosts:\n- name: kiln\n  processor: { architecture: x86_64, cores: 8 }\n  memory: 64 GiB\nguests:\n"
                + "- name: engine\n  kind: machine\n  wants: [{ profile: app-engine }]\n  on: { host: kiln }\n"
        );
        for (var n = 0; n < guests; n++)
        {
            text.Append(
                System.Globalization.CultureInfo.InvariantCulture,
                $"- name: g{n}\n  kind: app-stack\n  wants: [{{ profile: wiki }}]\n{more}"
            );
        }

        return text.ToString();
    }
}
