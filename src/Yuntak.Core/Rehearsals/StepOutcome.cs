namespace Yuntak.Core.Rehearsals;

/// <summary>What became of a step or of a fault in a rehearsal.</summary>
public enum StepOutcome
{
    /// <summary>The step was done and its check holds.</summary>
    Done,

    /// <summary>A host refused it, or it waits for one that was refused.</summary>
    Refused,

    /// <summary>A fault struck and the host, or the step's own check, showed it: it was put right and the step done.</summary>
    Caught,

    /// <summary>A fault struck, nothing showed it, and it did no harm.</summary>
    Harmless,

    /// <summary>A fault struck, nothing showed it, and something is wrong or lost at the end.</summary>
    Missed,
}
