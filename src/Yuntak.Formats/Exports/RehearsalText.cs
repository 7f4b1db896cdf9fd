using System.Globalization;
using System.Text;
using Yuntak.Core.Rehearsals;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Exports;

/// <summary>A rehearsal as plain text, for the terminal and for ears.</summary>
public static class RehearsalText
{
    /// <summary>The whole of it.</summary>
    public static string Of(Rehearsal rehearsal)
    {
        var text = new StringBuilder();
        void Line(string line) => text.Append(line.ReplaceLineEndings(" ")).Append('\n');
        if (rehearsal.Steps.Count == 0)
        {
            return "Nothing to rehearse: what stands is what is planned.\n";
        }

        Line(
            $"{(rehearsal.ReachesDraft ? "Reaches the draft" : "Does not reach the draft")}: {Numbers.Count(rehearsal.Steps.Count, "step")} in {new Duration(rehearsal.Minutes).Exactly()}."
        );
        foreach (var step in rehearsal.Steps)
        {
            Line(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"{step.Starts, 5} min  {step.Number} {step.Step.What}, on {step.Step.Where}: {Words(step)}"
                )
            );
        }

        foreach (var away in rehearsal.Away)
        {
            Line($"Away: {rehearsal.NameOf(away.Guest)} for {new Duration(away.To - away.From).Exactly()}, from minute {away.From}.");
        }

        foreach (var (host, free) in rehearsal.LeastMemory)
        {
            Line($"Least memory free on {rehearsal.NameOf(host)}: {free}.");
        }

        Line(rehearsal.NoReturn is { } last ? $"No way back after {last.Number} {last.Step.What}." : "Every step can be taken back.");
        foreach (var fault in rehearsal.Faults)
        {
            Line($"{fault.Fault.Name} at {fault.Number}, {fault.Outcome.Word()}: {fault.Message} It would cost: {fault.Cost}");
        }

        foreach (var remark in rehearsal.Remarks)
        {
            Line($"Mind: {remark.Title}. {remark.Text}");
        }

        foreach (var difference in rehearsal.Differences)
        {
            Line($"Not as planned: {difference}");
        }

        return text.ToString();
    }

    private static string Words(RehearsedStep step) => step.Message.Length > 0 ? $"{step.Outcome.Word()}. {step.Message}" : "done";
}
