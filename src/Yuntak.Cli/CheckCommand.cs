using System.CommandLine;
using Yuntak.Core.Bench;
using Yuntak.Core.Findings;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Core.Units;
using Yuntak.Formats.Answers;

namespace Yuntak.Cli;

/// <summary><c>check LAB.yaml</c>: what stands out. Ends 0 without a stop, 1 with one, 2 when the file cannot be read.</summary>
internal static class CheckCommand
{
    public static Command Make()
    {
        var lab = Shared.LabArgument();
        var from = Shared.From();
        var json = Shared.Json();
        var command = new Command(
            "check",
            "Say whether a lab fits and what stands out. Ends 0 without a stop, 1 with one, 2 when it could not be read."
        )
        {
            lab,
            from,
            json,
        };
        command.SetAction(parsed => Run(parsed.GetValue(lab)!, parsed.GetValue(from), parsed.GetValue(json)));
        return command;
    }

    private static int Run(string path, string? from, bool json)
    {
        if (Shared.ReadPair(path, from, json) is not var (stands, lab))
        {
            return Shared.CouldNotRead;
        }

        var assessment = Assessment.Of(lab, DateOnly.FromDateTime(DateTime.Now)).From(stands);
        if (json)
        {
            Console.WriteLine(JsonAnswers.Check(assessment));
        }
        else
        {
            Print(assessment);
        }

        return assessment.Findings.Any(f => f.Severity == Severity.Stop) ? 1 : 0;
    }

    private static void Print(Assessment assessment)
    {
        foreach (var host in assessment.Hosts)
        {
            var verdict = host.Fit switch
            {
                Fit.Fits => "fits",
                Fit.Tight => "tight",
                _ => "does not fit",
            };
            Console.WriteLine(
                $"{host.Host.Name}: {verdict}. Memory {host.Memory.Committed.Value} of {host.Memory.Total}; "
                    + $"{Numbers.OneDecimal(host.Processor.Peak.Value.Value)} of {Numbers.OneDecimal(host.Processor.Effective.Value.Value)} cores at {Numbers.Hour(host.Processor.PeakHour)}."
            );
        }

        foreach (var finding in assessment.Findings)
        {
            Console.WriteLine($"[{finding.Severity.ToString().ToLowerInvariant()}] {finding.Title}. {finding.Text}");
        }
    }
}
