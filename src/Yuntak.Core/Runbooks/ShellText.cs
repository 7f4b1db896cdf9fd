namespace Yuntak.Core.Runbooks;

/// <summary>Words for a shell.</summary>
internal static class ShellText
{
    /// <summary>A path as a shell takes it for one word (POSIX, 2.2.2 single quotes): as it is when nothing in it means anything to a shell.</summary>
    public static string Quoted(string path) =>
        path.All(c => char.IsAsciiLetterOrDigit(c) || c is '/' or '-' or '_' or '.')
            ? path
            : $"'{path.Replace("'", "'\\''", StringComparison.Ordinal)}'";
}
