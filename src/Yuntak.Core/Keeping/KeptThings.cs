using Yuntak.Core.Labs;

namespace Yuntak.Core.Keeping;

/// <summary>What of stores, jobs and onward copies asks for work: neither what was measured of them nor what is only wished.</summary>
internal static class KeptThings
{
    /// <summary>A store, as far as something has to be done for it.</summary>
    public static Store Essence(Store store) =>
        store with
        {
            Room = null,
            Reduction = null,
            KeyTried = null,
            Writes = null,
            Reads = null,
            Medium = null,
            Line = null,
            Stands = false,
        };

    /// <summary>A job, as far as something has to be done for it: without what it takes of guests that are on no host.</summary>
    public static CopyJob Essence(Lab lab, CopyJob job) =>
        job with
        {
            Rate = null,
            BackDays = null,
            DailyDays = null,
            Stands = false,
            Takes = [.. job.Takes.Where(p => IsThere(lab, p)).Select(p => p with { Size = null, Changes = null, Why = "" })],
        };

    /// <summary>An onward copy, as far as something has to be done for it.</summary>
    public static OnwardCopy Essence(OnwardCopy onward) =>
        onward with
        {
            First = FirstCopyWay.Line,
            FingerprintCompared = null,
            Stands = false,
        };

    /// <summary>Whether what a store lies in is planned.</summary>
    public static bool IsThere(Lab lab, Store store) =>
        (store.Guest is not { } guest || OnHost(lab, guest)) && (store.Host is not { } host || lab.Host(host) is not null);

    /// <summary>Whether a job can be: its store is planned.</summary>
    public static bool IsThere(Lab lab, CopyJob job) => lab.Stores.Any(s => s.Name == job.Store && IsThere(lab, s));

    /// <summary>Whether an onward copy can be: both its stores are planned.</summary>
    public static bool IsThere(Lab lab, OnwardCopy onward) =>
        new[] { onward.From, onward.To }.All(name => lab.Stores.Any(s => s.Name == name && IsThere(lab, s)));

    /// <summary>Whether what a job takes is there to be taken.</summary>
    public static bool IsThere(Lab lab, JobPart part) =>
        (part.Guest is not { } guest || OnHost(lab, guest))
        && (part.Host is not { } host || lab.Host(host) is not null)
        && (part.Folder is not { } folder || IsThere(lab, folder));

    /// <summary>A share is a folder for who has it as a library, and so as long as one of them is on a host.</summary>
    private static bool IsThere(Lab lab, string folder) =>
        lab.Folders.Any(f => f.Name == folder)
        || lab.AllFolders.Any(f => f.Name == folder && f.Uses.Any(u => u.InPlaceOfBulk && OnHost(lab, u.Guest)));

    /// <summary>All of it, by what it is called, as simulated hosts keep it.</summary>
    public static IEnumerable<KeyValuePair<string, string>> Of(Lab lab) =>
        lab
            .Stores.Where(s => IsThere(lab, s))
            .Select(s => Of(s))
            .Concat(lab.Jobs.Where(j => IsThere(lab, j)).Select(j => Of(lab, j)))
            .Concat(lab.Onward.Where(o => IsThere(lab, o)).Select(Of));

    /// <summary>A store.</summary>
    public static KeyValuePair<string, string> Of(Store store) =>
        new($"store {store.Name}", StoreShapes.Store.Write(Essence(store)).ToJsonString());

    /// <summary>A job.</summary>
    public static KeyValuePair<string, string> Of(Lab lab, CopyJob job) =>
        new($"job {job.Name}", JobShapes.Job.Write(Essence(lab, job)).ToJsonString());

    /// <summary>An onward copy.</summary>
    public static KeyValuePair<string, string> Of(OnwardCopy onward) =>
        new($"onward {onward.Key}", OnwardShapes.Onward.Write(Essence(onward)).ToJsonString());

    private static bool OnHost(Lab lab, GuestId id) => lab.Guest(id) is { } guest && lab.HostOf(guest) is not null;
}
