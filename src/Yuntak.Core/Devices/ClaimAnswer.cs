namespace Yuntak.Core.Devices;

/// <summary>Whether a claim can be met.</summary>
public enum ClaimAnswer
{
    /// <summary>It can.</summary>
    Possible,

    /// <summary>It can, and something else goes along or is lost.</summary>
    Collateral,

    /// <summary>It cannot.</summary>
    Impossible,
}
