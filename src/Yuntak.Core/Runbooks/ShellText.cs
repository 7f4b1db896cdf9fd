using Yuntak.Core.Labs;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>Words for a shell.</summary>
public static class ShellText
{
    /// <summary>A text as a shell takes it for one word (POSIX, 2.2.2 single quotes): as it is when nothing in it means anything to a shell.</summary>
    /// <param name="text">The text; line breaks and other control characters become blanks, so that it stays on its line.</param>
    public static string Quoted(string text)
    {
        var line = string.Concat(text.Select(c => char.IsControl(c) ? ' ' : c));
        return line.Length > 0 && line.All(c => char.IsAsciiLetterOrDigit(c) || c is '/' or '-' or '_' or '.')
            ? line
            : $"'{line.Replace("'", "'\\''", StringComparison.Ordinal)}'";
    }

    /// <summary>A line of shell that puts a line into a file unless it is there already.</summary>
    internal static string LineInto(string file, string line) =>
        $"grep -qxF -- {Quoted(line)} {file} || printf '%s\\n' {Quoted(line)} >> {file}";

    /// <summary>Reads /etc/fstab anew, checks it, and looks into a folder that is mounted at its first use.</summary>
    /// <param name="place">The folder.</param>
    public static string TryMount(string place) => $"systemctl daemon-reload && findmnt --verify && ls -- {Quoted(place)}";
}
