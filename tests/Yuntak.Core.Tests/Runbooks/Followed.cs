using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Formats.LabFiles;
using Yuntak.Tests;

namespace Yuntak.Core.Tests.Runbooks;

/// <summary>
/// An oracle of its own for runbooks, written from what the acts say in their typed values and not from the code that makes them: it follows a runbook, and it
/// keeps count of what lies on which disk meanwhile.
/// </summary>
internal static class Followed
{
    /// <summary>What stands when every step that can be ticked has been.</summary>
    public static Lab ToTheEnd(Lab stands, Lab draft)
    {
        while (RunbookBuilder.Build(stands, draft) is var runbook && runbook.Steps.FirstOrDefault(runbook.CanTick) is { } next)
        {
            stands = stands.With(RunbookTick.Off(draft, next.Id));
        }

        return stands;
    }

    /// <summary>How what stands differs from the draft in anything but what is only asked for; null when it does not.</summary>
    public static string? Same(Lab stands, Lab draft)
    {
        var (is_, should) = (Plainly(Known.Adopt(stands, draft)), Plainly(draft));
        return is_ == should
            ? null
            : $"built: {string.Join(" | ", Lines(is_).Except(Lines(should)))}\ndraft: {string.Join(" | ", Lines(should).Except(Lines(is_)))}";

        static string[] Lines(Lab lab) => LabFile.ToYaml(lab).Split('\n');
    }

    /// <summary>The first step that wipes what stands or is still needed at that moment; null when none does.</summary>
    public static string? Harm(Lab stands, Runbook runbook)
    {
        var pools = stands
            .Hosts.SelectMany(h => h.Pools.SelectMany(p => p.DiskIds.Select(d => (Key: h.Id + "/" + d, p.Name))))
            .ToDictionary(p => p.Key, p => p.Name);
        var boot = stands
            .Hosts.SelectMany(h => h.Disks.Where(d => d.IsBoot || d.MountedAt.Count > 0).Select(d => h.Id + "/" + d.Id))
            .ToHashSet();
        var volumes = stands
            .Guests.Where(g => g.Placement is not null)
            .SelectMany(g =>
                new[] { (Key: g.Id + "/system", Pool: g.Placement!.SystemPool), (Key: g.Id + "/bulk", Pool: g.Placement.BulkPool) }
                    .Where(v => v.Pool is not null)
                    .Select(v => (v.Key, Pool: g.Placement.Host + "/" + v.Pool))
            )
            .ToDictionary(v => v.Key, v => v.Pool);
        var safe = new HashSet<string>();
        foreach (var step in runbook.Steps.Where(s => !s.Done))
        {
            var act = new JsonObject(step.Act.Values);
            string Text(string name) => act[name]?.GetValue<string>() ?? "";
            var host = Text("host");
            foreach (var disk in step.Act.Wipes.Select(d => $"{host}/{d}"))
            {
                if (pools.TryGetValue(disk, out var pool))
                {
                    return $"{step.What} wipes {disk}, which is in {pool}";
                }

                if (boot.Contains(disk))
                {
                    return $"{step.What} wipes {disk}, which is in use";
                }
            }

            switch (step.Act.Type)
            {
                case "copy-pool-away":
                    safe.Add($"{host}/{Text("pool")}");
                    break;
                case "copy-pool-back":
                    Move(v => v == $"{host}/{Text("before")}", $"{host}/{Text("pool")}");
                    break;
                case "take-pool-apart":
                    var kept = volumes.Where(v => v.Value == $"{host}/{Text("pool")}").Select(v => v.Key).ToList();
                    if (kept.Count > 0 && !safe.Contains($"{host}/{Text("pool")}"))
                    {
                        return $"{step.What} while {kept[0]} is in it";
                    }

                    foreach (var disk in act["disks"]!.AsArray())
                    {
                        pools.Remove($"{host}/{disk}");
                    }

                    break;
                case "make-pool":
                    Join(act["disks"]!.AsArray());
                    break;
                case "join-disks":
                    Join(act["joined"]!.AsArray());
                    break;
                case "replace-disk":
                    pools.Remove($"{host}/{Text("out")}");
                    pools[$"{host}/{Text("in")}"] = Text("pool");
                    break;
                case "rename-pool":
                    foreach (
                        var key in pools.Where(p => p.Key.StartsWith(host + "/") && p.Value == Text("pool")).Select(p => p.Key).ToList()
                    )
                    {
                        pools[key] = Text("name");
                    }

                    Move(v => v == $"{host}/{Text("pool")}", $"{host}/{Text("name")}");
                    break;
                case "compare-volume":
                    volumes[$"{Text("guest")}/{Text("volume")}"] = $"{host}/{Text("to")}";
                    break;
                case "let-volume-go":
                    if (volumes.GetValueOrDefault($"{Text("guest")}/{Text("volume")}") == $"{host}/{Text("from")}")
                    {
                        return $"{step.What} before it was compared";
                    }

                    break;
                case "move-guest":
                    volumes.Remove(Text("guest") + "/system");
                    volumes.Remove(Text("guest") + "/bulk");
                    break;
                case "retire-guest":
                    volumes.Remove(Text("guest") + "/system");
                    volumes.Remove(Text("guest") + "/bulk");
                    break;
                default:
                    break;
            }

            void Join(JsonArray disks)
            {
                foreach (var disk in disks)
                {
                    pools[$"{host}/{disk}"] = Text("pool");
                }
            }

            void Move(Func<string, bool> from, string to)
            {
                foreach (var key in volumes.Where(v => from(v.Value)).Select(v => v.Key).ToList())
                {
                    volumes[key] = to;
                }
            }
        }

        return null;
    }

