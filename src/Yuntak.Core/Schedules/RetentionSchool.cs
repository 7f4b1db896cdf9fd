namespace Yuntak.Core.Schedules;

/// <summary>How the counts of a retention go together.</summary>
public enum RetentionSchool
{
    /// <summary>Each count keeps the newest copy of its last periods that have one, whatever the others keep.</summary>
    Overlapping,

    /// <summary>From the shortest period to the longest: a period that has a kept copy already is passed over and does not count.</summary>
    Stacked,
}
