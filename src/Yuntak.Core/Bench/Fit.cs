namespace Yuntak.Core.Bench;

/// <summary>The verdict on a budget or a host, the best first.</summary>
public enum Fit
{
    /// <summary>Fits with room left.</summary>
    Fits,

    /// <summary>Fits, but it will hurt.</summary>
    Tight,

    /// <summary>Does not fit: something will fail.</summary>
    Over,
}
