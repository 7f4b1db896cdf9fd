namespace Yuntak.Core.Rehearsals;

/// <summary>Outcomes in words, the same in answers and on screen.</summary>
public static class OutcomeWords
{
    /// <summary>An outcome in a word; a promise to people's scripts.</summary>
    public static string Word(this StepOutcome outcome) =>
        outcome switch
        {
            StepOutcome.Done => "done",
            StepOutcome.Refused => "refused",
            StepOutcome.Caught => "caught",
            StepOutcome.Harmless => "harmless",
            StepOutcome.Missed => "missed",
        };
}
