using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Storage;
using Yuntak.Core.Base;
using Yuntak.Core.Edits;
using Yuntak.Core.Labs;

namespace Yuntak.Data;

/// <summary>
/// Keeps a lab as revisions with two pointers, draft and as built. A change names the revision it was based on; when the head has moved since, nothing is
/// overwritten: both versions are answered, and the change is set aside as a revision of its own.
/// </summary>
/// <param name="databases">The database.</param>
/// <param name="clock">The time.</param>
/// <param name="check">Looks at a lab before it is kept, and refuses one that cannot be worked out; nobody does when it is left out.</param>
public sealed class LabStore(IDbContextFactory<YuntakDb> databases, TimeProvider clock, LabCheck? check = null)
{
    private const int OnlyLab = 1;
    private readonly RevisionCache cache = new();

    /// <summary>Makes the lab when there is none yet.</summary>
    /// <param name="draft">The first draft.</param>
    /// <param name="asBuilt">What stands at first.</param>
    /// <returns>Whether it was made.</returns>
    public async Task<bool> CreateAsync(Lab draft, Lab asBuilt, CancellationToken cancel = default)
    {
        await using var db = await databases.CreateDbContextAsync(cancel);
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        if (await db.Labs.AnyAsync(cancel))
        {
            return false;
        }

        var lab = new LabRow { Id = OnlyLab };
        db.Labs.Add(lab);
        await db.SaveChangesAsync(cancel);
        var first = NewRow(Pointer.Draft, 1, null, draft, "begun");
        var built = NewRow(Pointer.AsBuilt, 1, null, asBuilt, "begun");
        db.Revisions.AddRange(first, built);
        await db.SaveChangesAsync(cancel);
        (lab.DraftRevision, lab.AsBuiltRevision) = (first.Id, built.Id);
        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return true;
    }

    /// <summary>The revision a pointer stands at.</summary>
    public async Task<Head> HeadAsync(Pointer pointer, CancellationToken cancel = default)
    {
        await using var db = await databases.CreateDbContextAsync(cancel);
        var lab = await db.Labs.AsNoTracking().SingleAsync(l => l.Id == OnlyLab, cancel);
        return await HeadAsync(db, HeadOf(lab, pointer), cancel);
    }

    /// <summary>The lab of a revision, or null when there is none of that key.</summary>
    public async Task<Lab?> LabAtAsync(long revision, CancellationToken cancel = default)
    {
        await using var db = await databases.CreateDbContextAsync(cancel);
        var row = await RowAsync(db, revision, cancel);
        return row is null ? null : cache.LabOf(row);
    }

    /// <summary>A revision of a pointer with the change that made it, or null when the pointer has none of that key.</summary>
    public async Task<(Lab Lab, string Sentence)?> RevisionAsync(Pointer pointer, long revision, CancellationToken cancel = default)
    {
        await using var db = await databases.CreateDbContextAsync(cancel);
        var row = await RowAsync(db, revision, cancel);
        return row?.Pointer == pointer ? (cache.LabOf(row), row.Sentence) : null;
    }

    /// <summary>A change of the draft that was set aside, with the lab it started from; null when there is none of that key.</summary>
    public async Task<(Lab Common, Lab Mine)?> AsideAsync(long revision, CancellationToken cancel = default)
    {
        await using var db = await databases.CreateDbContextAsync(cancel);
        var mine = await RowAsync(db, revision, cancel);
        if (mine is not { Number: 0, Pointer: Pointer.Draft, Parent: { } parent } || await RowAsync(db, parent, cancel) is not { } common)
        {
            return null;
        }

        return (cache.LabOf(common), cache.LabOf(mine));
    }

    /// <summary>Applies a change and stores it.</summary>
    /// <param name="pointer">Which pointer moves.</param>
    /// <param name="basedOn">The revision the person was looking at.</param>
    /// <param name="edit">The change.</param>
    /// <exception cref="Refused">The change makes no sense; nothing was stored.</exception>
    public async Task<CommitResult> CommitAsync(Pointer pointer, long basedOn, Edit edit, CancellationToken cancel = default)
    {
        await using var db = await databases.CreateDbContextAsync(cancel);
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var pointers = await db.Labs.SingleAsync(l => l.Id == OnlyLab, cancel);
        var head = await NeededRowAsync(db, HeadOf(pointers, pointer), cancel);
        if (head.Id != basedOn)
        {
            return await SetAsideAsync(db, transaction, pointer, basedOn, head, edit, cancel);
        }

        var before = cache.LabOf(head);
        var changed = edit(before);
        if (changed.Lab == before)
        {
            return new CommitResult.Committed(HeadOf(head));
        }

        check?.Invoke(before, changed.Lab);
        var row = NewRow(pointer, head.Number + 1, head.Id, changed.Lab, changed.Sentence);
        row.UndoTo = head.Id;
        return await MoveAsync(db, transaction, pointers, pointer, row, changed.Lab, cancel);
    }

    /// <summary>Takes the last change back, by committing the revision before it once more.</summary>
    public Task<CommitResult> UndoAsync(Pointer pointer, long basedOn, CancellationToken cancel = default) =>
        StepAsync(pointer, basedOn, redo: false, cancel);

    /// <summary>Does again what was taken back.</summary>
    public Task<CommitResult> RedoAsync(Pointer pointer, long basedOn, CancellationToken cancel = default) =>
        StepAsync(pointer, basedOn, redo: true, cancel);

