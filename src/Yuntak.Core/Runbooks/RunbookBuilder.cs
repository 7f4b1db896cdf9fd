using Yuntak.Core.Bench;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;
using Yuntak.Core.Units;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Runbooks;

/// <summary>Works out the runbook from as built to draft.</summary>
public static class RunbookBuilder
{
    /// <summary>
    /// The steps in an order that never breaks what runs: hosts and pools first, then what frees room, then moves, then what takes room, then new guests by
    /// start order, last of all what is taken apart. Among guests the next one that fits at that moment goes first.
    /// </summary>
    public static Runbook Build(Lab asBuilt, Lab draft)
    {
        var plan = new Plan(asBuilt, draft, Assessment.Of(draft));
        var changes = LabDifference.Between(asBuilt, draft).Where(c => c.NeedsWork).ToList();
        return new Runbook(draft.Name, [.. RunbookOrder.Of(plan, changes).Select(c => Section(plan, c)).Where(s => s.Steps.Count > 0)]);
    }

    private static RunbookSection Section(Plan plan, LabChange change)
    {
        var host = plan.Draft.Host(change.Host) ?? plan.AsBuilt.Host(change.Host);
        var guest = change.Guest is { } id ? plan.Draft.Guest(id) ?? plan.AsBuilt.Guest(id) : null;
        var before = change.Guest is { } known ? plan.AsBuilt.Guest(known) : null;
        var where = host?.Name ?? "";
        switch (change.Kind)
        {
            case ChangeKind.HostAdded:
                return Sequence(
                    plan,
                    change,
                    $"Make {where} ready",
                    where,
                    FirstSteps.Of(host!),
                    l => l with { Hosts = l.Hosts.With(host! with { Pools = [] }) }
                );
            case ChangeKind.HostRemoved:
                return Sequence(
                    plan,
                    change,
                    $"Take {where} away",
                    where,
                    [ChangeRecipes.HostLeaves(host!)],
                    l => l with { Hosts = l.Hosts.Without(h => h.Id == host!.Id) }
                );
            case ChangeKind.PoolAdded:
                var pool = host!.PoolNamed(change.Pool)!;
                return Sequence(
                    plan,
                    change,
                    $"Make the pool {pool.Name} on {where}",
                    where,
                    [PoolRecipes.MakePool(host, pool)],
                    l => WithPool(l, host, pool)
                );
            case ChangeKind.PoolChanged:
                var newer = host!.PoolNamed(change.Pool)!;
                var older = plan.AsBuilt.Host(host.Id)!.PoolNamed(change.Pool)!;
                return Sequence(
                    plan,
                    change,
                    PoolRecipes.Title(new PoolChange(older, newer), where),
                    where,
                    PoolRecipes.Changed(plan.AsBuilt.Host(host.Id)!, host, new PoolChange(older, newer)),
                    l => WithPool(l, host, newer)
                );
            case ChangeKind.PoolRemoved:
                var gone = plan.AsBuilt.Host(change.Host)!.PoolNamed(change.Pool)!;
                return Sequence(
                    plan,
                    change,
                    $"Take the pool {gone.Name} apart on {where}",
                    where,
                    [ChangeRecipes.PoolLeaves(plan.AsBuilt.Host(change.Host)!, gone)],
                    l => l.WithHost(host!.Id, h => h with { Pools = h.Pools.Without(p => p.Name == gone.Name) })
                );
            case ChangeKind.GuestBuilt:
                return Life(plan, change, guest!, where);
            case ChangeKind.GuestMoved:
                var from = plan.AsBuilt.HostOf(before!);
                return Sequence(
                    plan,
                    change,
                    $"Move {guest!.Name} from {from?.Name} to {where}",
                    where,
                    ChangeRecipes.Move(plan.Assessment.Guest(guest.Id), from, host!),
                    l => Ticks.Adopt(l, plan.Draft, guest),
                    before
                );
            case ChangeKind.GuestChanged:
                var words = LabDifference.Words(plan.AsBuilt, before!, plan.Draft, guest!);
                return Sequence(
                    plan,
                    change,
                    $"Change {before!.Name} on {where}",
                    where,
                    ChangeRecipes.Resize(Sizing.Of(plan.AsBuilt, before!), plan.Assessment.Guest(guest!.Id), words),
                    l => Ticks.Adopt(l, plan.Draft, guest!),
                    before
                );
            default:
                var stays = plan.Draft.Guest(change.Guest!.Value) is not null;
                var stands = plan.AsBuilt.HostOf(before!)?.Name ?? where;
                return Sequence(
                    plan,
                    change,
                    $"Take {before!.Name} off {stands}",
                    stands,
                    ChangeRecipes.Retire(before, stays),
                    l => l with { Guests = l.Guests.Without(g => g.Id == before.Id) },
                    before
                );
        }
    }

