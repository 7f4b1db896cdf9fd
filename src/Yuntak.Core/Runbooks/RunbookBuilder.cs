using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Runbooks;

/// <summary>Works out the runbook from as built to draft.</summary>
public static class RunbookBuilder
{
    /// <summary>
    /// The steps in an order that never breaks what runs: hosts and pools first, then what frees room, then moves, then what takes room, then new guests by
    /// start order, last of all what is taken apart. Nothing waits for something that comes later, and nothing is wiped while something that stands or is still
    /// needed lies on it: where no order can do that, a stop stands in the place of the steps.
    /// </summary>
    public static Runbook Build(Lab asBuilt, Lab draft)
    {
        var plan = new Plan(Settled(asBuilt, draft), draft);
        var ordered = WorkOrder.Of(plan, WorkBook.Between(plan));
        var disks = new DiskState(plan.AsBuilt);
        List<RunbookSection> sections = [];
        foreach (var (work, after, circle) in ordered)
        {
            Patience.Check();
            // What a stop keeps from being done changes nothing on the disks: work that comes later finds them as they are.
            (var acts, disks) = Safe(plan, work, disks, circle);
            sections.Add(Section(plan, work, acts, [.. after.Select(a => sections[a].Steps[^1].Id)]));
        }

        return new Runbook(plan, sections);
    }

    /// <summary>
    /// What stops the runbook, in its order. Worked out without the steps where nothing can stop it: no work that says so by itself, none that wipes or takes apart,
    /// and nothing that waits for itself.
    /// </summary>
    internal static IReadOnlyList<Halt> Halts(Lab asBuilt, Lab draft, Func<Runbook> whole)
    {
        var plan = new Plan(Settled(asBuilt, draft), draft);
        var works = WorkBook.Between(plan);
        var may =
            works.Any(w => w.Stop(plan) is not null || (w.Guest is null && w.Acts(plan).Any(a => a.Wipes.Count > 0 || a is TakePoolApart)))
            || WorkOrder.HasCircle(plan, works);
        return may ? [.. whole().Steps.Select(s => s.Act).OfType<Halt>()] : [];
    }

    /// <summary>What stands, with all work taken over of which every step is ticked off, as when a change of the plan took the last open one away.</summary>
    public static Lab Settled(Lab asBuilt, Lab draft)
    {
        asBuilt = WireEdits.WithNetworksCalledAsIn(asBuilt, draft);
        if (asBuilt.Ticks.Count == 0)
        {
            return asBuilt;
        }

        var plan = new Plan(asBuilt, draft);
        var ticks = asBuilt.Ticks.ToHashSet(StringComparer.Ordinal);
        return WorkBook
            .Between(plan)
            .Select(work => (Work: work, Ids: Ids(work, work.Acts(plan))))
            .Where(w => w.Ids.Count > 0 && w.Ids.All(ticks.Contains))
            .Aggregate(asBuilt, (lab, w) => w.Work.Adopt(lab, plan) with { Ticks = lab.Ticks.Without(w.Ids.Contains) });
    }

    /// <summary>The ids of the steps of some work, in order.</summary>
    internal static IReadOnlyList<string> Ids(Work work, IReadOnlyList<Act> acts)
    {
        List<string> ids = [];
        foreach (var act in acts)
        {
            var id = $"{work.Key}/{act.Type}/{act.Mark}";
            var times = ids.Count(i => i == id || i.StartsWith(id + "-", StringComparison.Ordinal));
            ids.Add(times == 0 ? id : $"{id}-{times + 1}");
        }

        return ids;
    }

    /// <summary>The acts of some work and the disks after them or, when one of them would wipe what stands or is still needed, a stop that says so and the disks as they are.</summary>
    private static (IReadOnlyList<Act> Acts, DiskState Then) Safe(Plan plan, Work work, DiskState disks, bool circle)
    {
        var halt = work.Stop(plan) ?? (circle ? Circle(plan, work) : null);
        var acts = halt is null ? work.Acts(plan) : [halt];
        // Only these can be stopped half-way; other work goes ahead on the disks themselves, which spares a copy for every guest.
        var ahead = acts.Any(a => a.Wipes.Count > 0 || a is TakePoolApart) ? disks.Copy() : disks;
        foreach (var act in acts)
        {
            if (Harm(plan, act, ahead) is { } harm)
            {
                return ([harm], disks);
            }

            act.Apply(ahead);
        }

        return (acts, ahead);
    }

