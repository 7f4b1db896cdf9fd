using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>What closes gaps between how guests are kept and three copies on two kinds of medium, one elsewhere, one that nobody can change, none unchecked.</summary>
public static class KeepingSteps
{
    /// <summary>What is missing of a guest, the cheapest step for each gap, in words; empty when nothing is.</summary>
    public static IReadOnlyList<string> Of(HouseKeeping keeping, GuestKeeping guest)
    {
        List<string> steps = [];
        if (guest.Stores.Count == 0)
        {
            steps.Add(
                JobFor(keeping, guest.Guest.Id) is { } job ? $"put all of it into the job {job.Job.Name}" : "plan a job that copies it"
            );
        }

        if (guest.Unchecked > 0)
        {
            steps.Add($"let {string.Join(" and ", guest.Stores.Where(s => !s.IsChecked).Select(s => s.Store.Name))} read its copies back");
        }

        // Where part of it is carried on already, all of it is once all of it is copied.
        if (guest.Elsewhere == 0 && !(guest.Stores.Count == 0 && guest.Partly.Any(s => s.Store.IsElsewhere)))
        {
            steps.Add(
                keeping.Stores.FirstOrDefault(s => s.Store.IsElsewhere) is { } far
                    ? $"carry it on to {far.Store.Name}"
                    : $"carry it on to another place, or on a disk of {Needed(keeping, guest).ToDecimalString()} that is carried there"
            );
        }
        else if (guest.Copies < 3 && guest.Stores.Count > 0)
        {
            steps.Add("carry it on into a second store");
        }

        if (guest.Unchangeable == 0)
        {
            steps.Add(
                guest.Stores.Concat(guest.Partly).FirstOrDefault(s => s.Store.IsElsewhere) is { } store
                    ? $"let {store.Store.Name} refuse to delete before the time is up"
                    : "a disk that is unplugged between copies, or a store that refuses to delete before the time is up"
            );
        }

        if (guest.Mediums.Count < 2)
        {
            steps.Add($"a copy on something other than {(guest.Mediums.Count > 0 ? guest.Mediums[0] : "disks")}");
        }

        return steps;
    }

    /// <summary>The step that helps most guests, in words.</summary>
    public static string Cheapest(HouseKeeping keeping) =>
        keeping
            .Guests.Where(g => !g.SetUpAnew)
            .SelectMany(g => Of(keeping, g))
            .CountBy(s => s)
            .OrderByDescending(s => s.Value)
            .Select(s => $"{char.ToUpperInvariant(s.Key[0])}{s.Key[1..]} helps {(s.Value == 1 ? "one of them" : $"{s.Value} of them")}.")
            .FirstOrDefault("");

    /// <summary>The job that something of a guest belongs into: one that has some of the guest already, else the one with most in it, and never one into the store the guest itself keeps. Null where there is none.</summary>
    /// <param name="keeping">The house.</param>
    /// <param name="guest">The guest; null for what is no guest's.</param>
    public static JobSums? JobFor(HouseKeeping keeping, GuestId? guest) =>
        keeping
            .Jobs.Where(j => j.Store is { } store && (guest is null || store.Guest?.Id != guest))
            .OrderByDescending(j => guest is not null && j.Job.Takes.Any(p => p.Guest == guest))
            .ThenByDescending(j => j.Job.Takes.Count)
            .FirstOrDefault();

    /// <summary>The size of a disk that holds a whole copy, as disks are sold.</summary>
    private static ByteSize Needed(HouseKeeping keeping, GuestKeeping guest)
    {
        var all = keeping
            .Guests.Where(g => g is { Elsewhere: 0, SetUpAnew: false })
            .SelectMany(g => g.Volumes)
            .Aggregate(ByteSize.Zero, (sum, v) => sum + v.Size);
        var most = ByteSize.Max(all, guest.Volumes.Aggregate(ByteSize.Zero, (sum, v) => sum + v.Size));
        return SoldDisks.Holding(most) ?? ByteSize.FromTB(Math.Ceiling(most.Bytes / 1e12));
    }
}
