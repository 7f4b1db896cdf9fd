using System.Text.RegularExpressions;

namespace Yuntak.Bench;

/// <summary>What a form carries along without showing it.</summary>
internal static partial class HiddenField
{
    /// <summary>The value of the first field of a name on a page.</summary>
    public static string Of(string page, string name) =>
        Fields().Matches(page).First(m => m.Groups["name"].Value == name).Groups["value"].Value;

    [GeneratedRegex("<input name=\"(?<name>[^\"]+)\" type=\"hidden\" value=\"(?<value>[^\"]*)\"", RegexOptions.ExplicitCapture)]
    private static partial Regex Fields();
}
