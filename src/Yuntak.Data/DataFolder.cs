using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace Yuntak.Data;

/// <summary>The folder that holds the person's data: what is where in it, and the services that use it.</summary>
public static class DataFolder
{
    /// <summary>The database's file name in the folder.</summary>
    public const string FileName = "yuntak.db";

    /// <summary>The folder, inside the data folder, with the copies Yuntak takes by itself.</summary>
    public const string CopiesName = "copies";

    /// <summary>Only the person whose data it is may read and write it.</summary>
    public const UnixFileMode OwnFile = UnixFileMode.UserRead | UnixFileMode.UserWrite;

    /// <summary>Only the person whose data it is may look inside.</summary>
    public const UnixFileMode OwnFolder = OwnFile | UnixFileMode.UserExecute;

    /// <summary>Adds the database and the store to a container. The folder is opened with <see cref="Opening.DataOpening"/> before the first use.</summary>
    /// <param name="services">The container.</param>
    /// <param name="folder">The folder.</param>
    public static IServiceCollection AddYuntakData(this IServiceCollection services, string folder)
    {
        services.AddSingleton<IDbContextFactory<YuntakDb>>(new DatabaseFile(Database(folder)));
        services.AddSingleton<LabStore>();
        services.AddSingleton<ReadingStore>();
        services.AddSingleton<Thinning>();
        return services;
    }

    /// <summary>Where the database of a folder is.</summary>
    public static string Database(string folder) => Path.Combine(folder, FileName);
}
