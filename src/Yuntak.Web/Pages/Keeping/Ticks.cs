using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;

namespace Yuntak.Web.Pages.Keeping;

/// <summary>From ticks on a list of volumes and hosts to what a job takes. What was not on the list stays as it was.</summary>
internal static class Ticks
{
    /// <summary>The key of a host's settings on the list.</summary>
    public static string Of(Host host) => $"host {host.Id.Value}";

    /// <summary>The edit.</summary>
    /// <param name="house">The copies of the house.</param>
    /// <param name="job">The job.</param>
    /// <param name="shown">The keys that were on the list.</param>
    /// <param name="ticked">Those of them that were ticked.</param>
    /// <param name="why">Why not, for each that was on the list, in its order.</param>
    public static Edit Of(HouseKeeping house, string job, string[] shown, string[] ticked, string?[] why) =>
        KeepingEdits.ChangeJob(
            job,
            j =>
            {
                var on = ticked.ToHashSet(StringComparer.Ordinal);
                var reasons = shown
                    .Zip(why)
                    .DistinctBy(p => p.First)
                    .ToDictionary(p => p.First, p => Names.Clean(p.Second), StringComparer.Ordinal);
                var volumes = house.Volumes.Where(v => reasons.ContainsKey(v.Key) || shown.Contains(v.Key)).ToList();
                List<JobPart> parts = [.. j.Takes];
                foreach (var guest in volumes.Where(v => v.Part is not null).Select(v => v.Guest!.Id).Distinct())
                {
                    Guest(house, parts, guest, on, reasons);
                }

                foreach (var volume in volumes.Where(v => v.Folder is not null))
                {
                    Put(parts, new JobPart(Folder: volume.Folder!.Name), on.Contains(volume.Key));
                }

                foreach (var host in house.Lab.Hosts.Where(h => shown.Contains(Of(h))))
                {
                    Put(parts, new JobPart(Host: host.Id), on.Contains(Of(host)));
                }

                return j with
                {
                    Takes = [.. parts],
                };
            }
        );

    private static void Guest(
        HouseKeeping house,
        List<JobPart> parts,
        GuestId guest,
        HashSet<string> on,
        Dictionary<string, string> reasons
    )
    {
        var own = house.Volumes.Where(v => v.Part is not null && v.Guest!.Id == guest).ToList();
        var at = parts.FindIndex(p => p.Guest == guest && p.Kind == PartKind.Whole);
        var before = at >= 0 ? parts[at] : new JobPart(guest);
        List<VolumePart> without = [.. own.Where(v => !on.Contains(v.Key)).Select(v => v.Part!.Value)];
        var why =
            own.Where(v => !on.Contains(v.Key)).Select(v => reasons.GetValueOrDefault(v.Key, "")).FirstOrDefault(r => r.Length > 0) ?? "";
        if (without.Count == own.Count && why.Length == 0)
        {
            if (at >= 0)
            {
                parts.RemoveAt(at);
            }

            return;
        }

        var part = before with { Without = [.. without], Why = without.Count == 0 ? "" : why };
        if (at >= 0)
        {
            parts[at] = part;
        }
        else
        {
            parts.Add(part);
        }
    }

    private static void Put(List<JobPart> parts, JobPart part, bool on)
    {
        var at = parts.FindIndex(p => p.Key == part.Key);
        if (on && at < 0)
        {
            parts.Add(part);
        }
        else if (!on && at >= 0)
        {
            parts.RemoveAt(at);
        }
    }
}
