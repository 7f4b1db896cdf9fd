using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;

namespace Yuntak.Data;

/// <summary>Lets <c>dotnet ef migrations add</c> work on this project alone.</summary>
internal sealed class DesignTimeFactory : IDesignTimeDbContextFactory<YuntakDb>
{
    public YuntakDb CreateDbContext(string[] args)
    {
        var options = new DbContextOptionsBuilder<YuntakDb>();
        DataFolder.Configure(options, Path.GetTempPath());
        return new YuntakDb(options.Options);
    }
}
