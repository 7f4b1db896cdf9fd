using CsCheck;
using Yuntak.Tests;

namespace Yuntak.Formats.Tests;

/// <summary>Texts as they come to be by a slip: a piece cut out, another put in its place.</summary>
internal static class Mutations
{
    private static readonly string[] Always = ["{", "}", "[", "]", "\"", "\\", ":", ",", "\n", "\r", "99999999999999999999"];

    /// <summary>Mutations of a text.</summary>
    /// <param name="text">The text.</param>
    /// <param name="words">What may be put in besides brackets, marks and odd characters: the words of its format.</param>
    public static Gen<string> Of(string text, params string[] words) =>
        from at in Gen.Int[0, text.Length - 1]
        from length in Gen.Int[0, 80]
        from insert in Gen.OneOf(Gen.String[0, 12], Pick.From([.. Always, .. words]))
        select text.Remove(at, Math.Min(length, text.Length - at)).Insert(at, insert);
}
