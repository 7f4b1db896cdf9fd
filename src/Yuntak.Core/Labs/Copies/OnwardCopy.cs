namespace Yuntak.Core.Labs;

/// <summary>Copies what is in one store into another.</summary>
/// <param name="From">The near store, by name.</param>
/// <param name="To">The far store, by name.</param>
/// <param name="Times">When it begins, by the clock on the wall.</param>
/// <param name="Way">Who begins it.</param>
/// <param name="Rights">What its account may do at the far store.</param>
/// <param name="Limit">The most it takes of the line, in Mbit/s; null for all there is.</param>
/// <param name="First">How the first copy gets there.</param>
/// <param name="Keep">What is kept there; null for what is kept here.</param>
/// <param name="School">How the counts of it go together.</param>
/// <param name="FingerprintCompared">The day the far store's fingerprint was compared over another way; null while nobody did.</param>
/// <param name="Stands">In a file: whether it is set up already.</param>
public sealed record OnwardCopy(
    string From,
    string To,
    string Times,
    OnwardWay Way = OnwardWay.Pull,
    OnwardRights Rights = OnwardRights.Add,
    double? Limit = null,
    FirstCopyWay First = FirstCopyWay.Line,
    string? Keep = null,
    Schedules.RetentionSchool School = Schedules.RetentionSchool.Overlapping,
    DateOnly? FingerprintCompared = null,
    bool Stands = false
)
{
    /// <summary>What it is known by among the others.</summary>
    public string Key => $"{From} to {To}";
}
