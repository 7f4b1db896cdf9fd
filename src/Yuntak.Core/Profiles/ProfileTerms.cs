using Yuntak.Core.Base;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Profiles;

/// <summary>One of the sums a profile is made of.</summary>
/// <param name="Word">Its name in files.</param>
/// <param name="Member">The member of a profile it is.</param>
/// <param name="Label">What people call it.</param>
/// <param name="Unit">The unit its amounts are in.</param>
/// <param name="Of">Its terms in a profile.</param>
/// <param name="With">The profile with other terms.</param>
public sealed record ProfileTerms(
    string Word,
    string Member,
    string Label,
    string Unit,
    Func<Profile, ValueList<Term>> Of,
    Func<Profile, ValueList<Term>, Profile> With
)
{
    /// <summary>Every sum, in the order people think of them.</summary>
    public static readonly IReadOnlyList<ProfileTerms> All =
    [
        new("idle", nameof(Profile.Idle), "cores at rest", "cores", p => p.Idle, (p, t) => p with { Idle = t }),
        new("busy", nameof(Profile.Busy), "cores when busiest", "cores", p => p.Busy, (p, t) => p with { Busy = t }),
        new("memory", nameof(Profile.Memory), "memory", "GiB", p => p.Memory, (p, t) => p with { Memory = t }),
        new("system-disk", nameof(Profile.SystemDisk), "system disk", "GiB", p => p.SystemDisk, (p, t) => p with { SystemDisk = t }),
        new("bulk", nameof(Profile.Bulk), "bulk data", "GB", p => p.Bulk, (p, t) => p with { Bulk = t }),
        new("encode", nameof(Profile.Encode), "to convert", "Mpx/s", p => p.Encode, (p, t) => p with { Encode = t }),
        new("bandwidth", nameof(Profile.Bandwidth), "over the network", "Mbit/s", p => p.Bandwidth, (p, t) => p with { Bandwidth = t }),
        new(
            "accelerator",
            nameof(Profile.Accelerator),
            "share of an AI accelerator",
            "",
            p => p.Accelerator,
            (p, t) => p with { Accelerator = t }
        ),
        new("scratch", nameof(Profile.Scratch), "scratch space", "GB", p => p.Scratch, (p, t) => p with { Scratch = t }),
        new(
            "client-memory",
            nameof(Profile.ClientMemory),
            "memory of a machine started from it",
            "GiB",
            p => p.ClientMemory,
            (p, t) => p with { ClientMemory = t }
        ),
        new("fetch", nameof(Profile.Fetch), "fetched at each start", "GB", p => p.Fetch, (p, t) => p with { Fetch = t }),
        new(
            "graphics-memory",
            nameof(Profile.GraphicsMemory),
            "graphics memory",
            "GiB",
            p => p.GraphicsMemory,
            (p, t) => p with { GraphicsMemory = t }
        ),
        new(
            "least-processors",
            nameof(Profile.LeastProcessors),
            "at least, processors",
            "",
            p => p.LeastProcessors,
            (p, t) => p with { LeastProcessors = t }
        ),
        new(
            "least-memory",
            nameof(Profile.LeastMemory),
            "at least, memory",
            "GiB",
            p => p.LeastMemory,
            (p, t) => p with { LeastMemory = t }
        ),
    ];
}
