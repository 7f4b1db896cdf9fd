using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Yuntak.Core.Figures;

namespace Yuntak.Data;

/// <summary>The folder that holds the person's data.</summary>
public static class DataFolder
{
    /// <summary>The database's file name in the folder.</summary>
    public const string FileName = "yuntak.db";

    /// <summary>Adds the database and the store to a container.</summary>
    /// <param name="services">The container.</param>
    /// <param name="folder">The folder; made when it is missing.</param>
    public static IServiceCollection AddYuntakData(this IServiceCollection services, string folder)
    {
        Directory.CreateDirectory(folder);
        services.AddDbContextFactory<YuntakDb>(options => Configure(options, folder));
        services.AddSingleton<LabStore>();
        services.AddSingleton<ReadingStore>();
        return services;
    }

    /// <summary>Creates the database, or brings it to today's shape, and switches the write-ahead log on.</summary>
    public static void Prepare(IServiceProvider services)
    {
        using var db = services.GetRequiredService<IDbContextFactory<YuntakDb>>().CreateDbContext();
        db.Database.Migrate();
        db.Database.ExecuteSqlRaw("PRAGMA journal_mode = WAL;");
    }

    internal static void Configure(DbContextOptionsBuilder options, string folder) =>
        options.UseSqlite($"Data Source={Path.Combine(folder, FileName)}").AddInterceptors(new DurabilityInterceptor());
}
