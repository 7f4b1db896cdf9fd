using System.Globalization;
using System.Text;

namespace Yuntak.Core.Base;

/// <summary>Names people give, and ids made from them.</summary>
public static class Names
{
    /// <summary>The longest name that can be given, in characters.</summary>
    public const int LongestName = 63;

    /// <summary>A name as it will be kept: trimmed, without control characters; an error when it is empty or too long.</summary>
    /// <param name="text">What was typed.</param>
    /// <param name="what">What is being named, for the message.</param>
    /// <exception cref="Refused">The name is empty or longer than <see cref="LongestName"/>.</exception>
    public static string Checked(string? text, string what)
    {
        var name = Clean(text);
        return Problem(name, what) is { } problem ? throw new Refused(problem) : name;
    }

    /// <summary>What is wrong with a name as it would be kept; null when nothing is.</summary>
    /// <param name="name">The name.</param>
    /// <param name="what">What is being named, for the message.</param>
    public static string? Problem(string name, string what) =>
        name.Length == 0 ? $"Give the {what} a name."
        : name.Length > LongestName
            ? $"The {what}'s name has {name.Length} characters; {LongestName} are the most. It begins «{name[..20]}…»."
        : null;

    /// <summary>Text on one line without control characters, direction marks or halves of characters, trimmed: safe in any file and on any page.</summary>
    public static string Clean(string? text)
    {
        if (!(text ?? "").AsSpan().ContainsAnyExceptInRange(' ', '~'))
        {
            return (text ?? "").Trim();
        }

        var clean = new StringBuilder();
        foreach (var rune in (text ?? "").EnumerateRunes())
        {
            var category = Rune.GetUnicodeCategory(rune);
            if (category is not (UnicodeCategory.Control or UnicodeCategory.Format or UnicodeCategory.OtherNotAssigned))
            {
                clean.Append(rune);
            }
        }

        return clean.ToString().Trim();
    }

    /// <summary>A text as a message quotes it: its beginning, when it is long.</summary>
    public static string Short(string? text) =>
        text is null ? ""
        : text.Length > 60 ? text[..60] + "…"
        : text;

    /// <summary>An id made from a name: lower case letters, digits and hyphens, and not among <paramref name="taken"/>.</summary>
    public static string IdFrom(string name, IEnumerable<string> taken)
    {
        var slug = Slug(name);
        var used = taken.ToHashSet(StringComparer.Ordinal);
        var id = slug;
        for (var n = 2; used.Contains(id); n++)
        {
            id = $"{slug}-{n}";
        }

        return id;
    }

    /// <summary>A name as a file or service name may be: lower case letters, digits and single hyphens; «item» when nothing is left.</summary>
    public static string Slug(string name)
    {
        var slug = new StringBuilder();
        foreach (var c in name.ToLowerInvariant())
        {
            if (char.IsAsciiLetterOrDigit(c))
            {
                slug.Append(c);
            }
            else if (slug.Length > 0 && slug[^1] != '-')
            {
                slug.Append('-');
            }
        }

        var text = slug.ToString().Trim('-');
        return text.Length == 0 ? "item" : text;
    }

    /// <summary>Words with «a» or «an» before them, by their first letter: «an automation hub».</summary>
    public static string A(string words, bool capital = false) =>
        (capital ? "A" : "a") + (words.Length > 0 && "aeiouAEIOU".Contains(words[0], StringComparison.Ordinal) ? "n " : " ") + words;
}
