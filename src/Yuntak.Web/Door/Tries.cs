using System.Net;
using System.Net.Sockets;
using Yuntak.Data;

namespace Yuntak.Web.Door;

/// <summary>
/// Counts wrong pass phrases by where they come from. After five in a row each further one has to wait, longer every time, up to a quarter of an hour. Others are not
/// kept waiting by it, so nobody can shut the household out.
/// </summary>
/// <param name="clock">The time.</param>
public sealed class Tries(TimeProvider clock)
{
    /// <summary>How many may be wrong before anybody waits.</summary>
    public const int Free = 5;

    private const int Remembered = 10_000;
    private static readonly TimeSpan First = TimeSpan.FromSeconds(30);
    private static readonly TimeSpan Most = TimeSpan.FromMinutes(15);
    private readonly Lock gate = new();
    private readonly Recent<string, Count> counts = new(Remembered);

    /// <summary>Takes a try before the phrase is looked at, so that many at once are no way around.</summary>
    /// <returns>How long to wait first; null when the phrase may be looked at.</returns>
    public TimeSpan? Take(IPAddress? from)
    {
        lock (gate)
        {
            var count = counts.Keep(Key(from), new Count());
            var now = clock.GetUtcNow();
            if (now - count.Last > TimeSpan.FromHours(1))
            {
                count.Wrong = 0;
            }

            if (count.Wrong >= Free && count.Last + Wait(count.Wrong) - now is { Ticks: > 0 } left)
            {
                return left;
            }

            count.Wrong++;
            count.Last = now;
            return null;
        }
    }

    /// <summary>Forgets what was wrong before: the phrase was right.</summary>
    public void Right(IPAddress? from)
    {
        lock (gate)
        {
            counts.Keep(Key(from), new Count()).Wrong = 0;
        }
    }

    private static TimeSpan Wait(int wrong) =>
        TimeSpan.FromSeconds(Math.Min(Most.TotalSeconds, First.TotalSeconds * Math.Pow(2, wrong - Free)));

    /// <summary>An address of version 6 counts by its network: a machine has as many of them as it likes.</summary>
    private static string Key(IPAddress? from)
    {
        if (from is null)
        {
            return "";
        }

        var plain = from.IsIPv4MappedToIPv6 ? from.MapToIPv4() : from;
        return plain.AddressFamily == AddressFamily.InterNetworkV6
            ? Convert.ToHexString(plain.GetAddressBytes().AsSpan(0, 8))
            : plain.ToString();
    }

    private sealed class Count
    {
        public int Wrong { get; set; }

        public DateTimeOffset Last { get; set; } = DateTimeOffset.MinValue;
    }
}
