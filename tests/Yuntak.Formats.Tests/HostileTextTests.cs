using Yuntak.Formats.Definitions;
using Yuntak.Formats.LabFiles;
using Yuntak.Tests;

namespace Yuntak.Formats.Tests;

/// <summary>
/// Texts made to keep a reader busy: nested, deep, long, repeated, each as long as a text may be. Every reader is through with each within two seconds of processor
/// time, and says something instead of breaking. Fixed shapes here, beside the slips of <see cref="Mutations"/>.
/// </summary>
[Collection(nameof(Alone))]
public class HostileTextTests
{
    private const double Most = 1;

    /// <summary>Half of the longest text that is read: what is through with that in half the time is through with all of it.</summary>
    private static readonly int Longest = (int)LabFileLimits.LongestFile.Bytes / 2;

    public static TheoryData<string> Names() => [.. TextReaders.All.Keys];

    /// <summary>Short pieces that are repeated until the text is as long as it may be, with what stands before and behind.</summary>
    private static IEnumerable<(string Name, string Text)> Shapes()
    {
        foreach (
            var piece in new[]
            {
                "a",
                "a,",
                "a ",
                "a;b\t",
                "\"",
                "'",
                "\"\"",
                "9",
                " ",
                "\t",
                "\n",
                "\r",
                "\r\n",
                " \n",
                "-",
                "- ",
                "-\n",
                ":",
                ": ",
                "a: ",
                "a:\n",
                "[",
                "]",
                "{",
                "}",
                "[[],",
                "{a: ",
                "{\"a\":",
                "[{\"a\":[",
                "<",
                "<a>",
                "<a/>",
                "<!--",
                "&a ",
                "*a ",
                "!a ",
                "? ",
                "| ",
                ">\n ",
                "#",
                "# a\n",
                "%",
                "@",
                "\\",
                "${",
                "${a:-",
                "\0",
                "\uFEFF",
                "\u2028",
                "=== yuntak part disks: x ===\n",
                "=== yuntak part",
                "services:\n",
                "  a:\n    image: x\n",
                "name,",
                "name,kind\n",
                "guest,time\n",
                "a,b,c,d\n",
                "1.2.3.4 ",
                "1.2.3.4 a\n",
                "dev sda\n",
                "a=b\n",
                "a: b\n",
                "a:b\n\n",
                "Handle 0x0\n",
                "0000:00:00.0 a\n",
                "sda\n",
            }
        )
        {
            yield return (piece, Repeated(piece, Longest));
        }

        // A first line that says which reader it is for, and then one endless one.
        foreach (
            var head in new[]
            {
                "name,kind\n",
                "guest,time,bytes\n",
                "services:\n  a:\n    image: ",
                "yuntak: 1\nname: ",
                "<Envelope><a>",
                "=== yuntak collect 1: host a, 2026-12-02, masked no ===\n=== yuntak part disks: x ===\n",
                "{\"blockdevices\":[",
            }
        )
        {
            foreach (var piece in new[] { "a", "a,", "\"", " ", "[", "{\"a\":", "<a>", "\n", "\\\"" })
            {
                yield return ($"{head} then {piece}", head + Repeated(piece, Longest - head.Length));
            }
        }

        yield return ("merges in merges", MergesInMerges(8, 14));
        yield return ("merges in a list of merges", MergesInMerges(20, 14));
        yield return ("names that are lists of references", Keys());
        yield return ("deep elements", "<Envelope>" + Repeated("<a>", 120_000) + Repeated("</a>", 160_000) + "</Envelope>");
        yield return ("deep elements with text", "<Envelope>" + Repeated("<VirtualSystem><Name>", 120_000));
        yield return ("many systems", "<Envelope>" + Repeated("<VirtualSystem><Name>a</Name></VirtualSystem>", Longest) + "</Envelope>");
        yield return (
            "many disks",
            "<Envelope><DiskSection>" + Repeated("<Disk diskId=\"a\" capacity=\"x\"/>", Longest) + "</DiskSection></Envelope>"
        );
        yield return ("many services", "services:\n" + string.Concat(Enumerable.Range(0, 120_000).Select(n => $"  s{n}:\n    image: a\n")));
        yield return ("one service, many ports", "services:\n  a:\n    ports:\n" + Repeated("    - \"80:80\"\n", Longest - 1_000));
        yield return ("one service, many folders", "services:\n  a:\n    volumes:\n" + Repeated("    - /a:/b\n", Longest - 1_000));
        yield return ("one guest, many columns", Repeated("name,", Longest / 2) + "\n" + Repeated("a,", Longest / 2 - 10));
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void Whatever_shape_a_text_has_it_is_through_in_a_moment(string reader)
    {
        var read = TextReaders.All[reader];
        read("name: x");
        List<string> slow = [];
        var tried = 0;
        foreach (var (name, text) in Shapes())
        {
            tried++;
            var took = ProcessorTime.Of(() => read(text), Most);
            if (took >= Most || Environment.GetEnvironmentVariable("YUNTAK_TIMES") is { Length: > 0 } && took > 0.3)
            {
                slow.Add($"{name[..Math.Min(60, name.Length)].ReplaceLineEndings("⏎")}: {took:0.00} s");
            }
        }

        tried.ShouldBeGreaterThan(120);
        slow.ShouldBeEmpty();
    }

    [Fact]
    public void A_service_that_merges_without_end_is_named_and_the_others_are_read()
    {
        var reading = DefinitionReader.Read(MergesInMerges(8, 14) + "  plain:\n    image: registry.example/plain:1\n");
        reading.Guests.Select(g => g.Name).ShouldBe(["plain"]);
        reading.Lines.ShouldContain(l => !l.Read && l.Text.Contains("service «many» merges in"));
    }

    private static string Repeated(string piece, int length) => string.Concat(Enumerable.Repeat(piece, Math.Max(1, length / piece.Length)));

    /// <summary>Levels of mappings, each of which merges in the one before many times.</summary>
    private static string MergesInMerges(int levels, int times)
    {
        var text = "x0: &m0 { a: b }\n";
        for (var n = 1; n <= levels; n++)
        {
            text += $"x{n}: &m{n} {{ <<: [{string.Join(", ", Enumerable.Repeat($"*m{n - 1}", times))}] }}\n";
        }

        return text + $"services:\n  many:\n    <<: *m{levels}\n    image: registry.example/many:1\n";
    }

    /// <summary>Lists of references to lists of references, used as names: whoever compares names walks all of them.</summary>
    private static string Keys()
    {
        var text = "services:\n  a: { image: b }\nx0: &k0 [a]\n";
        for (var n = 1; n <= 12; n++)
        {
            text += $"x{n}: &k{n} [{string.Join(", ", Enumerable.Repeat($"*k{n - 1}", 12))}]\n";
        }

        return text + "? *k12\n: a\n";
    }
}
