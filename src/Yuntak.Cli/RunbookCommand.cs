using System.CommandLine;
using System.CommandLine.Parsing;
using System.Globalization;
using Yuntak.Core.Base;
using Yuntak.Core.Bench;
using Yuntak.Core.Labs;
using Yuntak.Core.Rehearsals;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Formats.Answers;
using Yuntak.Formats.Exports;

namespace Yuntak.Cli;

/// <summary><c>runbook LAB.yaml [--from AS-BUILT.yaml]</c>: the ordered steps as Markdown or JSON, and the files that go with them.</summary>
internal static class RunbookCommand
{
    private static readonly Option<string?> Script = new("--script")
    {
        Description = "The open steps of a host as a shell script that asks before each.",
    };

    private static readonly Option<bool> Calendar = new("--ics") { Description = "The sittings as appointments, a calendar file." };

    private static readonly Option<int> Length = new("--sitting")
    {
        Description = $"How long a sitting is to be, in minutes; {Sitting.Usual} when left out.",
        DefaultValueFactory = _ => Sitting.Usual,
    };

    private static readonly Option<string?> Start = new("--start")
    {
        Description = "When the first sitting begins, such as 2026-11-28T19:00; tomorrow at seven in the evening when left out.",
    };

    private static readonly Option<string?> Cloud = new("--cloud-config")
    {
        Description = "What a guest sets up by itself at its first start.",
    };

    private static readonly Option<string?> Envelope = new("--ovf") { Description = "A machine as an OVF envelope." };

    public static Command Make()
    {
        var lab = Shared.LabArgument();
        var from = Shared.From();
        var json = Shared.Json();
        var command = new Command("runbook", "Write the ordered steps that build a lab, and the files that go with them.")
        {
            lab,
            from,
            Script,
            Calendar,
            Length,
            Start,
            Cloud,
            Envelope,
            json,
        };
        command.SetAction(parsed => Run(parsed, parsed.GetValue(lab)!, parsed.GetValue(from), parsed.GetValue(json)));
        return command;
    }

    private static int Run(ParseResult parsed, string path, string? from, bool json)
    {
        if (Shared.ReadPair(path, from, json) is not var (stands, draft))
        {
            return Shared.CouldNotRead;
        }

        try
        {
            Console.Write(Wanted(parsed, RunbookBuilder.Build(stands, draft), draft, stands, json));
            return 0;
        }
        catch (Refused refused)
        {
            Shared.Refuse([refused.Message], json);
            return Shared.CouldNotRead;
        }
    }

    /// <exception cref="Refused">What is asked for is not there, or several things are asked for at once.</exception>
    private static string Wanted(ParseResult parsed, Runbook runbook, Lab draft, Lab stands, bool json)
    {
        var (script, calendar) = (parsed.GetValue(Script), parsed.GetValue(Calendar));
        var (cloud, envelope) = (parsed.GetValue(Cloud), parsed.GetValue(Envelope));
        if (new[] { script is not null, calendar, cloud is not null, envelope is not null, json }.Count(asked => asked) > 1)
        {
            throw new Refused("Ask for one file at a time: --script, --ics, --cloud-config, --ovf or --json.");
        }

        if (script is not null)
        {
            var host =
                draft.Hosts.Concat(stands.Hosts).FirstOrDefault(h => h.Name == script || h.Id.Value == script)
                ?? throw new Refused($"There is no host «{script}». There are: {string.Join(", ", draft.Hosts.Select(h => h.Name))}.");
            return EveningScript.Of(runbook, host);
        }

        if (calendar)
        {
            var rehearsal = Rehearsal.Of(runbook);
            var minutes = parsed.GetValue(Length);
            if (minutes is < Sitting.Shortest or > Sitting.Longest)
            {
                throw new Refused($"--sitting takes {Sitting.Shortest} to {Sitting.Longest} minutes.");
            }

            return SittingCalendar.Of(
                rehearsal,
                Sitting.Of(rehearsal, minutes),
                Begins(parsed.GetValue(Start)),
                TimeProvider.System.GetUtcNow()
            );
        }

        return cloud is not null ? CloudConfig.Of(Sums.Of(draft), Guest(draft, cloud))
            : envelope is not null ? OvfEnvelope.Of(Sums.Of(draft), Guest(draft, envelope))
            : json ? JsonAnswers.Runbook(runbook) + "\n"
            : RunbookMarkdown.Of(runbook);
    }

    private static Guest Guest(Lab lab, string name) =>
        lab.Guests.FirstOrDefault(g => g.Name == name || g.Id.Value == name)
        ?? throw new Refused($"There is no guest «{name}». There are: {string.Join(", ", lab.Guests.Select(g => g.Name))}.");

    private static DateTime Begins(string? start)
    {
        if (start is null)
        {
            return SittingCalendar.NextEvening(TimeProvider.System.GetLocalNow());
        }

        return DateTime.TryParseExact(
            start,
            ["yyyy-MM-dd'T'HH:mm", "yyyy-MM-dd"],
            CultureInfo.InvariantCulture,
            DateTimeStyles.None,
            out var begins
        )
            ? begins.TimeOfDay == TimeSpan.Zero && start.Length == 10
                ? begins.AddHours(SittingCalendar.EveningHour)
                : begins
            : throw new Refused($"--start takes a day and an hour such as 2026-11-28T19:00; «{start}» is not that.");
    }
}
