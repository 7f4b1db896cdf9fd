using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Findings;

/// <summary>What a finding is about.</summary>
/// <param name="Kind">Host, pool or guest.</param>
/// <param name="Id">Its identity; a pool's is «host/pool», each part escaped so that the slash between them is the only one.</param>
/// <param name="Name">What people call it.</param>
public sealed record Subject(SubjectKind Kind, string Id, string Name)
{
    /// <summary>A host.</summary>
    public static Subject Of(Host host) => new(SubjectKind.Host, host.Id.Value, host.Name);

    /// <summary>A guest.</summary>
    public static Subject Of(Guest guest) => new(SubjectKind.Guest, guest.Id.Value, guest.Name);

    /// <summary>The lab as a whole.</summary>
    public static Subject Of(Lab lab) => new(SubjectKind.Lab, "", lab.Name);

    /// <summary>A pool of a host.</summary>
    public static Subject Of(Host host, Pool pool) =>
        new(SubjectKind.Pool, $"{Uri.EscapeDataString(host.Id.Value)}/{Uri.EscapeDataString(pool.Name)}", pool.Name);
}
