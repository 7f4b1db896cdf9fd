using System.CommandLine;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Formats.Answers;
using Yuntak.Formats.Exports;

namespace Yuntak.Cli;

/// <summary><c>runbook LAB.yaml [--from AS-BUILT.yaml]</c>: the ordered steps, as Markdown or JSON.</summary>
internal static class RunbookCommand
{
    public static Command Make()
    {
        var lab = Shared.LabArgument();
        var from = new Option<string?>("--from")
        {
            Description = "A lab file of what stands today; without it, exactly what the lab file marks with «stands: true».",
        };
        var json = Shared.Json();
        var command = new Command("runbook", "Write the ordered steps that build a lab.") { lab, from, json };
        command.SetAction(parsed => Run(parsed.GetValue(lab)!, parsed.GetValue(from), parsed.GetValue(json)));
        return command;
    }

    private static int Run(string path, string? from, bool json)
    {
        if (Shared.ReadLab(path, json) is not { } draft)
        {
            return Shared.CouldNotRead;
        }

        var stands = from is null ? Standing.Of(draft) : Shared.ReadLab(from, json);
        if (stands is null)
        {
            return Shared.CouldNotRead;
        }

        var runbook = RunbookBuilder.Build(stands, draft);
        Console.Write(json ? JsonAnswers.Runbook(runbook) + "\n" : RunbookMarkdown.Of(runbook));
        return 0;
    }
}
