using System.Buffers;
using System.Text;

namespace Yuntak.Formats.Exports;

/// <summary>Texts in a file that is Markdown.</summary>
internal static class MarkdownText
{
    private static readonly SearchValues<char> Signs = SearchValues.Create("\\`*_{}[]<>#|~!");

    /// <summary>Names people gave must stay names: every sign that Markdown or HTML reads is escaped, and all stays on one line.</summary>
    public static string Plain(string text)
    {
        var escaped = new StringBuilder(text.Length);
        foreach (var c in text.ReplaceLineEndings(" ").Where(c => !char.IsControl(c)))
        {
            escaped.Append(Signs.Contains(c) ? "\\" : "").Append(c);
        }

        return escaped.ToString();
    }
}
