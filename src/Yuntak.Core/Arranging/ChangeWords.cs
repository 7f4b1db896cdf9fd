using Yuntak.Core.Bench;
using Yuntak.Core.Devices;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;
using Yuntak.Core.Units;

namespace Yuntak.Core.Arranging;

/// <summary>What keeps a guest out, and what would have to give, in words.</summary>
internal static class ChangeWords
{
    /// <summary>A line of a host that is short.</summary>
    /// <param name="seat">The seat.</param>
    /// <param name="limit">The line.</param>
    /// <param name="needs">What the guest takes of it.</param>
    /// <param name="more">How much more of it there would have to be.</param>
    public static FitLimit Of(Seat seat, Limit limit, long needs, long more)
    {
        var host = seat.Room.Host.Name;
        if (limit.Line == RoomLine.Cores)
        {
            // The line is 120 % of the effective cores: so many fewer are missing.
            var missing = Math.Ceiling(more / HostRoom.CoreParts / ProcessorBudget.OverShare.Value * 10) / 10;
            return new(
                $"processor: {new Cores(needs / HostRoom.CoreParts)} more wanted at {Numbers.Hour(limit.At)} than {host} bears",
                $"+{Numbers.OneDecimal(missing)} effective cores on {host}"
            );
        }

        var (wanted, short_) = (new ByteSize(needs), new ByteSize(more));
        var free = ByteSize.Max(ByteSize.Zero, wanted - short_);
        if (limit.Line == RoomLine.Memory)
        {
            return new(
                $"memory: {wanted} wanted, {Or(free, free.ToString())} to be had on {host}",
                $"+{seat.Room.MemoryFor(short_).ToStringUp()} memory on {host}"
            );
        }

        var pool = seat.Room.Pools[limit.At].Pool.Name;
        return new(
            $"disk: {wanted.ToDecimalString()} wanted, {Or(free, free.ToDecimalString())} to be had in {pool} on {host}",
            $"+{short_.ToDecimalStringUp()} room in {pool} on {host}"
        );
    }

    /// <summary>A device that somebody else has; nobody where the host has too few for all.</summary>
    public static FitLimit Missing(Seat seat, SeatNeed need, Guest? holder)
    {
        var what = need.Asked.Claim.Need.Words();
        return holder is null
            ? new(
                $"{seat.Guest.Name} needs {Base.Names.A(what)} that is not free on {seat.Room.Host.Name}",
                $"another {what} in {seat.Room.Host.Name}"
            )
            : new($"{holder.Name} has the {what} that {seat.Guest.Name} needs", $"release the {what} from {holder.Name}");
    }

    /// <summary>Who has what a guest needs on a host; null when no single one does.</summary>
    public static Guest? Holder(ArrangeProblem problem, IReadOnlyList<Choice> chosen, Mover mover, Seat seat, SeatNeed need)
    {
        var map = problem.Sums.Devices[seat.Room.Number].Map;
        return problem
            .Movers.Where(m => m != mover && chosen[m.Number].Seat is { } there && there.Room == seat.Room)
            .FirstOrDefault(m =>
                chosen[m.Number].Seat!.Needs.Any(theirs => need.Ways.All(mine => theirs.Ways.All(w => ClaimClash.IsThere(map, mine, w))))
            )
            ?.Guest;
    }

    private static string Or(ByteSize size, string words) => size > ByteSize.Zero ? words : "nothing";
}
