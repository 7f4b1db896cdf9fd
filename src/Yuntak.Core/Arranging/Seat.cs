using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Wants;

namespace Yuntak.Core.Arranging;

/// <summary>A guest on a host in one packaging, with all it would take there. Which pools it takes is open.</summary>
internal sealed class Seat
{
    private readonly long memory;
    private readonly long promised;
    private readonly long[] cores = new long[DayShape.Hours];

    public Seat(int mover, HostRoom room, Sizing sizing, bool stays)
    {
        (Mover, Room, Sizing, Stays) = (mover, room, sizing, stays);
        var share = new MemoryShare(sizing.Guest, sizing);
        (memory, promised) = (share.Committed.Bytes, share.Promised.Bytes);
        for (var hour = 0; hour < cores.Length; hour++)
        {
            cores[hour] = (long)Math.Round(sizing.CoresAt(hour) * HostRoom.CoreParts);
        }
    }

    /// <summary>Which of the guests it is.</summary>
    public int Mover { get; }

    /// <summary>The host.</summary>
    public HostRoom Room { get; }

    /// <summary>The guest as it would be there, sized for the host.</summary>
    public Sizing Sizing { get; }

    /// <summary>The guest as it would be there.</summary>
    public Guest Guest => Sizing.Guest;

    /// <summary>Whether it is there now, packaged so.</summary>
    public bool Stays { get; }

    /// <summary>Pools its system disk could lie in.</summary>
    public IReadOnlyList<SeatPool> System { get; init; } = [];

    /// <summary>Pools its bulk data could lie in; a single entry of none where it has no data of its own.</summary>
    public IReadOnlyList<SeatPool> Bulk { get; init; } = [];

    /// <summary>The devices it has to have.</summary>
    public IReadOnlyList<SeatNeed> Needs { get; init; } = [];

    /// <summary>What keeps it out whoever else is there; empty where it can be there.</summary>
    public IReadOnlyList<FitLimit> Limits { get; init; } = [];

    /// <summary>What it takes of a line that is not a pool's.</summary>
    public long LoadOn(Limit limit) =>
        limit.Line switch
        {
            RoomLine.Memory => memory,
            RoomLine.Promised => promised,
            RoomLine.Cores => cores[limit.At],
            RoomLine.Vcpu => Sizing.Vcpu,
            RoomLine.Pool or RoomLine.PoolPromised => 0,
        };
}
