using Yuntak.Core.Arranging;
using Yuntak.Core.Base;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Arranging;

/// <summary>
/// Looks for arrangements beside the requests: one at a time, a few waiting, the same one for all who ask the same. A search ends when nobody has asked after it for a
/// while. Nothing of it is stored, so a process that is killed loses nothing but the search.
/// </summary>
public sealed class ArrangeDesk(TimeProvider clock, ILogger<ArrangeDesk> log) : IDisposable
{
    /// <summary>How long a search goes on after somebody last asked after it.</summary>
    internal static readonly TimeSpan Patience = TimeSpan.FromSeconds(10);

    private const int MostWaiting = 4;
    private const int MostKept = 12;
    private readonly Lock gate = new();
    private readonly SemaphoreSlim turn = new(1);
    private readonly List<ArrangeJob> jobs = [];

    /// <summary>Begins an arrangement, or joins the one that is under way or done.</summary>
    /// <exception cref="Refused">Too many are waiting.</exception>
    public ArrangeJob Begin(Desk desk, ArrangeAsk ask)
    {
        var key = new ArrangeKey(desk.Draft.Revision, desk.AsBuilt.Revision, ask);
        lock (gate)
        {
            if (jobs.Find(j => j.Key == key && j.Trouble is null) is { } known)
            {
                Asked(known);
                return known;
            }

            if (jobs.Count(j => !j.Ended) >= MostWaiting)
            {
                throw new Refused($"{MostWaiting} arrangements are being looked for already. Wait for one of them, or stop it.");
            }

            foreach (var old in jobs.Where(j => j.Ended).Take(jobs.Count - MostKept + 1).ToList())
            {
                jobs.Remove(old);
                old.Dispose();
            }

            var job = new ArrangeJob(Guid.NewGuid().ToString("N")[..12], key);
            job.Patience = clock.CreateTimer(_ => job.Stop(), null, Patience, Timeout.InfiniteTimeSpan);
            jobs.Add(job);
            job.Work = Task.Run(() => WorkAsync(job, desk));
            return job;
        }
    }

    /// <summary>The arrangement of that id, if it is still known. Whoever asks waits for it.</summary>
    public ArrangeJob? Find(string? id)
    {
        lock (gate)
        {
            var job = jobs.Find(j => j.Id == id);
            if (job is not null)
            {
                Asked(job);
            }

            return job;
        }
    }

    /// <summary>The last arrangement that was found for the lab as it is; null when there is none.</summary>
    public ArrangeJob? Last(Desk desk)
    {
        lock (gate)
        {
            return jobs.FindLast(j => j.Result is not null && j.Key.Draft == desk.Draft.Revision && j.Key.AsBuilt == desk.AsBuilt.Revision);
        }
    }

    /// <summary>Stops a search.</summary>
    public void Stop(string? id) => Find(id)?.Stop();

    /// <inheritdoc/>
    public void Dispose()
    {
        foreach (var job in jobs)
        {
            // What is under way sees it and lets go of its turn by itself.
            job.Stop();
            job.Patience?.Dispose();
        }
    }

    private static void Asked(ArrangeJob job) => job.Patience?.Change(Patience, Timeout.InfiniteTimeSpan);

    private async Task WorkAsync(ArrangeJob job, Desk desk)
    {
        var mine = false;
        try
        {
            await turn.WaitAsync(job.Stopped);
            mine = true;
            var running = desk.AsBuilt.Lab.Guests.Where(g => g.Placement is not null).Select(g => g.Id).ToHashSet();
            job.End(Arranger.Of(desk.Assessment, job.Key.Ask, running, new Telling(job), job.Stopped), null);
        }
        catch (OperationCanceledException)
        {
            job.End(null, "The search was stopped. Nothing was changed.");
        }
        catch (Exception e) when (e is not OutOfMemoryException)
        {
            log.LogError(e, "An arrangement came to grief");
            job.End(null, $"Yuntak could not work this arrangement out ({e.GetType().Name}). Nothing was changed.");
        }
        finally
        {
            if (mine)
            {
                turn.Release();
            }

            job.Patience?.Dispose();
        }
    }

    /// <summary>Told at once: what is shown is always the last.</summary>
    private sealed class Telling(ArrangeJob job) : IProgress<ArrangeProgress>
    {
        public void Report(ArrangeProgress value) => job.Tell(value);
    }
}
