using System.Diagnostics;
using System.Globalization;
using System.Text;
using Yuntak.Tests;

namespace Yuntak.Formats.Tests;

/// <summary>
/// A run by time: texts put together at random from the pieces readers look for, nested, deep, long and repeated, the same in every run as far as it gets. Each reader
/// is through with each within a second of processor time, or says what is wrong. <c>YUNTAK_FUZZ</c> says how many seconds and, after a comma, the number it begins with.
/// </summary>
[Collection(nameof(Alone))]
public class FuzzTests
{
    private const double Most = 1;
    private const int Longest = 200_000;
    private static readonly string[] Heads =
    [
        "",
        "",
        "yuntak: 1\nname: x\nhosts:\n",
        "services:\n",
        "services:\n  a:\n    image: x\n    environment:\n",
        "<Envelope>",
        "name,kind,memory\n",
        "guest,time,bytes\n",
        "=== yuntak collect 1: host a, 2026-12-02, masked no ===\n=== yuntak part disks: x ===\n",
        "{\"blockdevices\":[",
    ];

    private static readonly string[] Words =
    [
        "a",
        "name",
        "kiln",
        "services",
        "image",
        "<<",
        "hosts",
        "guests",
        "pools",
        "disks",
        "volumes",
        "ports",
        "0",
        "99999999999",
        "-1",
        "1e999",
        "0x10",
        "4 GiB",
        "2026-12-02",
        "true",
        "null",
        "~",
        "é",
        "\uD83D\uDE00",
        "\0",
        "${A:-b}",
        "80:80",
        "10.3.0.20/24",
        "fe80::1",
        "sda",
        "nvme0n1",
        "0000:01:00.0",
    ];

    private static readonly string[] Marks =
    [
        ": ",
        ":",
        "- ",
        ", ",
        ",",
        ";",
        "\t",
        " ",
        "\n",
        "\n  ",
        "\n    ",
        "\n- ",
        "\r\n",
        "\"",
        "'",
        "|\n ",
        ">\n ",
        "#",
        "&a ",
        "*a",
        "!x ",
        "? ",
        "%",
        "=",
        "---\n",
        "...\n",
        "/",
        "\\",
        "@",
        "`",
        "<!--",
        "-->",
        "<![CDATA[",
        "&lt;",
        "=== yuntak part x: y ===\n",
    ];

    /// <summary>What opens, and what closes it.</summary>
    private static readonly (string Open, string Close)[] Pairs =
    [
        ("[", "]"),
        ("{", "}"),
        ("{a: ", "}"),
        ("{\"a\":", "}"),
        ("[{\"a\":[", "]}]"),
        ("<a>", "</a>"),
        ("<VirtualSystem>", "</VirtualSystem>"),
        ("\"", "\""),
        ("'", "'"),
        ("(", ")"),
        ("- ", ""),
        ("a:\n  ", ""),
        ("x: &a [", "]"),
        ("${", "}"),
        ("${a:-", "}"),
    ];

    [Fact]
    public void No_text_keeps_a_reader_busy_or_breaks_it()
    {
        var (seconds, seed) = Asked();
        var watch = Stopwatch.StartNew();
        List<string> slow = [];
        var tried = 0;
        for (; watch.Elapsed.TotalSeconds < seconds && slow.Count == 0; tried++)
        {
            var text = Text(new Random(seed + tried));
            foreach (var (name, read) in TextReaders.All)
            {
                if (ProcessorTime.Of(() => read(text), Most) >= Most)
                {
                    slow.Add(
                        $"{name}, number {seed + tried}, {text.Length:N0} characters: {text[..Math.Min(200, text.Length)].ReplaceLineEndings("⏎")}"
                    );
                }
            }
        }

        slow.ShouldBeEmpty();
        tried.ShouldBeGreaterThan(20, "or the machine was too busy to try anything");
    }

    private static (int Seconds, int Seed) Asked()
    {
        var asked = Environment.GetEnvironmentVariable("YUNTAK_FUZZ")?.Split(',');
        return asked is [var seconds, .. var rest]
            ? (int.Parse(seconds, CultureInfo.InvariantCulture), rest is [var seed] ? int.Parse(seed, CultureInfo.InvariantCulture) : 1)
            : (8, 1);
    }

    private static string Text(Random random)
    {
        var text = new StringBuilder(Heads[random.Next(Heads.Length)]);
        for (var parts = random.Next(1, 6); parts > 0 && text.Length < Longest; parts--)
        {
            text.Append(Piece(random, 3));
        }

        return text.Length > Longest ? text.ToString(0, Longest) : text.ToString();
    }

    /// <summary>A piece: a word, a mark, a few pieces in a row, one repeated, or one within many pairs.</summary>
    private static string Piece(Random random, int levels)
    {
        switch (levels == 0 ? random.Next(2) : random.Next(6))
        {
            case 0:
                return Words[random.Next(Words.Length)];
            case 1:
                return Marks[random.Next(Marks.Length)];
            case 2:
            {
                // Lines as files have them: a name, what parts it, a value.
                var lines = Enumerable
                    .Range(0, random.Next(1, 20))
                    .Select(_ =>
                        $"{new string(' ', 2 * random.Next(5))}{Piece(random, 0)}{(random.Next(2) == 0 ? ": " : ",")}{Piece(random, levels - 1)}\n"
                    );
                return Cut(string.Concat(lines));
            }
            case 3:
                return Cut(string.Concat(Enumerable.Range(0, random.Next(1, 8)).Select(_ => Piece(random, levels - 1))));
            case 4:
                return Repeated(Piece(random, levels - 1), Many(random));
            default:
            {
                var (open, close) = Pairs[random.Next(Pairs.Length)];
                var times = Many(random);
                // Closed as often as opened, not at all, or once too often.
                var closed = random.Next(3) switch
                {
                    0 => times,
                    1 => 0,
                    _ => times + 1,
                };
                return Cut(Repeated(open, times) + Piece(random, levels - 1) + Repeated(close, closed));
            }
        }
    }

    /// <summary>Often a few, sometimes so many that the text is as long as it may be.</summary>
    private static int Many(Random random) => (int)Math.Pow(10, random.NextDouble() * 5.2);

    private static string Repeated(string piece, int times) =>
        piece.Length == 0 ? "" : string.Concat(Enumerable.Repeat(piece, Math.Min(times, Math.Max(1, Longest / piece.Length))));

    private static string Cut(string text) => text.Length > Longest ? text[..Longest] : text;
}
