using System.Text.Json.Nodes;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Answers;

/// <summary>The answer of <c>yuntak keeping --json</c>.</summary>
public static class KeepingAnswer
{
    /// <summary>The answer.</summary>
    /// <param name="keeping">The copies of a house.</param>
    /// <param name="night">The day the night begins on.</param>
    public static string Of(HouseKeeping keeping, DateOnly night)
    {
        var runs = keeping.NightOf(night).Runs.Where(r => r.Work.Kind == NightKind.Copying).ToLookup(r => r.Work.Name);
        return JsonAnswers.Text(
            new JsonObject
            {
                ["night"] = night.ToString("O"),
                ["jobs"] = new JsonArray([.. keeping.Jobs.Select(j => Job(keeping, j, runs[j.Job.Name].ToList()))]),
                ["onward"] = new JsonArray([.. keeping.Onward.Select(Onward)]),
                ["stores"] = new JsonArray([.. keeping.Stores.Select(s => Store(keeping, s))]),
                ["guests"] = new JsonArray([.. keeping.Guests.Select(g => Guest(keeping, g))]),
                ["houseRestoreMinutes"] = Minutes(keeping.HouseRestore),
                ["volumesInNoJob"] = Keys(keeping.InNoJob),
                ["volumesTwice"] = Keys(keeping.Twice),
            }
        );
    }

    private static JsonObject Job(HouseKeeping keeping, JobSums job, List<NightRun> runs) =>
        new()
        {
            ["name"] = job.Job.Name,
            ["store"] = job.Job.Store,
            ["bytesFirst"] = job.First.Bytes,
            ["bytesEach"] = job.Each.Bytes,
            ["starts"] = runs.Count == 0 ? null : Wall(keeping, runs.Min(r => r.Starts)),
            ["ends"] = runs.Count == 0 ? null : Wall(keeping, runs.Max(r => r.Ends)),
            ["firstMinutes"] = Minutes(job.FirstTime),
            ["firstRunBytes"] = job.First.Bytes,
            ["firstRunMinutes"] = Minutes(job.FirstTime),
            ["eachMinutes"] = Minutes(job.EachTime),
            ["outageMinutes"] = new JsonArray([
                .. job
                    .Job.Takes.Where(p => p.Guest is not null)
                    .Select(p => p.Guest!.Value)
                    .Distinct()
                    .Select(id => new JsonObject
                    {
                        ["guest"] = keeping.Lab.Guest(id)?.Name,
                        ["minutes"] = Minutes(job.Away(id, first: false)),
                    }),
            ]),
        };

    private static JsonObject Onward(OnwardSums onward) =>
        new()
        {
            ["from"] = onward.Onward.From,
            ["to"] = onward.Onward.To,
            ["bytesFirst"] = onward.First.Bytes,
            ["bytesEach"] = onward.Each.Bytes,
            ["firstOverLineMinutes"] = Minutes(onward.FirstOverLine),
            ["firstCarriedMinutes"] = Minutes(onward.FirstCarried),
            ["breakEvenBytes"] = onward.BreakEven?.Bytes,
            ["eachMinutes"] = Minutes(onward.EachTime),
        };

    private static JsonObject Store(HouseKeeping keeping, StoreSums store) =>
        new()
        {
            ["name"] = store.Store.Name,
            ["usedBytes"] = keeping.Room(store).Used.Bytes,
            ["roomBytes"] = store.Room?.Bytes,
            ["fullOn"] = keeping.Room(store).FullOn?.ToString("O"),
            ["connectedTo"] = new JsonArray([.. store.ConnectedTo(keeping).Select(h => JsonValue.Create(h.Name))]),
        };

    private static JsonObject Guest(HouseKeeping keeping, GuestKeeping guest) =>
        new()
        {
            ["guest"] = guest.Guest.Name,
            ["copies"] = guest.Copies,
            ["mediums"] = guest.Mediums.Count,
            ["elsewhere"] = guest.Elsewhere,
            ["unchangeable"] = guest.Unchangeable,
            ["unchecked"] = guest.Unchecked,
            ["worstLossHours"] = guest.WorstLoss is { } loss ? Math.Round(loss.Hours, 2) : null,
            ["restoreMinutes"] = Minutes(guest.Restore),
            ["mishaps"] = new JsonArray([
                .. Mishaps
                    .Of(keeping, guest)
                    .Select(m => new JsonObject
                    {
                        ["name"] = m.Name,
                        ["lostHours"] = m.Loses is { } lost ? Math.Round(lost.Hours, 2) : null,
                        ["restoreMinutes"] = Minutes(m.Restore),
                        ["from"] = m.From?.Store.Name,
                    }),
            ]),
        };

    private static JsonArray Keys(IEnumerable<KeepVolume> volumes) => new([.. volumes.Select(v => JsonValue.Create(v.Key))]);

    private static JsonValue? Minutes(Duration? time) => time is { } known ? JsonValue.Create(Math.Round(known.Minutes, 1)) : null;

    private static string Wall(HouseKeeping keeping, double seconds) => Moments.Write(keeping.Clock.Wall(seconds));
}
