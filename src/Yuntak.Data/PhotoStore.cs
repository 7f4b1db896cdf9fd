using Microsoft.EntityFrameworkCore;
using Yuntak.Core.Base;

namespace Yuntak.Data;

/// <summary>Keeps photos with the steps of the runbook. They are no part of the lab: undo and the lab file go without them, a backup of all data has them.</summary>
public sealed class PhotoStore(IDbContextFactory<YuntakDb> databases, TimeProvider clock)
{
    /// <summary>The largest photo, in bytes.</summary>
    public const int Largest = 8 << 20;

    /// <summary>The most photos of one step.</summary>
    public const int MostOfStep = 6;

    /// <summary>The most photos of all steps.</summary>
    public const int Most = 200;

    /// <summary>Keeps a photo with a step.</summary>
    /// <param name="step">The id of the step.</param>
    /// <param name="what">What the step is, in words.</param>
    /// <param name="content">The image.</param>
    /// <exception cref="Refused">It is no image that browsers show, too large, or there are too many.</exception>
    public async Task KeepAsync(string step, string what, byte[] content, CancellationToken cancel = default)
    {
        if (content.Length > Largest)
        {
            throw new Refused($"A photo has {Largest >> 20} MiB at most. Nothing was kept.");
        }

        var type = ImageType.Of(content) ?? throw new Refused("That is no PNG, JPEG or WebP image. Nothing was kept.");
        await using var db = await databases.CreateDbContextAsync(cancel);
        // Counted and kept in one go: of several at once none is one too many.
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var kept = db.Photos.Where(p => p.Gone == null);
        if (await kept.CountAsync(p => p.Step == step, cancel) >= MostOfStep)
        {
            throw new Refused($"{MostOfStep} photos are kept with that step. Take one away first.");
        }

        if (await kept.CountAsync(cancel) >= Most)
        {
            throw new Refused($"{Most} photos are kept. Take some away first.");
        }

        db.Photos.Add(
            new PhotoRow
            {
                Step = step,
                What = what,
                At = clock.GetUtcNow().UtcDateTime,
                Type = type,
                Content = content,
            }
        );
        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
    }

    /// <summary>The photos that are kept and the one that can be put back, in the order they came.</summary>
    public async Task<IReadOnlyList<StepPhoto>> AllAsync(CancellationToken cancel = default)
    {
        await using var db = await databases.CreateDbContextAsync(cancel);
        return await db
            .Photos.AsNoTracking()
            .OrderBy(p => p.Id)
            .Select(p => new StepPhoto(p.Id, p.Step, p.What, p.At, p.Gone != null))
            .ToListAsync(cancel);
    }

    /// <summary>A photo with its media type; null when there is none under that key.</summary>
    public async Task<(byte[] Content, string Type)?> FindAsync(long id, CancellationToken cancel = default)
    {
        await using var db = await databases.CreateDbContextAsync(cancel);
        var found = await db.Photos.AsNoTracking().FirstOrDefaultAsync(p => p.Id == id && p.Gone == null, cancel);
        return found is null ? null : (found.Content, found.Type);
    }

    /// <summary>Takes a photo away. It can be put back until the next one is taken away.</summary>
    /// <exception cref="Refused">There is no such photo.</exception>
    public async Task RemoveAsync(long id, CancellationToken cancel = default)
    {
        await using var db = await databases.CreateDbContextAsync(cancel);
        var now = clock.GetUtcNow().UtcDateTime;
        if (await db.Photos.Where(p => p.Id == id && p.Gone == null).ExecuteUpdateAsync(p => p.SetProperty(x => x.Gone, now), cancel) == 0)
        {
            throw new Refused("That photo was taken away already.");
        }

        await db.Photos.Where(p => p.Gone != null && p.Id != id).ExecuteDeleteAsync(cancel);
    }

    /// <summary>Puts the photo back that was taken away last.</summary>
    /// <exception cref="Refused">It is gone for good.</exception>
    public async Task PutBackAsync(long id, CancellationToken cancel = default)
    {
        await using var db = await databases.CreateDbContextAsync(cancel);
        if (
            await db
                .Photos.Where(p => p.Id == id && p.Gone != null)
                .ExecuteUpdateAsync(p => p.SetProperty(x => x.Gone, (DateTime?)null), cancel) == 0
        )
        {
            throw new Refused("That photo is gone for good: another one was taken away after it.");
        }
    }
}
