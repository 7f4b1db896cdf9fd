using System.IO.Compression;
using System.Security.Cryptography;
using Microsoft.EntityFrameworkCore;

namespace Yuntak.Data;

/// <summary>Keeps the texts people give to be read.</summary>
public sealed class ReadingStore(IDbContextFactory<YuntakDb> databases, TimeProvider clock)
{
    /// <summary>Keeps a text; one that is kept already is not kept twice.</summary>
    /// <param name="packed">The text as <see cref="Packed"/> packs it.</param>
    /// <returns>Its key.</returns>
    public async Task<long> KeepAsync(byte[] packed, CancellationToken cancel = default)
    {
        await using var db = await databases.CreateDbContextAsync(cancel);
        var hash = Convert.ToHexStringLower(SHA256.HashData(packed));
        var now = clock.GetUtcNow().UtcDateTime;
        // Whoever gives it again wants it kept as long as if it were new.
        if (await db.Readings.Where(r => r.Hash == hash).ExecuteUpdateAsync(r => r.SetProperty(x => x.At, now), cancel) == 0)
        {
            await db.Database.ExecuteSqlAsync(
                $"INSERT OR IGNORE INTO readings (At, Hash, Content) VALUES ({now}, {hash}, {packed})",
                cancel
            );
        }

        return await db.Readings.Where(r => r.Hash == hash).Select(r => r.Id).SingleAsync(cancel);
    }

    /// <summary>The packed text of that key, or null when there is none.</summary>
    public async Task<byte[]?> FindAsync(long id, CancellationToken cancel = default)
    {
        await using var db = await databases.CreateDbContextAsync(cancel);
        return await db.Readings.AsNoTracking().Where(r => r.Id == id).Select(r => r.Content).FirstOrDefaultAsync(cancel);
    }

    /// <summary>Packs texts one after the other, each on lines of its own, without holding them unpacked.</summary>
    /// <param name="texts">Read once, not closed.</param>
    /// <param name="most">The most bytes that are kept; what is beyond is not read.</param>
    public static async Task<byte[]> Packed(IEnumerable<Stream> texts, long most, CancellationToken cancel = default)
    {
        using var packed = new MemoryStream();
        await using (var brotli = new BrotliStream(packed, CompressionLevel.Fastest, leaveOpen: true))
        {
            var chunk = new byte[64 * 1024];
            foreach (var text in texts)
            {
                int got;
                while (most > 0 && (got = await text.ReadAsync(chunk.AsMemory(0, (int)Math.Min(chunk.Length, most)), cancel)) > 0)
                {
                    await brotli.WriteAsync(chunk.AsMemory(0, got), cancel);
                    most -= got;
                }

                brotli.WriteByte((byte)'\n');
            }
        }

        return packed.ToArray();
    }

    /// <summary>Opens a packed text.</summary>
    public static Stream Open(byte[] packed) => new BrotliStream(new MemoryStream(packed), CompressionMode.Decompress);
}
