namespace Yuntak.Core.Arranging;

/// <summary>What was proven of an arrangement.</summary>
public enum ArrangeStatus
{
    /// <summary>Nothing better is to be had.</summary>
    Optimal,

    /// <summary>The best that was found in the time; each goal says how much better it could be at most.</summary>
    Feasible,

    /// <summary>What was asked cannot be: the host that is to be emptied cannot.</summary>
    Infeasible,
}
