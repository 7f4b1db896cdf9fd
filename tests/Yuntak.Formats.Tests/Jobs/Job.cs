using Yuntak.Core.Findings;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Stations;
using Yuntak.Formats.Exports;
using Yuntak.Formats.LabFiles;

namespace Yuntak.Formats.Tests.Jobs;

/// <summary>
/// A job as it is really done, from its lab files: what is planned and what stands. The files lie beside the tests; where the ones they are copies of are there too, they
/// are held to be the same.
/// </summary>
internal sealed class Job
{
    /// <summary>The day it is in them.</summary>
    public static readonly DateOnly Today = new(2026, 12, 2);

    /// <summary>Where the files lie that the tests read.</summary>
    public static readonly string Beside = Path.Combine(AppContext.BaseDirectory, "Jobs", "files");

    public Job(string name)
    {
        Draft = Read(name);
        Stands = File.Exists(Path.Combine(Beside, $"{name}-as-built.yaml"))
            ? Standing.Unmarked(Read($"{name}-as-built"))
            : Standing.Of(Draft);
        Draft = Standing.Unmarked(Draft);
        Assessment = Assessment.Of(Draft, Today).From(Stands);
    }

    public Lab Draft { get; }

    public Lab Stands { get; }

    public Assessment Assessment { get; }

    public HouseKeeping Keeping => HouseKeeping.Of(Assessment);

    public IReadOnlyList<RunbookStep> Steps => [.. Assessment.Runbook!.Steps];

    /// <summary>Every word of the runbook, a line for each value, check and way back.</summary>
    public string Text => string.Join('\n', Steps.Select(TextOf));

    /// <summary>What stops it.</summary>
    public IEnumerable<string> Blockers => Assessment.Findings.Where(f => f.Severity == Severity.Stop).Select(f => $"{f.Title}. {f.Text}");

    /// <summary>The one step whose sentence holds some words.</summary>
    public RunbookStep Step(string words) => Steps.Where(s => s.What.Contains(words, StringComparison.Ordinal)).ShouldHaveSingleItem(words);

    /// <summary>The steps whose act is of a type.</summary>
    public IEnumerable<RunbookStep> Of(string type) => Steps.Where(s => s.Act.Type == type);

    /// <summary>Which step it is, counted from the first.</summary>
    public int At(RunbookStep step) => Steps.ToList().IndexOf(step);

    /// <summary>The name of the host a step is done at.</summary>
    public string? HostOf(RunbookStep step) => step.Host is { } id ? Draft.Host(id)?.Name : null;

    /// <summary>All that a step says, with plain blanks.</summary>
    public static string TextOf(RunbookStep step) =>
        Plain(
            string.Join(
                '\n',
                [step.What, .. step.Values.Select(v => $"{v.Label}: {v.Value}"), step.Check, step.IfNot, step.WayBack, step.Caution ?? ""]
            )
        );

    /// <summary>A value of a step by its label, with plain blanks.</summary>
    public static string ValueOf(RunbookStep step, string label) => Plain(step.Values.Single(v => v.Label == label).Value);

    /// <summary>Figures hold blanks that do not break, wide and narrow.</summary>
    private static string Plain(string text) => text.Replace('\u00A0', ' ').Replace('\u202F', ' ');

    /// <summary>The Compose file of an app stack.</summary>
    public string Compose(string guest) => ComposeFile.Of(Draft.Guests.First(g => g.Name == guest), Draft.Book, Draft);

    /// <summary>A draft with something changed in its file.</summary>
    public Assessment With(Func<Lab, Lab> change) => Assessment.Of(change(Draft), Today).From(Stands);

    private static Lab Read(string name)
    {
        var text = File.ReadAllText(Path.Combine(Beside, $"{name}.yaml"));
        var reading = LabFile.Read(text);
        reading.Problems.ShouldBeEmpty();
        return reading.Lab!;
    }
}
