using Yuntak.Core.Labs;

namespace Yuntak.Core.Arranging;

/// <summary>The goals of what was chosen, counted without a solver.</summary>
internal static class GoalSums
{
    private const long Kibi = 1024;
    private const long Micro = 1000;

    /// <summary>How many guests of an importance have a place.</summary>
    public static long Placed(ArrangeProblem problem, IReadOnlyList<Choice> chosen, Importance importance) =>
        problem.Movers.Count(m => m.Guest.Importance == importance && chosen[m.Number].Placed);

    /// <summary>How many guests leave the host they are on, are packaged otherwise, or come off it.</summary>
    public static long Moves(ArrangeProblem problem, IReadOnlyList<Choice> chosen) =>
        problem.Movers.Count(m => m.Home is not null && chosen[m.Number].Seat != m.Home);

    /// <summary>How many volumes are copied to another pool of the same host.</summary>
    public static long Copied(IReadOnlyList<Choice> chosen) => chosen.Sum(c => c.Copied);

    /// <summary>What the offers cost that something is put on, in hundredths.</summary>
    public static long Price(ArrangeProblem problem, IReadOnlyList<Choice> chosen) =>
        problem.Rooms.Where(r => r.Offer is not null && IsOn(problem, chosen, r)).Sum(PriceOf);

    /// <summary>What an offer costs, in hundredths.</summary>
    public static long PriceOf(HostRoom room) => (long)Math.Round((room.Offer?.Price ?? 0) * 100);

    /// <summary>How many hosts have something to do.</summary>
    public static long Powered(ArrangeProblem problem, IReadOnlyList<Choice> chosen) => problem.Rooms.Count(r => IsOn(problem, chosen, r));

    /// <summary>What they take at rest, in tenths of a watt.</summary>
    public static long Watts(ArrangeProblem problem, IReadOnlyList<Choice> chosen) =>
        problem.Rooms.Where(r => IsOn(problem, chosen, r)).Sum(WattsOf);

    /// <summary>What a host takes at rest, in tenths of a watt.</summary>
    public static long WattsOf(HostRoom room) => (long)Math.Round((room.Host.IdleWatts ?? 0) * 10);

    /// <summary>Whether a host has something to do: a guest, or a folder or share that others use.</summary>
    public static bool IsOn(ArrangeProblem problem, IReadOnlyList<Choice> chosen, HostRoom room) =>
        Serves(problem, room) || chosen.Any(c => c.Seat?.Room == room);

    /// <summary>Whether a host serves others besides its guests.</summary>
    public static bool Serves(ArrangeProblem problem, HostRoom room) =>
        problem.Sums.Lab.Folders.Any(f => f.Host == room.Host.Id) || problem.Sums.Lab.Shares.Any(s => s.From.Host == room.Host.Id);

    /// <summary>How full the fullest host is, in whole per cent of its memory or, in its busiest hour, of its cores; rounded up.</summary>
    public static long Fullest(ArrangeProblem problem, IReadOnlyList<Choice> chosen) =>
        problem
            .Rooms.Where(r => r.Offer is null || IsOn(problem, chosen, r))
            .SelectMany(r =>
                Measured(r)
                    .Select(l => Up(100 * (Own(r, l) + chosen.Where(c => c.Seat?.Room == r).Sum(c => Small(l, c.LoadOn(l)))), All(r, l)))
            )
            .DefaultIfEmpty(0)
            .Max();

    /// <summary>The lines the spread is measured by.</summary>
    public static IEnumerable<Limit> Measured(HostRoom room) => room.Limits.Where(l => l.Line is RoomLine.Memory or RoomLine.Cores);

    /// <summary>A load in the unit the spread is measured in: kibibytes or millionths of a core, rounded up.</summary>
    public static long Small(Limit line, long load) => Up(load, line.Line == RoomLine.Memory ? Kibi : Micro);

    /// <summary>All there is of a line, in the same unit.</summary>
    public static long All(HostRoom room, Limit line) =>
        Math.Max(
            1,
            line.Line == RoomLine.Memory
                ? room.Host.Memory.Bytes / Kibi
                : (long)(room.Empty.Processor.Effective.Value.Value * HostRoom.CoreParts) / Micro
        );

    /// <summary>What the host itself takes of it.</summary>
    public static long Own(HostRoom room, Limit line) =>
        line.Line == RoomLine.Memory ? Small(line, (room.Host.Memory.Bytes - line.Hard!.Value)) : 0;

    /// <summary>How many comfortable lines are crossed.</summary>
    public static long Uneasy(ArrangeProblem problem, IReadOnlyList<Choice> chosen) =>
        problem.Rooms.Sum(room =>
        {
            List<Choice> there = [.. chosen.Where(c => c.Seat?.Room == room)];
            return there.Count == 0
                ? 0L
                : room
                    .Limits.GroupBy(l => (l.Line, l.ComfortGroup))
                    .Count(group => group.Any(l => there.Sum(c => c.LoadOn(l)) is > 0 and var load && load > l.Comfort));
        });

    /// <summary>How badly volumes lie, all together.</summary>
    public static long Misplaced(IReadOnlyList<Choice> chosen) => chosen.Sum(c => c.Misplaced);

    private static long Up(long part, long of) => (part + of - 1) / of;
}
