using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>Something mounted when the host was read.</summary>
/// <param name="Target">Where.</param>
/// <param name="Source">From what: a device, a share of another machine, a data set of a pool.</param>
/// <param name="FileSystem">The file system, as the kernel names it.</param>
/// <param name="Options">Its options, as the kernel lists them.</param>
/// <param name="Size">Its size, when that was read.</param>
/// <param name="Used">What is in it, when that was read.</param>
/// <param name="Uuid">Its UUID, when that was read.</param>
public sealed record Mount(
    string Target,
    string Source,
    string FileSystem,
    string? Options = null,
    ByteSize? Size = null,
    ByteSize? Used = null,
    string? Uuid = null
)
{
    /// <summary>Whether it comes from another machine over the network: «name:/folder» or «//name/folder».</summary>
    public bool FromNetwork =>
        Source.StartsWith("//", StringComparison.Ordinal)
        || (Source.IndexOf(":/", StringComparison.Ordinal) > 0 && !Source.StartsWith('/'));

    /// <summary>Whether nothing on it may be run.</summary>
    public bool NoExecution => Options is not null && Options.Split(',').Contains("noexec");
}
