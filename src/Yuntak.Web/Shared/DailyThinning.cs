using Yuntak.Data;

namespace Yuntak.Web.Shared;

/// <summary>Thins what is kept for a while only, once a day.</summary>
internal sealed class DailyThinning(Thinning thinning, TimeProvider clock, ILogger<DailyThinning> log) : BackgroundService
{
    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        // After the first page, not before it.
        await Task.Yield();
        using var daily = new PeriodicTimer(TimeSpan.FromDays(1), clock);
        do
        {
            try
            {
                await thinning.RunAsync(stoppingToken);
            }
            catch (Exception e)
                when (e is Microsoft.Data.Sqlite.SqliteException or IOException or Microsoft.EntityFrameworkCore.DbUpdateException)
            {
                log.LogWarning(e, "What is old could not be let go of; it is tried again tomorrow");
            }
        } while (await daily.WaitForNextTickAsync(stoppingToken));
    }
}