    /// <summary>The newest lines of a pointer's history, those set aside among them.</summary>
    /// <param name="pointer">Whose.</param>
    /// <param name="most">How many.</param>
    /// <param name="before">Only those older than this revision; the newest when left out.</param>
    public async Task<IReadOnlyList<RevisionLine>> HistoryAsync(
        Pointer pointer,
        int most,
        long? before = null,
        CancellationToken cancel = default
    )
    {
        await using var db = await databases.CreateDbContextAsync(cancel);
        return await db
            .Revisions.AsNoTracking()
            .Where(r => r.LabId == OnlyLab && r.Pointer == pointer && (before == null || r.Id < before))
            .OrderByDescending(r => r.Id)
            .Take(most)
            .Select(r => new RevisionLine(r.Id, r.Number, r.At, r.Sentence))
            .ToListAsync(cancel);
    }

    private async Task<CommitResult> StepAsync(Pointer pointer, long basedOn, bool redo, CancellationToken cancel)
    {
        await using var db = await databases.CreateDbContextAsync(cancel);
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var pointers = await db.Labs.SingleAsync(l => l.Id == OnlyLab, cancel);
        var head = await NeededRowAsync(db, HeadOf(pointers, pointer), cancel);
        if (head.Id != basedOn)
        {
            throw new Refused(
                $"The lab has changed since this page was shown: {head.Sentence}. Nothing was taken back; look again, then decide."
            );
        }

        var target = (redo ? head.RedoTo : head.UndoTo) is { } to ? await RowAsync(db, to, cancel) : null;
        if (target is null)
        {
            throw new Refused(redo ? "There is nothing to do again." : "There is nothing to take back.");
        }

        // A copy is spoken of by what made the lab that it repeats.
        var named = redo ? target : head;
        var origin = named.CopyOf is { } of ? await RowAsync(db, of, cancel) ?? named : named;
        var row = NewRow(
            pointer,
            head.Number + 1,
            head.Id,
            cache.LabOf(target),
            $"{(redo ? "done again" : "taken back")}: {Bare(origin.Sentence)}"
        );
        row.CopyOf = target.CopyOf ?? target.Id;
        // The copy takes the place of the revision it copies: it is undone to the same one, and remembers where it came from for redo.
        row.UndoTo = target.UndoTo;
        row.RedoTo = redo ? target.RedoTo : head.Id;
        return await MoveAsync(db, transaction, pointers, pointer, row, cache.LabOf(target), cancel);
    }

    private async Task<CommitResult> MoveAsync(
        YuntakDb db,
        IDbContextTransaction transaction,
        LabRow pointers,
        Pointer pointer,
        RevisionRow row,
        Lab lab,
        CancellationToken cancel
    )
    {
        db.Revisions.Add(row);
        await db.SaveChangesAsync(cancel);
        if (pointer == Pointer.Draft)
        {
            pointers.DraftRevision = row.Id;
        }
        else
        {
            pointers.AsBuiltRevision = row.Id;
        }

        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        cache.Keep(row, lab);
        return new CommitResult.Committed(HeadOf(row));
    }

    private async Task<CommitResult> SetAsideAsync(
        YuntakDb db,
        IDbContextTransaction transaction,
        Pointer pointer,
        long basedOn,
        RevisionRow head,
        Edit edit,
        CancellationToken cancel
    )
    {
        var common = await RowAsync(db, basedOn, cancel);
        if (common is null || common.Pointer != pointer)
        {
            throw new Refused("This page belongs to another lab or an older set of data. Nothing was changed; load the page again.");
        }

        var commonLab = cache.LabOf(common);
        var mine = edit(commonLab);
        check?.Invoke(commonLab, mine.Lab);
        var row = NewRow(pointer, 0, common.Id, mine.Lab, $"set aside: {mine.Sentence}");
        db.Revisions.Add(row);
        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return new CommitResult.Stale(commonLab, HeadOf(head), mine.Lab, row.Id);
    }

    private async Task<Head> HeadAsync(YuntakDb db, long revision, CancellationToken cancel)
    {
        return HeadOf(await NeededRowAsync(db, revision, cancel));
    }

    private Head HeadOf(RevisionRow row) =>
        new(row.Id, row.Number, cache.LabOf(row), row.Sentence, row.Parent, row.UndoTo is not null, row.RedoTo is not null);

    private async Task<RevisionRow> NeededRowAsync(YuntakDb db, long revision, CancellationToken cancel) =>
        await RowAsync(db, revision, cancel) ?? throw new InvalidOperationException("The head's revision is missing.");

    private async Task<RevisionRow?> RowAsync(YuntakDb db, long revision, CancellationToken cancel)
    {
        if (cache.Find(revision) is { } known)
        {
            return known;
        }

        var row = await db.Revisions.AsNoTracking().FirstOrDefaultAsync(r => r.Id == revision, cancel);
        if (row is not null)
        {
            cache.Keep(row);
        }

        return row;
    }

    private RevisionRow NewRow(Pointer pointer, int number, long? parent, Lab lab, string sentence) =>
        new()
        {
            LabId = OnlyLab,
            Pointer = pointer,
            Number = number,
            Parent = parent,
            At = clock.GetUtcNow().UtcDateTime,
            Sentence = sentence,
            SchemaVersion = LabJson.Version,
            Content = LabJson.Write(lab),
        };

    /// <summary>The change itself, without the words for taking back and doing again, which older copies have in the place of a name for what they repeat.</summary>
    private static string Bare(string sentence)
    {
        foreach (var prefix in new[] { "taken back: ", "done again: " })
        {
            if (sentence.StartsWith(prefix, StringComparison.Ordinal))
            {
                return sentence[prefix.Length..];
            }
        }

        return sentence;
    }

    private static long HeadOf(LabRow lab, Pointer pointer) => pointer == Pointer.Draft ? lab.DraftRevision : lab.AsBuiltRevision;
}
