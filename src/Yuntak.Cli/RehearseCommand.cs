using System.CommandLine;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Rehearsals;
using Yuntak.Core.Runbooks;
using Yuntak.Formats.Answers;
using Yuntak.Formats.Exports;

namespace Yuntak.Cli;

/// <summary><c>rehearse LAB.yaml [--from STANDS.yaml]</c>: the runbook against simulated hosts, with faults.</summary>
internal static class RehearseCommand
{
    public static Command Make()
    {
        var lab = Shared.LabArgument();
        var from = Shared.From();
        var fault = new Option<string[]>("--fault")
        {
            Description =
                $"A fault and the step it strikes, NAME@STEP: the step's id, its number such as 2.3, or «worst». Names: {string.Join(", ", FaultBook.All.Select(f => f.Name))}.",
        };
        var all = new Option<bool>("--all-faults") { Description = "Try every fault at every step it can strike, one at a time." };
        var json = Shared.Json();
        var command = new Command("rehearse", "Take the runbook against simulated hosts before it is real.")
        {
            lab,
            from,
            fault,
            all,
            json,
        };
        command.SetAction(parsed =>
            Run(parsed.GetValue(lab)!, parsed.GetValue(from), parsed.GetValue(fault) ?? [], parsed.GetValue(all), parsed.GetValue(json))
        );
        return command;
    }

    private static int Run(string path, string? from, string[] faults, bool all, bool json)
    {
        if (Shared.ReadPair(path, from, json) is not var (stands, draft))
        {
            return Shared.CouldNotRead;
        }

        try
        {
            var rehearsal = Rehearsal.Of(stands, draft, [.. faults.Select(At)], all);
            Console.Write(json ? RehearsalAnswer.Of(rehearsal) + "\n" : RehearsalText.Of(rehearsal));
            // 1 is a runbook that does not get there, or a fault that nothing shows.
            return rehearsal.ReachesDraft && rehearsal.Remarks.Count == 0 ? 0 : 1;
        }
        catch (Refused refused)
        {
            Shared.Refuse([refused.Message], json);
            return Shared.CouldNotRead;
        }
    }

    /// <exception cref="Refused">There is no @ in it.</exception>
    private static FaultAt At(string text)
    {
        var at = text.IndexOf('@', StringComparison.Ordinal);
        return at > 0 && at < text.Length - 1
            ? new FaultAt(text[..at], text[(at + 1)..] is "worst" ? null : text[(at + 1)..])
            : throw new Refused($"--fault takes NAME@STEP, such as disk-full@worst or medium-left-in@2.4; «{text}» is not that.");
    }
}
