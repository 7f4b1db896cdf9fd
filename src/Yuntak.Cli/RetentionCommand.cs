using System.CommandLine;
using System.Globalization;
using Yuntak.Core.Base;
using Yuntak.Core.Schedules;
using Yuntak.Core.Units;
using Yuntak.Formats.Answers;

namespace Yuntak.Cli;

/// <summary><c>retention RULE --taken TIMES --until DAY</c>: which copies a rule leaves.</summary>
internal static class RetentionCommand
{
    public static Command Make()
    {
        var rule = new Argument<string>("RULE") { Description = "What is kept: \"daily 7, weekly 4, monthly 6\", or \"last 4\"." };
        var taken = new Option<string>("--taken") { Description = "When copies are taken: 22:30, \"sun 01:00\".", Required = true };
        var until = new Option<string>("--until")
        {
            Description = "The day the copies are looked at, after its last one.",
            Required = true,
        };
        var from = new Option<string?>("--from") { Description = "The day of the first copy; early enough for the rule when left out." };
        var school = new Option<string?>("--school") { Description = "overlapping (each count by itself, the default) or stacked." };
        var protect = new Option<string[]>("--protect") { Description = "A day whose copies are kept for good; may be given again." };
        var json = Shared.Json();
        var command = new Command("retention", "Say which copies a rule leaves.") { rule, taken, until, from, school, protect, json };
        command.SetAction(parsed =>
        {
            var asJson = parsed.GetValue(json);
            try
            {
                var counts = RetentionRule.Parse(parsed.GetValue(rule)!);
                var times = CopyTimes.Parse(parsed.GetValue(taken)!);
                var last = Shared.Day(parsed.GetValue(until)!);
                var first = parsed.GetValue(from) is { } day ? Shared.Day(day) : times.Enough(counts, last);
                var good = (parsed.GetValue(protect) ?? []).Select(Shared.Day).ToHashSet();
                var left = Retention.Left(
                    counts,
                    School(parsed.GetValue(school)),
                    times.Between(first, last),
                    at => good.Contains(DateOnly.FromDateTime(at))
                );
                Say(left, asJson);
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

    private static void Say(IReadOnlyList<KeptCopy> left, bool json)
    {
        if (json)
        {
            Console.WriteLine(JsonAnswers.Retention(left));
            return;
        }

        Console.WriteLine($"{Numbers.Count(left.Count, "copy", "copies")} left:");
        foreach (var copy in left)
        {
            var why = copy.For.Select(ScheduleWords.Periods.Display).Concat(copy.ForGood ? ["for good"] : Array.Empty<string>());
            Console.WriteLine($"  {copy.At:yyyy-MM-dd HH:mm, dddd}  {string.Join(", ", why)}");
        }
    }

    private static RetentionSchool School(string? word) =>
        word is null ? RetentionSchool.Overlapping
        : ScheduleWords.Schools.TryRead(word.ToLowerInvariant(), out var school) ? school
        : throw new Refused($"«{Names.Short(word)}» is no school of keeping: say {string.Join(" or ", ScheduleWords.Schools.Known)}.");
}
