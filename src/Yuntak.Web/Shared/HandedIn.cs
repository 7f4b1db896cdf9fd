using Yuntak.Core.Base;
using Yuntak.Core.Shapes;
using Yuntak.Formats.Intake;

namespace Yuntak.Web.Shared;

/// <summary>Text somebody hands in: a file or, without one, what was pasted.</summary>
internal static class HandedIn
{
    /// <summary>The longest text that is shown again beside what is wrong with it, in characters.</summary>
    public const int LongestEcho = 64 << 10;

    /// <summary>The text, or why there is none.</summary>
    public static async Task<(string? Text, string? Problem)> ReadAsync(IFormFile? file, string? pasted)
    {
        var text = pasted;
        if (file is { Length: > 0 })
        {
            await using var stream = file.OpenReadStream();
            text = TextDecoder.Read(stream, out var problem);
            if (problem is not null)
            {
                return (null, problem);
            }
        }

        return string.IsNullOrWhiteSpace(text) ? (null, "Choose a file or paste its text.") : (text, null);
    }

    /// <summary>The text of a list within a form; empty where nothing was handed in.</summary>
    /// <param name="file">The file; null for none.</param>
    /// <param name="pasted">What was pasted instead.</param>
    /// <param name="mebibytes">The most a file may have.</param>
    /// <exception cref="Refused">It is no text, or too long.</exception>
    public static string List(IFormFile? file, string? pasted, int mebibytes)
    {
        if (file is not { Length: > 0 })
        {
            return pasted ?? "";
        }

        if (file.Length > (long)mebibytes << 20)
        {
            throw new Refused($"Such a list is no larger than {mebibytes} MiB; nothing was read.");
        }

        using var stream = file.OpenReadStream();
        var text = TextDecoder.Read(stream, out var problem);
        return problem is null ? text : throw new Refused($"{problem} Nothing was read.");
    }
}
