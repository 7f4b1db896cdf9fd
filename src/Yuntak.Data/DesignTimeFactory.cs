using Microsoft.EntityFrameworkCore.Design;

namespace Yuntak.Data;

/// <summary>Lets <c>dotnet ef migrations add</c> work on this project alone.</summary>
internal sealed class DesignTimeFactory : IDesignTimeDbContextFactory<YuntakDb>
{
    public YuntakDb CreateDbContext(string[] args) => new DatabaseFile(Path.Combine(Path.GetTempPath(), "design.db")).CreateDbContext();
}
