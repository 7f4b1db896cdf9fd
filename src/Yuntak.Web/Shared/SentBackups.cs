using System.Globalization;
using Yuntak.Data.Opening;
using Yuntak.Web.Starting;

namespace Yuntak.Web.Shared;

/// <summary>All data as one file to take away. A copy is made for each, so only so many are sent at once; what a kill left of them goes at the next start.</summary>
public static class SentBackups
{
    /// <summary>How many are sent at once.</summary>
    public const int AtOnce = 2;

    private const string Pattern = "backup-*.tmp*";
    private static readonly SemaphoreSlim Free = new(AtOnce, AtOnce);

    /// <summary>Takes away what sends that were cut off left in a data folder, which this process alone holds.</summary>
    public static void Clear(string folder)
    {
        foreach (var left in Directory.EnumerateFiles(folder, Pattern))
        {
            File.Delete(left);
        }
    }

    /// <summary>The data as it is at this moment. The file it is copied to first goes when it is sent, or was not wanted.</summary>
    public static async Task<IResult> Take(HttpContext context, StartOptions options, TimeProvider clock)
    {
        if (!await Free.WaitAsync(TimeSpan.Zero))
        {
            context.Response.Headers.RetryAfter = "60";
            return Results.Text(
                $"{AtOnce} backups are being sent already. Wait until one of them is through, then try again.",
                "text/plain",
                statusCode: StatusCodes.Status503ServiceUnavailable
            );
        }

        context.Response.OnCompleted(() =>
        {
            Free.Release();
            return Task.CompletedTask;
        });
        var file = Path.Combine(options.Data, $"backup-{Guid.NewGuid():N}.tmp");
        Backup.Take(options.Data, file);
        var sent = new FileStream(
            file,
            FileMode.Open,
            FileAccess.Read,
            FileShare.Read,
            64 << 10,
            FileOptions.DeleteOnClose | FileOptions.Asynchronous
        );
        return Results.Stream(
            sent,
            "application/octet-stream",
            string.Create(CultureInfo.InvariantCulture, $"yuntak-{clock.Today():yyyy-MM-dd}.backup")
        );
    }
}
