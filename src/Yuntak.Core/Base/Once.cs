namespace Yuntak.Core.Base;

/// <summary>
/// Something that is worked out when it is first asked for, and then kept. Unlike <see cref="Lazy{T}"/> it keeps no failure: sums that were broken off because one
/// visitor went (<see cref="Patience"/>) are begun anew for the next.
/// </summary>
/// <param name="make">Works it out.</param>
public sealed class Once<T>(Func<T> make)
{
    private readonly Lock making = new();
    private Func<T>? make = make;
    private bool busy;
    private T value = default!;

    /// <summary>What was worked out.</summary>
    /// <exception cref="InvalidOperationException">It needs itself.</exception>
    public T Value
    {
        get
        {
            if (Volatile.Read(ref make) is null)
            {
                return value;
            }

            lock (making)
            {
                return make is null ? value : Made(make);
            }
        }
    }

    private T Made(Func<T> from)
    {
        if (busy)
        {
            throw new InvalidOperationException("Something that is worked out needs itself.");
        }

        busy = true;
        try
        {
            value = from();
            Volatile.Write(ref make, null);
            return value;
        }
        finally
        {
            busy = false;
        }
    }
}
