using Microsoft.EntityFrameworkCore;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;

namespace Yuntak.Data;

/// <summary>
/// Ticking off, and taking that back. A tick may teach the draft something, such as how fast a job copies or that a drill brought back what it was to; who takes
/// the tick back takes that back as well, whatever else was planned meanwhile.
/// </summary>
public sealed class Ticking(IDbContextFactory<YuntakDb> databases, LabStore store)
{
    /// <summary>Ticks off; once that is kept, the draft takes over what was learnt by it.</summary>
    /// <param name="basedOn">The revision of what stands that the person was looking at.</param>
    /// <param name="tick">The change of what stands; it tells what it teaches.</param>
    /// <exception cref="Refused">The tick makes no sense; nothing was stored.</exception>
    public async Task<CommitResult> OffAsync(long basedOn, Func<Action<Edit>, Edit> tick, CancellationToken cancel = default)
    {
        List<Edit> learnt = [];
        var result = await store.CommitAsync(Pointer.AsBuilt, basedOn, tick(learnt.Add), cancel);
        if (
            learnt.Count > 0
            && result is CommitResult.Committed { Head.Revision: var built }
            && await PlanAsync(All(learnt), cancel) is { } made
        )
        {
            await using var db = await databases.CreateDbContextAsync(cancel);
            await db.Revisions.Where(r => r.Id == built).ExecuteUpdateAsync(r => r.SetProperty(t => t.Learnt, made), cancel);
        }

        return result;
    }

    /// <summary>Takes the last tick back, and with it what it taught.</summary>
    /// <param name="basedOn">The revision of what stands that the person was looking at.</param>
    /// <exception cref="Refused">There is nothing to take back, or somebody ticked meanwhile.</exception>
    public async Task<CommitResult> BackAsync(long basedOn, CancellationToken cancel = default)
    {
        var learnt = await LearntAsync(basedOn, cancel);
        var result = await store.UndoAsync(Pointer.AsBuilt, basedOn, cancel);
        if (learnt is { } l && result is CommitResult.Committed)
        {
            await PlanAsync(Without(l.Before, l.After, l.Words), cancel);
        }

        return result;
    }

    /// <summary>The draft without what it learnt. What somebody has written over that since is theirs, and stays.</summary>
    private static Edit Without(Lab before, Lab after, string words) =>
        lab =>
            LabMerge.ThreeWay(after, lab, before, out _) is { } without
                ? new Changed(without, $"forgotten with the tick: {words}")
                : new Changed(lab, words);

    /// <summary>Several changes as one; one that makes no sense by now is left out.</summary>
    private static Edit All(IReadOnlyList<Edit> edits) =>
        lab =>
        {
            List<string> words = [];
            foreach (var edit in edits)
            {
                try
                {
                    (lab, var sentence) = edit(lab);
                    words.Add(sentence);
                }
                catch (Refused)
                {
                    // What it was about is planned no longer: there is nothing left to learn it for, and the tick stands.
                }
            }

            return new Changed(lab, string.Join("; ", words));
        };

    /// <summary>Changes the draft as it is by now: whatever else was planned meanwhile, what was seen stays true.</summary>
    /// <returns>The revision that made, or null when nothing changed.</returns>
    private async Task<long?> PlanAsync(Edit edit, CancellationToken cancel)
    {
        while (true)
        {
            var head = await store.HeadAsync(Pointer.Draft, cancel);
            if (await store.CommitAsync(Pointer.Draft, head.Revision, edit, cancel) is CommitResult.Committed { Head.Revision: var made })
            {
                return made == head.Revision ? null : made;
            }
        }
    }

    /// <summary>What the newest tick at a revision of what stands taught: the draft before and after, and in words; null when it taught nothing.</summary>
    private async Task<(Lab Before, Lab After, string Words)?> LearntAsync(long revision, CancellationToken cancel)
    {
        await using var db = await databases.CreateDbContextAsync(cancel);
        var ticked = await db.Revisions.Where(r => r.Id == revision).Select(r => r.CopyOf ?? r.Id).FirstOrDefaultAsync(cancel);
        var learnt = await db
            .Revisions.Where(r => r.Id == ticked && r.Learnt != null)
            .Join(
                db.Revisions,
                tick => tick.Learnt,
                draft => draft.Id,
                (_, draft) =>
                    new
                    {
                        draft.Id,
                        draft.Parent,
                        draft.Sentence,
                    }
            )
            .FirstOrDefaultAsync(cancel);
        return
            learnt is { Parent: { } parent }
            && await store.LabAtAsync(parent, cancel) is { } before
            && await store.LabAtAsync(learnt.Id, cancel) is { } after
            ? (before, after, learnt.Sentence)
            : null;
    }
}
