using Microsoft.EntityFrameworkCore;

namespace Yuntak.Data;

/// <summary>Lets go of what nobody comes back to: changes set aside and texts given to be read, after thirty days. The history itself stays whole.</summary>
public sealed class Thinning(IDbContextFactory<YuntakDb> databases, TimeProvider clock)
{
    /// <summary>How long they are kept.</summary>
    public static readonly TimeSpan Kept = TimeSpan.FromDays(30);

    /// <summary>Thins once.</summary>
    /// <returns>How many rows went.</returns>
    public async Task<int> RunAsync(CancellationToken cancel = default)
    {
        var until = clock.GetUtcNow().UtcDateTime - Kept;
        await using var db = await databases.CreateDbContextAsync(cancel);
        var aside = await db.Revisions.Where(r => r.Number == 0 && r.At < until).ExecuteDeleteAsync(cancel);
        return aside + await db.Readings.Where(r => r.At < until).ExecuteDeleteAsync(cancel);
    }
}
