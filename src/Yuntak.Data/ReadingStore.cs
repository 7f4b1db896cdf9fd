using System.Text;
using Microsoft.EntityFrameworkCore;

namespace Yuntak.Data;

/// <summary>Keeps the texts people give to be read.</summary>
public sealed class ReadingStore(IDbContextFactory<YuntakDb> databases, TimeProvider clock)
{
    /// <summary>Keeps a text.</summary>
    /// <returns>Its key.</returns>
    public async Task<long> KeepAsync(string text, CancellationToken cancel = default)
    {
        await using var db = await databases.CreateDbContextAsync(cancel);
        var row = new ReadingRow { At = clock.GetUtcNow().UtcDateTime, Content = Compression.Pack(Encoding.UTF8.GetBytes(text)) };
        db.Readings.Add(row);
        await db.SaveChangesAsync(cancel);
        return row.Id;
    }

    /// <summary>The text of that key, or null when there is none.</summary>
    public async Task<string?> FindAsync(long id, CancellationToken cancel = default)
    {
        await using var db = await databases.CreateDbContextAsync(cancel);
        var row = await db.Readings.AsNoTracking().FirstOrDefaultAsync(r => r.Id == id, cancel);
        return row is null ? null : Encoding.UTF8.GetString(Compression.Unpack(row.Content));
    }
}
