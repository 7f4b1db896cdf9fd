using System.CommandLine;
using System.Globalization;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;
using Yuntak.Formats.Answers;

namespace Yuntak.Cli;

/// <summary><c>keeping LAB.yaml</c>: what is copied where, a night, the room of stores, and how well each guest is kept.</summary>
internal static class KeepingCommand
{
    public static Command Make()
    {
        var lab = Shared.LabArgument();
        var night = new Option<string?>("--night") { Description = "The day the night begins on; today when left out." };
        var json = Shared.Json();
        var command = new Command("keeping", "Say what is copied where, how a night goes, and how well each guest is kept.")
        {
            lab,
            night,
            json,
        };
        command.SetAction(parsed =>
        {
            var asJson = parsed.GetValue(json);
            if (Shared.ReadLab(parsed.GetValue(lab)!, asJson) is not { } read)
            {
                return Shared.CouldNotRead;
            }

            try
            {
                var day = parsed.GetValue(night) is { } said ? Shared.Day(said) : DateOnly.FromDateTime(DateTime.Now);
                if (day < HouseKeeping.FirstDay || day > HouseKeeping.LastDay)
                {
                    throw new Refused(
                        $"Nights are reckoned from {HouseKeeping.FirstDay:yyyy-MM-dd} to {HouseKeeping.LastDay:yyyy-MM-dd}, not {day:yyyy-MM-dd}."
                    );
                }

                Say(HouseKeeping.Of(Sums.Of(read), day), day, asJson);
                return 0;
            }
            catch (Refused refused)
            {
                Shared.Refuse([refused.Message], asJson);
                return Shared.CouldNotRead;
            }
        });
        return command;
    }

    private static void Say(HouseKeeping keeping, DateOnly day, bool json)
    {
        if (json)
        {
            Console.WriteLine(KeepingAnswer.Of(keeping, day));
            return;
        }

        var night = keeping.NightOf(day);
        Console.WriteLine($"Night of {day:yyyy-MM-dd}:");
        foreach (var run in night.Runs)
        {
            Console.WriteLine(
                $"  {Wall(keeping, run.Starts)} to {Wall(keeping, run.Ends)}  {KeepingWords.Kinds.Display(run.Work.Kind)} {run.Work.Name}{(run.Ends > night.Wakes && run.Starts < night.Wakes ? "  after the house wakes" : "")}"
            );
        }

        foreach (var store in keeping.Stores)
        {
            var room = keeping.Room(store);
            Console.WriteLine(
                $"{store.Store.Name}, {store.Where}: {room.Used.ToDecimalString()} of {store.Room?.ToDecimalString() ?? "a room nobody said"}{(room.FullOn is { } full ? $", full on {full:yyyy-MM-dd}" : "")}"
            );
        }

        foreach (var guest in keeping.Guests)
        {
            if (guest.SetUpAnew)
            {
                Console.WriteLine(
                    $"{guest.Guest.Name}: keeps the copies of others; set up anew from its settings in {guest.Restore!.Value.Exactly()}"
                );
                continue;
            }

            Console.WriteLine(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"{guest.Guest.Name}: there {(guest.Copies == 1 ? "once" : $"{guest.Copies} times")}, on {Numbers.Count(guest.Mediums.Count, "kind")} of medium, {guest.Elsewhere} elsewhere, {guest.Unchangeable} unchangeable, {guest.Unchecked} unchecked; loses {guest.WorstLoss?.Exactly() ?? "everything"}, back in {guest.Restore?.Exactly() ?? "never"}"
                )
            );
        }

        foreach (
            var mishap in keeping
                .Guests.Where(g => !g.SetUpAnew)
                .SelectMany(g => Mishaps.Of(keeping, g).Where(m => m.From is null).Select(m => (g.Guest.Name, m.Words)))
                .GroupBy(m => m.Words)
        )
        {
            Console.WriteLine($"{mishap.Key}: no backup is left of {string.Join(", ", mishap.Select(m => m.Name))}");
        }

        Console.WriteLine($"The whole house: {keeping.HouseRestore?.Exactly() ?? "something does not come back"}");
        foreach (var volume in keeping.InNoJob)
        {
            Console.WriteLine($"in no job: {volume.Words}, {volume.Size.ToDecimalString()}");
        }

        foreach (var volume in keeping.Twice)
        {
            Console.WriteLine($"in two jobs: {volume.Words}");
        }
    }

    private static string Wall(HouseKeeping keeping, double seconds) =>
        double.IsFinite(seconds) ? keeping.Clock.Wall(seconds).ToString("ddd HH:mm", CultureInfo.InvariantCulture) : "never";
}