    /// <summary>A lab with only what stands or is to stand, in one order, with figures in place of advice.</summary>
    private static bool CanBe(Lab lab, JobPart part) =>
        (part.Guest is not { } g || On(lab, g))
        && (
            part.Folder is not { } folder
            || lab.Folders.Any(f => f.Name == folder)
            || lab.Guests.Any(g => On(lab, g.Id) && g.Mounts.Any(m => m.Share == folder && m.Library))
        );

    private static bool CanBe(Lab lab, Store store) => store.Guest is not { } keeper || On(lab, keeper);

    private static Lab Plainly(Lab lab) =>
        lab with
        {
            Ticks = [],
            // What is reserved is kept of what stands only, and what leads to a guest on no host is not carried out.
            Reserved = [],
            Forwards =
            [
                .. lab
                    .Forwards.Where(f => On(lab, f.To) && (f.Through is not { } t || On(lab, t)))
                    .OrderBy(f => f.Key, StringComparer.Ordinal),
            ],
            Shares = [.. lab.Shares.Where(s => s.From.Guest is not { } g || On(lab, g)).OrderBy(s => s.Name, StringComparer.Ordinal)],
            Networks = [.. lab.Networks.OrderBy(n => n.Name, StringComparer.Ordinal)],
            Boxes = [.. lab.Boxes.OrderBy(b => b.Name, StringComparer.Ordinal)],
            Sites = [.. lab.Sites.OrderBy(b => b.Name, StringComparer.Ordinal)],
            // A store that a guest on no host would keep is not set up, nor what copies into it; drills and lists are records, which nobody builds.
            Stores = [.. lab.Stores.Where(s => CanBe(lab, s)).OrderBy(s => s.Name, StringComparer.Ordinal)],
            Jobs =
            [
                .. lab
                    .Jobs.Where(j => lab.Stores.Any(s => s.Name == j.Store && CanBe(lab, s)))
                    .Select(j => j with { Takes = [.. j.Takes.Where(p => CanBe(lab, p))] })
                    .OrderBy(j => j.Name, StringComparer.Ordinal),
            ],
            Onward =
            [
                .. lab
                    .Onward.Where(o => new[] { o.From, o.To }.All(n => lab.Stores.Any(s => s.Name == n && CanBe(lab, s))))
                    .OrderBy(o => o.Key, StringComparer.Ordinal),
            ],
            Drills = [],
            Copies = [],
            Hosts =
            [
                .. lab
                    .Hosts.OrderBy(h => h.Id.Value, StringComparer.Ordinal)
                    .Select(h =>
                        h with
                        {
                            Disks = [.. h.Disks.OrderBy(d => d.Id)],
                            Pools = [.. h.Pools.OrderBy(p => p.Name, StringComparer.Ordinal)],
                        }
                    ),
            ],
            Guests =
            [
                .. lab
                    .Guests.Where(g => lab.HostOf(g) is not null)
                    .Select(g => Known.AsFacts(lab, g))
                    // Who keeps apart from somebody that is not there yet says so once that one is.
                    .Select(g => g with { Apart = g.Apart.Without(id => !On(lab, id)), Together = g.Together.Without(id => !On(lab, id)) })
                    .OrderBy(g => g.Id.Value, StringComparer.Ordinal),
            ],
        };

    private static bool On(Lab lab, GuestId id) => lab.Guest(id) is { } guest && lab.HostOf(guest) is not null;
}
