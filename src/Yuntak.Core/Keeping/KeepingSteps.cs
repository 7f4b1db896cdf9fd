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
            steps.Add(keeping.Jobs.Count > 0 ? $"put all of it into the job {Nearest(keeping).Job.Name}" : "plan a job that copies it");
        }

        if (guest.Unchecked > 0)
        {
            steps.Add($"let {string.Join(" and ", guest.Stores.Where(s => !s.IsChecked).Select(s => s.Store.Name))} read its copies back");
        }

        if (guest.Elsewhere == 0)
        {
            steps.Add(
                keeping.Stores.FirstOrDefault(s => s.Store.IsElsewhere) is { } far
                    ? $"carry it on to {far.Store.Name}"
                    : $"carry it on to another place, or on a disk of {Needed(keeping, guest).ToDecimalString()} that is carried there"
            );
        }
        else if (guest.Copies < 3)
        {
            steps.Add("carry it on into a second store");
        }

        if (guest.Unchangeable == 0)
        {
            steps.Add(
                guest.Stores.FirstOrDefault(s => s.Store.IsElsewhere) is { } store
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
            .Guests.SelectMany(g => Of(keeping, g))
            .CountBy(s => s)
            .OrderByDescending(s => s.Value)
            .Select(s => $"{char.ToUpperInvariant(s.Key[0])}{s.Key[1..]} helps {(s.Value == 1 ? "one of them" : $"{s.Value} of them")}.")
            .FirstOrDefault("");

    /// <summary>The job that something that is in none belongs to most likely: the one with most in it.</summary>
    internal static JobSums Nearest(HouseKeeping keeping) => keeping.Jobs.MaxBy(j => j.Job.Takes.Count)!;

    /// <summary>The size of a disk that holds a whole copy, as disks are sold.</summary>
    private static ByteSize Needed(HouseKeeping keeping, GuestKeeping guest)
    {
        var all = keeping.Guests.Where(g => g.Elsewhere == 0).SelectMany(g => g.Volumes).Aggregate(ByteSize.Zero, (sum, v) => sum + v.Size);
        var most = ByteSize.Max(all, guest.Volumes.Aggregate(ByteSize.Zero, (sum, v) => sum + v.Size));
        return SoldDisks.Holding(most) ?? ByteSize.FromTB(Math.Ceiling(most.Bytes / 1e12));
    }
}