    private static Lab WithPool(Lab lab, Host host, Pool pool) =>
        lab.WithHost(host.Id, h => h with { Pools = h.Pools.Without(p => p.Name == pool.Name).With(pool) });

    /// <summary>The life of a guest: each tick brings what stands one stage further.</summary>
    private static RunbookSection Life(Plan plan, LabChange change, Guest guest, string where)
    {
        var reached =
            plan.AsBuilt.Guest(guest.Id) is { } standing && plan.AsBuilt.HostOf(standing) is not null ? standing.Life : LifeStage.Planned;
        List<RunbookStep> steps = [];
        foreach (var draft in GuestRecipes.For(guest, plan.Assessment))
        {
            steps.Add(
                Step(
                    $"guest/{guest.Id}/{draft.Stage.Words().Replace(' ', '-')}",
                    where,
                    draft,
                    Ticks.Reaches(plan.Draft, guest, draft.Stage),
                    steps
                ) with
                {
                    Done = draft.Stage <= reached,
                }
            );
        }

        return new RunbookSection(change, $"Build {guest.Name} on {where}", steps, []);
    }

    /// <summary>Steps of which the last one makes the change.</summary>
    private static RunbookSection Sequence(
        Plan plan,
        LabChange change,
        string title,
        string where,
        IEnumerable<StepDraft> drafts,
        Func<Lab, Lab> finish,
        Guest? stops = null
    )
    {
        // The sentence is part of the id: when the plan changes in the middle of the work, its steps start anew.
        var prefix = $"{change.Kind}/{change.Host}{change.Guest}{change.Pool}/{StableHash.Of(change.Sentence)}/".ToLowerInvariant();
        var all = drafts.ToList();
        List<RunbookStep> steps = [];
        for (var n = 0; n < all.Count; n++)
        {
            var id = $"{prefix}{n + 1}";
            var tick =
                n == all.Count - 1 ? Ticks.Finishes(prefix, $"{title}: done", finish) : Ticks.OnTheWay(id, $"{title}: {all[n].What}");
            steps.Add(Step(id, where, all[n], tick, steps) with { Done = plan.AsBuilt.Ticks.Contains(id) });
        }

        var away = change.Kind == ChangeKind.GuestRetired ? 0 : all.Where(d => !d.KeepsRunning).Sum(d => d.Minutes);
        return new RunbookSection(change, title, steps, stops is null ? [] : Outage(stops, away));
    }

    private static RunbookStep Step(string id, string where, StepDraft draft, Edit tick, List<RunbookStep> before) =>
        new(
            id,
            where,
            draft.What,
            draft.Values,
            draft.Minutes,
            draft.Check,
            draft.IfNot,
            draft.WayBack,
            tick,
            After: before.LastOrDefault()?.Id,
            Caution: draft.Caution
        );

    /// <summary>Who loses service and for how long: from shutting down to having tried it, the backup before apart.</summary>
    private static string[] Outage(Guest guest, int minutes)
    {
        if (guest.Life < LifeStage.ServiceIn)
        {
            return [];
        }

        var router = guest.Wants.Any(w => w.ProfileId == ProfileBook.Router);
        return
        [
            router
                ? $"While {guest.Name} is off the whole household is offline, and so are you. Have this page printed or on a phone with its own line."
            : minutes == 0 ? $"{guest.Name} goes away for good. Tell the people who use it."
            : $"{guest.Name} is away for {Numbers.Count(minutes, "minute")} or so. Tell the people who use it.",
        ];
    }
}
