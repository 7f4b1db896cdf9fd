namespace Yuntak.Core.Labs;

/// <summary>When somebody is told how a job went.</summary>
public enum ToldWhen
{
    /// <summary>Only when something fails.</summary>
    Failure,

    /// <summary>Every time.</summary>
    Always,

    /// <summary>Never.</summary>
    Never,
}
