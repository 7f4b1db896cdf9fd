namespace Yuntak.Core.Labs;

/// <summary>Which images a processor runs, by the names kernels and image registries use for processor families.</summary>
public static class ProcessorFamily
{
    private static readonly Dictionary<string, string> Aliases = new(StringComparer.OrdinalIgnoreCase)
    {
        ["amd64"] = "x86_64",
        ["x86-64"] = "x86_64",
        ["x64"] = "x86_64",
        ["arm64"] = "aarch64",
        ["armv8"] = "aarch64",
        ["i386"] = "x86",
        ["i686"] = "x86",
        ["386"] = "x86",
        ["armv7"] = "armv7l",
        ["armhf"] = "armv7l",
    };

    /// <summary>The families people name most, as kernels write them.</summary>
    public static readonly IReadOnlyList<string> Usual = ["x86_64", "aarch64", "armv7l", "riscv64"];

    /// <summary>One name for all the names of a family.</summary>
    public static string Named(string family) => Aliases.GetValueOrDefault(family.Trim(), family.Trim());

    /// <summary>Whether a processor runs what is made for a family. 64-bit x86 runs 32-bit x86 too (x86-64 architecture manual, compatibility mode); nothing else is taken for granted.</summary>
    public static bool Runs(string processor, string madeFor)
    {
        var (has, wants) = (Named(processor), Named(madeFor));
        return string.Equals(has, wants, StringComparison.OrdinalIgnoreCase) || (has == "x86_64" && wants == "x86");
    }
}
