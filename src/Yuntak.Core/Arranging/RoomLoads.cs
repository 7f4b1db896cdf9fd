namespace Yuntak.Core.Arranging;

/// <summary>What guests take of every line of every host while they are put there one by one.</summary>
internal sealed class RoomLoads
{
    private readonly long[][] loads;

    /// <param name="rooms">The hosts.</param>
    public RoomLoads(IReadOnlyList<HostRoom> rooms) => loads = [.. rooms.Select(r => new long[r.Limits.Count])];

    private RoomLoads(long[][] loads) => this.loads = [.. loads.Select(l => (long[])l.Clone())];

    /// <summary>What is taken of a line, by its place among those of the host.</summary>
    public long On(HostRoom room, int limit) => loads[room.Number][limit];

    /// <summary>The same loads, to go on with.</summary>
    public RoomLoads Copy() => new(loads);

    /// <summary>Puts a guest on its seat with its pools, or takes it off again.</summary>
    public void Add(Choice choice, int sign = 1)
    {
        var seat = choice.Seat!;
        var limits = seat.Room.Limits;
        for (var n = 0; n < limits.Count; n++)
        {
            loads[seat.Room.Number][n] += sign * choice.LoadOn(limits[n]);
        }
    }

    /// <summary>Whether a guest has room on its seat beside who is there already.</summary>
    public bool HasRoom(Choice choice)
    {
        var seat = choice.Seat!;
        var limits = seat.Room.Limits;
        for (var n = 0; n < limits.Count; n++)
        {
            // What takes nothing of a line may go where that line is crossed already.
            if (limits[n].Hard is { } hard && choice.LoadOn(limits[n]) is > 0 and var load && loads[seat.Room.Number][n] + load > hard)
            {
                return false;
            }
        }

        return true;
    }
}
