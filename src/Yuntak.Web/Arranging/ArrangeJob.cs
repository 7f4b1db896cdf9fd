using Yuntak.Core.Arranging;

namespace Yuntak.Web.Arranging;

/// <summary>An arrangement that is being looked for, or was found.</summary>
public sealed class ArrangeJob : IDisposable
{
    private readonly CancellationTokenSource stop = new();
    private ArrangeProgress? progress;

    /// <param name="id">What it is known by.</param>
    /// <param name="key">What it is about.</param>
    internal ArrangeJob(string id, ArrangeKey key) => (Id, Key) = (id, key);

    /// <summary>What it is known by.</summary>
    public string Id { get; }

    /// <summary>What it is about.</summary>
    public ArrangeKey Key { get; }

    /// <summary>How far it is; null while it waits for its turn.</summary>
    public ArrangeProgress? Progress => Volatile.Read(ref progress);

    /// <summary>What was found; null while it is looked for.</summary>
    public Arrangement? Result { get; private set; }

    /// <summary>Why nothing was found; null while all is well.</summary>
    public string? Trouble { get; private set; }

    /// <summary>Whether it has come to an end.</summary>
    public bool Ended => Result is not null || Trouble is not null;

    /// <summary>The work, for those who wait for it.</summary>
    public Task Work { get; internal set; } = Task.CompletedTask;

    /// <summary>Ends it when nobody has asked after it for a while.</summary>
    internal ITimer? Patience { get; set; }

    internal CancellationToken Stopped => stop.Token;

    /// <inheritdoc/>
    public void Dispose()
    {
        Patience?.Dispose();
        stop.Dispose();
    }

    /// <summary>Ends it: nobody waits any longer.</summary>
    internal void Stop()
    {
        if (!Ended)
        {
            stop.Cancel();
        }
    }

    internal void Tell(ArrangeProgress now) => Volatile.Write(ref progress, now);

    internal void End(Arrangement? result, string? trouble) => (Result, Trouble) = (result, trouble);
}