    private static Halt Circle(Plan plan, Work work) =>
        new(
            work.Host,
            $"{work.Title(plan)}: one thing waits for the other",
            "Two changes want each other's place, such as two pools that change disks. No order does both without losing something in between.",
            "Plan the one first and work it off, then the other; or bring in a disk that neither needs."
        );

    private static Halt? Harm(Plan plan, Act act, DiskState disks)
    {
        if (act.On is not { } host)
        {
            return null;
        }

        var held = act.Wipes.Where(d => disks.PoolOf(host, d) is not null).ToList();
        if (held.Count > 0)
        {
            return new Halt(
                host,
                act.Text(plan).What,
                $"It would wipe {string.Join("; ", held.Select(d => $"{plan.Named(host, d)}, which is in the pool {disks.PoolOf(host, d)}"))}.",
                "Take the disk out of its pool first, or choose another."
            );
        }

        // A disk that is in no pool that stands may still hold what its owner keeps: what its own tools said counts until somebody says that it may go.
        var full = act.Wipes.Where(d => plan.MustNotBeWiped(host, d)).ToList();
        if (full.Count > 0)
        {
            return new Halt(
                host,
                act.Text(plan).What,
                $"It would wipe {string.Join("; ", full.Select(d => plan.Named(host, d)))}.",
                act is InstallHost
                    ? "Does the host run already? Then say that it stands. Else say of the disk that it may be wiped, or choose another."
                    : "Copy what you need, then say of the disk at its host that it may be wiped; or choose another. If this is there already, say that it stands.",
                [.. full.Where(d => plan.Disk(host, d) is { MayBeWiped: null } disk && plan.AsBuilt.Host(host)?.StartsFrom(disk) != true)]
            );
        }

        var kept = act is TakePoolApart apart ? disks.KeptOnlyIn(host, apart.Pool).Select(plan.NameOf).ToList() : [];
        return kept.Count == 0
            ? null
            : new Halt(
                host,
                act.Text(plan).What,
                $"{string.Join(", ", kept)} {(kept.Count == 1 ? "keeps its" : "keep their")} data there and nowhere else.",
                "Move them to another pool or host first, or take them off."
            );
    }

    private static int Whole(double minutes) => Math.Max(1, new Duration(minutes).WholeMinutes);

    /// <summary>What an act says, with all that its check looks at.</summary>
    private static ActText WithProofs(Plan plan, Act act)
    {
        var text = act.Text(plan);
        var more = string.Join(' ', act.Proofs(plan).Select(p => p.Words).Where(w => w.Length > 0));
        return more.Length == 0 ? text : text with { Check = $"{text.Check} {more}" };
    }

    private static RunbookSection Section(Plan plan, Work work, IReadOnlyList<Act> acts, ValueList<string> after)
    {
        var ids = Ids(work, acts);
        List<RunbookStep> steps = [];
        for (var n = 0; n < acts.Count; n++)
        {
            var act = acts[n];
            var took = plan.Took(act.Type);
            var minutes = act.Takes(plan).Minutes * (took?.Factor ?? 1);
            // What was measured here is known better than what is usual elsewhere.
            var (least, most) = took is null ? act.Spread : (0.8, 1.25);
            steps.Add(
                new RunbookStep(
                    ids[n],
                    act.Where(plan),
                    act,
                    WithProofs(plan, act),
                    Whole(minutes),
                    Whole(minutes * least),
                    Whole(minutes * most),
                    took is not null,
                    act.Guards.Select(g => g.Words).FirstOrDefault(),
                    plan.AsBuilt.Ticks.Contains(ids[n]) || work.StandsDone(plan, acts[n]),
                    n == 0 ? after : [ids[n - 1]]
                )
            );
        }

        // Where nothing is done nobody is away.
        return new RunbookSection(
            work.Key,
            work.Title(plan),
            steps,
            acts.Any(a => a is Halt) ? [] : [.. work.Cautions(plan, acts)],
            work.Builds ? work.Guest : null
        );
    }
}
