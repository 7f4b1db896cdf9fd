using Yuntak.Core.Labs;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Rehearsals;

/// <summary>Notes when who runs, told after each step.</summary>
internal sealed class LaneLog
{
    private readonly Dictionary<GuestId, List<(int From, int To)>> runs = [];
    private readonly Dictionary<GuestId, int> since = [];
    private readonly Dictionary<GuestId, int> gone = [];

    /// <summary>Who runs at the beginning.</summary>
    public LaneLog(SimHouse house)
    {
        foreach (var guest in house.Guests)
        {
            runs[guest.Id] = [];
            if (guest.State == GuestState.Running)
            {
                since[guest.Id] = 0;
            }
        }
    }

    /// <summary>A step is through.</summary>
    /// <param name="house">The hosts after it.</param>
    /// <param name="stopped">Who did not run at some time of it.</param>
    /// <param name="from">When it began.</param>
    /// <param name="to">When it was through.</param>
    public void Add(SimHouse house, IEnumerable<GuestId> stopped, int from, int to)
    {
        foreach (var guest in stopped)
        {
            Close(guest, from);
        }

        foreach (var guest in house.Guests)
        {
            var running = guest.State == GuestState.Running;
            if (running && since.TryAdd(guest.Id, to))
            {
                runs.TryAdd(guest.Id, []);
            }
            else if (!running)
            {
                Close(guest.Id, from);
            }
        }

        foreach (var guest in runs.Keys.Where(g => house.GuestIf(g) is null && !gone.ContainsKey(g)).ToList())
        {
            Close(guest, from);
            gone[guest] = to;
        }
    }

    private void Close(GuestId guest, int at)
    {
        if (since.Remove(guest, out var from) && at > from)
        {
            runs[guest].Add((from, at));
        }
    }

    /// <summary>The lanes, once all is through.</summary>
    public IReadOnlyList<Lane> At(int end)
    {
        foreach (var (guest, from) in since.ToList())
        {
            runs[guest].Add((from, Math.Max(from, end)));
        }

        since.Clear();
        return [.. runs.Select(r => new Lane(r.Key, r.Value, gone.TryGetValue(r.Key, out var at) ? at : null))];
    }
}
