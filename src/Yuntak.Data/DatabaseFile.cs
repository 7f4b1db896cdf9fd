using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Yuntak.Data;

/// <summary>Opens contexts on one database file.</summary>
/// <param name="file">The file.</param>
/// <param name="pooled">Whether connections stay open for the next use; not for files that are moved afterwards.</param>
internal sealed class DatabaseFile(string file, bool pooled = true) : IDbContextFactory<YuntakDb>
{
    private readonly DbContextOptions<YuntakDb> options = Options(file, pooled);

    /// <inheritdoc/>
    public YuntakDb CreateDbContext() => new(options);

    private static DbContextOptions<YuntakDb> Options(string file, bool pooled)
    {
        var built = new DbContextOptionsBuilder<YuntakDb>();
        // The builder quotes what a path may hold: a semicolon in a folder's name is no second setting.
        built
            .UseSqlite(new SqliteConnectionStringBuilder { DataSource = file, Pooling = pooled }.ToString())
            .AddInterceptors(new DurabilityInterceptor());
        return built.Options;
    }
}
