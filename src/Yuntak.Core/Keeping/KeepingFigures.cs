using Yuntak.Core.Figures;
using Yuntak.Core.Units;

namespace Yuntak.Core.Keeping;

/// <summary>Figures about copies that can be opened.</summary>
public static class KeepingFigures
{
    /// <summary>What is lost at worst of a guest.</summary>
    public static Figure<Duration>? WorstLoss(HouseKeeping keeping, GuestKeeping guest) =>
        guest.WorstLoss is { } loss
            ? Figure.Of(
                $"lost at worst of {guest.Guest.Name}",
                loss,
                "longest time from one copy to the next + how long a copy takes",
                () =>
                    keeping
                        .Jobs.Where(j => j.Segments.Any(s => guest.Volumes.Contains(s.Volume!)))
                        .SelectMany(j =>
                            new[]
                            {
                                new FigureInput(
                                    $"{j.Job.Name}, {j.Times.Words()}",
                                    Duration.FromHours(j.Times.LongestGapHours),
                                    Origin.Entered
                                ),
                                new FigureInput($"{j.Job.Name}, each copy of {j.Each.ToDecimalString()}", j.EachTime, Changes(j)),
                            }
                        )
            )
            : null;

    /// <summary>How long it takes to have a guest back.</summary>
    public static Figure<Duration>? Restore(GuestKeeping guest) =>
        guest.Restore is { } restore
            ? Figure.Of(
                $"{guest.Guest.Name} is back",
                restore,
                guest.Measured
                    ? "as a drill took"
                    : "Σ volume ÷ the slowest of store, link and disks + start + looking whether it does its work",
                () =>
                    guest.Measured
                        ? [new FigureInput("newest drill that worked", restore, Origin.Read)]
                        :
                        [
                            .. guest.Volumes.Select(v => new FigureInput(v.Words, v.Size.ToDecimalString())),
                            new FigureInput("from", guest.From!.Where),
                            new FigureInput("start", new Duration(KeepingRules.StartMinutes), Origin.Assumed),
                            new FigureInput("looking", new Duration(KeepingRules.CheckMinutes), Origin.Assumed),
                        ]
            )
            : null;

    /// <summary>What lies in a store.</summary>
    public static Figure<ByteSize> Used(HouseKeeping keeping, StoreSums store)
    {
        var room = keeping.Room(store);
        return Figure.Of(
            $"in {store.Store.Name}",
            room.Used,
            room.Read is not null ? "Σ copies in the list of the store"
                : store.Store.Deduplicates
                    ? "(one whole copy + Σ changes between the copies that are kept) ÷ how many times smaller it is kept"
                : "Σ whole copies that are kept, and one and the changes of what is copied by its changes",
            () =>
                room.Read is not null
                    ? [new FigureInput("as its list says", room.Read.Value.ToDecimalString(), Origin.Read)]
                    :
                    [
                        .. keeping
                            .Jobs.Where(j => j.Store == store)
                            .SelectMany(j =>
                                new[]
                                {
                                    new FigureInput($"{j.Job.Name}, one whole copy", j.First.ToDecimalString()),
                                    new FigureInput($"{j.Job.Name}, each further copy", j.Each.ToDecimalString(), Changes(j)),
                                    new FigureInput($"{j.Job.Name} keeps", j.Keep?.ToString() ?? "everything", Origin.Entered),
                                }
                            ),
                        new FigureInput("times smaller", store.Reduction, store.Store.Reduction is null ? Origin.Assumed : Origin.Entered),
                    ],
            words: size => size.ToDecimalString()
        );
    }

    private static Origin Changes(JobSums job) => job.Segments.All(s => s.Measured) ? Origin.Entered : Origin.Assumed;
}
