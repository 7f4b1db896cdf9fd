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

    /// <summary>Makes a file that only the person whose data it is may read, from its first byte on.</summary>
    /// <param name="file">A file that is not there yet.</param>
    public static FileStream NewOwnFile(string file) =>
        new(
            file,
            new FileStreamOptions
            {
                Mode = FileMode.CreateNew,
                Access = FileAccess.Write,
                UnixCreateMode = OwnFile,
            }
        );

    /// <summary>Where a database is made before it is moved to its place, with what a start that was cut off left there out of the way.</summary>
    internal static string Fresh(string folder)
    {
        var fresh = Database(folder) + ".new";
        foreach (var left in Directory.GetFiles(folder, Path.GetFileName(fresh) + "*"))
        {
            File.Delete(left);
        }

        return fresh;
    }

    /// <summary>Adds the database and the store to a container. The folder is opened with <see cref="Opening.DataOpening"/> before the first use.</summary>
    /// <param name="services">The container.</param>
    /// <param name="folder">The folder.</param>
    public static IServiceCollection AddYuntakData(this IServiceCollection services, string folder)
    {
        services.AddSingleton<IDbContextFactory<YuntakDb>>(new DatabaseFile(Database(folder)));
        services.AddSingleton<LabStore>();
        services.AddSingleton<ReadingStore>();
        services.AddSingleton<PhotoStore>();
        services.AddSingleton<Ticking>();
        services.AddSingleton<Thinning>();
        return services;
    }

    /// <summary>Where the database of a folder is.</summary>
    public static string Database(string folder) => Path.Combine(folder, FileName);
}
