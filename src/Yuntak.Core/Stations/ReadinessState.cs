using Yuntak.Core.Runbooks;

namespace Yuntak.Core.Stations;

/// <summary>How a line of the readiness list stands.</summary>
public enum ReadinessState
{
    /// <summary>Known, and as it should be.</summary>
    Good,

    /// <summary>Nobody knows: the person is asked.</summary>
    Asked,

    /// <summary>Known, and not as it should be.</summary>
    Fault,
}
