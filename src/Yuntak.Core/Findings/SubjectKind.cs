using Yuntak.Core.Labs;

namespace Yuntak.Core.Findings;

/// <summary>What a finding can be about.</summary>
public enum SubjectKind
{
    /// <summary>A host.</summary>
    Host,

    /// <summary>A pool of a host.</summary>
    Pool,

    /// <summary>A guest.</summary>
    Guest,

    /// <summary>The lab as a whole.</summary>
    Lab,
}
