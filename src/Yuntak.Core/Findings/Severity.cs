namespace Yuntak.Core.Findings;

/// <summary>How bad a finding is, the mildest first.</summary>
public enum Severity
{
    /// <summary>Good to know.</summary>
    Note,

    /// <summary>It will hurt.</summary>
    Mind,

    /// <summary>It will fail or lose data.</summary>
    Stop,
}
