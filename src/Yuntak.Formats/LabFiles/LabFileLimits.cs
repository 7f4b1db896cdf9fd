using Yuntak.Core.Units;

namespace Yuntak.Formats.LabFiles;

/// <summary>How much of a lab file is read at most.</summary>
public static class LabFileLimits
{
    /// <summary>The longest file: 4 MiB. A lab of 20 hosts and 500 guests takes about a quarter of one.</summary>
    public static readonly ByteSize LongestFile = ByteSize.FromMiB(4);

    /// <summary>The deepest nesting; a lab file needs six.</summary>
    public const int Deepest = 20;

    /// <summary>The most values, lists and names together; a lab of 100 hosts and 1,000 guests has about an eighth of them.</summary>
    public const int MostValues = 400_000;

    /// <summary>The most values of a file in which references are followed, as Compose files use them: each may stand for many.</summary>
    public const int MostWithReferences = 100_000;

    /// <summary>The most lines; a lab of 100 hosts and 1,000 guests has about an eighth of them.</summary>
    public const int MostLines = 200_000;

    /// <summary>The longest line of YAML, in characters. JSON may stand on one line.</summary>
    public const int LongestLine = 256 << 10;

    /// <summary>The most problems reported at once.</summary>
    public const int MostProblems = 50;
}
