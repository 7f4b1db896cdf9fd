using Yuntak.Core.Base;

namespace Yuntak.Core.Labs;

/// <summary>Copies guests, folders and settings into a store, again and again.</summary>
/// <param name="Name">What people call it, once in a lab.</param>
/// <param name="Store">The store it copies into, by name.</param>
/// <param name="Times">When it begins, by the clock on the wall: «22:30», «sun 01:00».</param>
/// <param name="Takes">What it copies, in this order.</param>
/// <param name="Mode">What happens to a guest meanwhile.</param>
/// <param name="Limit">The most it takes of the network, in Mbit/s; null for all there is.</param>
/// <param name="Keep">What is kept: «daily 7, weekly 4, monthly 6»; null for everything.</param>
/// <param name="School">How the counts of it go together.</param>
/// <param name="BackDays">How many days one wants to be able to go back; null while nobody said.</param>
/// <param name="DailyDays">For how many days back a copy of every day is wanted; null while nobody said.</param>
/// <param name="Told">When somebody is told how it went.</param>
/// <param name="SilentDays">After how many days without word of it somebody is told; null for never.</param>
/// <param name="Rate">What it copies, in MB/s, as measured.</param>
/// <param name="Stands">In a file: whether it is set up already.</param>
public sealed record CopyJob(
    string Name,
    string Store,
    string Times,
    ValueList<JobPart> Takes = default,
    CopyMode Mode = CopyMode.Snapshot,
    double? Limit = null,
    string? Keep = null,
    Schedules.RetentionSchool School = Schedules.RetentionSchool.Overlapping,
    int? BackDays = null,
    int? DailyDays = null,
    ToldWhen Told = ToldWhen.Failure,
    int? SilentDays = null,
    double? Rate = null,
    bool Stands = false
);
