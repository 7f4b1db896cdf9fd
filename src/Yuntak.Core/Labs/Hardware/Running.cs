using Yuntak.Core.Units;

namespace Yuntak.Core.Labs;

/// <summary>Something that ran in a control group of the kernel when the host was read.</summary>
/// <param name="Group">The group's path below the root of control groups.</param>
/// <param name="Name">What it is called, as far as the path says.</param>
/// <param name="Memory">Memory it took then.</param>
/// <param name="Peak">The most it has taken since it started, when the kernel keeps that.</param>
/// <param name="ProcessorSeconds">Processor time since it started, in seconds, when that was read.</param>
/// <param name="Kind">What sort of guest it looks like; null when it looks like a service of the host's own.</param>
public sealed record Running(
    string Group,
    string Name,
    ByteSize Memory,
    ByteSize? Peak = null,
    double? ProcessorSeconds = null,
    Profiles.GuestKind? Kind = null
);
