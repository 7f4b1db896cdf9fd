using System.Text.Json;

namespace Yuntak.Web.Tests.Cli;

/// <summary>Which copies a rule leaves, as the command line says it.</summary>
public class RetentionCommandTests
{
    private static readonly string[] Usual = ["daily 7, weekly 4, monthly 6", "--taken", "22:30", "--until", "2027-12-31"];

    [Theory]
    [InlineData("overlapping", 14, "2027-07-31T22:30")]
    [InlineData("stacked", 17, "2027-05-31T22:30")]
    public void The_copies_that_are_left_are_said_in_JSON_the_newest_first(string school, int many, string oldest)
    {
        foreach (var from in new[] { Array.Empty<string>(), ["--from", "2026-01-01"] })
        {
            var kept = Kept([.. Usual, "--school", school, .. from]);
            kept.Count.ShouldBe(many);
            kept[0].ShouldBe("2027-12-31T22:30");
            kept[^1].ShouldBe(oldest);
        }
    }

    [Fact]
    public void What_is_protected_is_left_beside_the_others()
    {
        var kept = Kept([.. Usual, "--protect", "2027-03-01", "--protect", "2027-02-28"]);
        kept.Count.ShouldBe(16);
        kept[^2..].ShouldBe(["2027-03-01T22:30", "2027-02-28T22:30"]);
        Kept(["last 4", "--taken", "sun 01:00", "--until", "2027-12-31"])
            .ShouldBe(["2027-12-26T01:00", "2027-12-19T01:00", "2027-12-12T01:00", "2027-12-05T01:00"]);
    }

    [Fact]
    public void In_words_each_copy_says_what_it_is_kept_for()
    {
        var (ended, said, _) = CommandLine.Run(null, ["retention", .. Usual, "--protect", "2027-03-01"]);
        ended.ShouldBe(0);
        said.ShouldContain("15 copies left");
        said.ShouldContain("2027-12-31 22:30, Friday  daily, weekly, monthly");
        said.ShouldContain("2027-03-01 22:30, Monday  for good");
    }

    [Theory]
    [InlineData("daily x", "22:30", "2027-12-31", "no count of copies")]
    [InlineData("daily 7", "half past ten", "2027-12-31", "no time at which copies are taken")]
    [InlineData("daily 7", "22:30", "31.12.2027", "is no day")]
    [InlineData("daily 7", "22:30", "9999-12-31", "Days are counted from")]
    [InlineData("daily 7", "22:30", "0001-01-01", "Days are counted from")]
    public void What_cannot_be_read_is_said(string rule, string taken, string until, string why)
    {
        var (ended, _, problem) = CommandLine.Run(null, "retention", rule, "--taken", taken, "--until", until);
        ended.ShouldBe(2);
        problem.ShouldContain(why);
    }

    private static List<string> Kept(string[] asked)
    {
        var (ended, said, problem) = CommandLine.Run(null, ["retention", .. asked, "--json"]);
        ended.ShouldBe(0, problem);
        using var answer = JsonDocument.Parse(said);
        return [.. answer.RootElement.GetProperty("kept").EnumerateArray().Select(k => k.GetString()!)];
    }
}
