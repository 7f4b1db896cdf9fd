using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;

namespace Yuntak.Tests;

/// <summary>Random stores, jobs, onward copies and drills, put into a lab through its edits, so that what does not go together is refused as it is to a person.</summary>
internal static class CopyGens
{
    private static readonly string[] Words = ["vault", "a b", "x;reboot", "$(id)", "quo\"te's", "ümlaut"];
    private static readonly string[] Times = ["22:30", "02:30", "sun 01:00", "mon,thu 06:00,18:00", "sat 23:59"];
    private static readonly string[] Rules = ["daily 7, weekly 4, monthly 6", "last 4", "yearly 1", "hourly 5, daily 2"];
    private static readonly DateOnly Day = new(2027, 3, 1);

    /// <summary>The lab with a random lot of stores and jobs.</summary>
    public static Lab Kept(Lab lab, Random random)
    {
        for (var n = random.Next(3, 14); n > 0; n--)
        {
            lab = Gens.Try(lab, Any(lab, random));
        }

        return lab;
    }

    /// <summary>The lab with a job of all guests, of some of them not all, and stores that are carried on to each other, in circles too.</summary>
    public static Lab Carried(Lab lab, Random random)
    {
        for (var n = random.Next(2, 6); n > 0; n--)
        {
            lab = Gens.Try(lab, KeepingEdits.Store(Store(lab, random)));
        }

        if (lab.Stores.Count == 0)
        {
            return lab;
        }

        var whole = new CopyJob(
            "all",
            lab.Stores[0].Name,
            "22:30",
            [.. lab.Guests.Select(g => new JobPart(g.Id, Without: random.Next(4) == 0 ? [(VolumePart)random.Next(2)] : []))]
        );
        lab = Gens.Try(lab, KeepingEdits.Job(whole));
        for (var n = random.Next(6); n > 0; n--)
        {
            var (from, to) = (lab.Stores[random.Next(lab.Stores.Count)].Name, lab.Stores[random.Next(lab.Stores.Count)].Name);
            lab = Gens.Try(lab, KeepingEdits.Onward(new OnwardCopy(from, to, Of(Times, random))));
        }

        return lab;
    }

    /// <summary>One random change of what is copied.</summary>
    public static Edit Any(Lab lab, Random random)
    {
        var store = lab.Stores.Count == 0 ? "none" : lab.Stores[random.Next(lab.Stores.Count)].Name;
        var other = lab.Stores.Count == 0 ? "none" : lab.Stores[random.Next(lab.Stores.Count)].Name;
        var job = lab.Jobs.Count == 0 ? "none" : lab.Jobs[random.Next(lab.Jobs.Count)].Name;
        return random.Next(lab.Stores.Count == 0 ? 3 : 16) switch
        {
            < 3 => KeepingEdits.Store(Store(lab, random)),
            < 7 => KeepingEdits.Job(Job(lab, store, random)),
            7 => KeepingEdits.Onward(
                new OnwardCopy(
                    store,
                    other,
                    Of(Times, random),
                    (OnwardWay)random.Next(2),
                    (OnwardRights)random.Next(3),
                    First: (FirstCopyWay)random.Next(2),
                    Keep: random.Next(2) == 0 ? Of(Rules, random) : null
                )
            ),
            8 => KeepingEdits.Drill(Drill(lab, random)),
            9 => KeepingEdits.ChangeJob(job, j => j with { Times = Of(Times, random), Keep = Of(Rules, random) }),
            10 => KeepingEdits.ChangeJob(job, j => j with { Store = other }),
            11 => KeepingEdits.Take(job, Part(lab, random)),
            12 => KeepingEdits.ChangeStore(store, s => s with { Encrypted = !s.Encrypted, Keys = ["paper"], ThinsAt = Of(Times, random) }),
            13 => KeepingEdits.RemoveStore(store),
            14 => KeepingEdits.RemoveJob(job),
            _ => lab.Onward.Count == 0
                ? KeepingEdits.ChangeStore(store, s => s with { Name = Of(Words, random) })
                : KeepingEdits.RemoveOnward(lab.Onward[random.Next(lab.Onward.Count)].Key),
        };
    }

    private static Store Store(Lab lab, Random random)
    {
        var host = lab.Hosts.Count == 0 ? null : lab.Hosts[random.Next(lab.Hosts.Count)];
        var plain = new Store(
            Of(Words, random),
            Deduplicates: random.Next(2) == 0,
            Encrypted: random.Next(3) == 0,
            Keys: random.Next(2) == 0 ? ["paper", host?.Name ?? "kiln"] : [],
            ChecksNew: random.Next(2) == 0
        );
        return random.Next(4) switch
        {
            0 when lab.Guests.Count > 0 => plain with { Guest = lab.Guests[random.Next(lab.Guests.Count)].Id },
            1 when host is { Pools.Count: > 0 } => plain with { Host = host.Id, Pool = host.Pools[random.Next(host.Pools.Count)].Name },
            2 => plain with { Carried = true, Host = host?.Id, Room = ByteSize.FromTB(random.Next(1, 20)) },
            _ => plain with { Place = "boathouse", Line = random.Next(1, 1_000), Room = ByteSize.FromTB(random.Next(1, 20)) },
        };
    }

    private static CopyJob Job(Lab lab, string store, Random random) =>
        new(
            Of(Words, random),
            store,
            Of(Times, random),
            [.. Enumerable.Range(0, random.Next(4)).Select(_ => Part(lab, random)).DistinctBy(p => p.Key)],
            (CopyMode)random.Next(3),
            Keep: random.Next(4) == 0 ? null : Of(Rules, random),
            School: (Core.Schedules.RetentionSchool)random.Next(2)
        );

    private static JobPart Part(Lab lab, Random random) =>
        random.Next(5) switch
        {
            0 when lab.Hosts.Count > 0 => new JobPart(Host: lab.Hosts[random.Next(lab.Hosts.Count)].Id),
            1 when lab.AllFolders.Count > 0 => new JobPart(Folder: lab.AllFolders[0].Name),
            2 when lab.Guests.Count > 0 => new JobPart(
                lab.Guests[random.Next(lab.Guests.Count)].Id,
                Without: [(VolumePart)random.Next(2)],
                Why: random.Next(3) == 0 ? "" : "said so"
            ),
            _ => new JobPart(lab.Guests.Count == 0 ? new GuestId("none") : lab.Guests[random.Next(lab.Guests.Count)].Id),
        };

    private static Drill Drill(Lab lab, Random random) =>
        new(
            random.Next(3) == 0 ? DrillKind.House : DrillKind.Guest,
            Day.AddDays(random.Next(-200, 60)),
            lab.Guests.Count == 0 ? null : lab.Guests[random.Next(lab.Guests.Count)].Id,
            Worked: random.Next(3) == 0 ? true : null
        );

    private static string Of(string[] texts, Random random) => texts[random.Next(texts.Length)];
}
