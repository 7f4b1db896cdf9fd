using System.Globalization;
using System.Text;
using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Formats.Exports;

/// <summary>Writes a runbook as Markdown with boxes to tick.</summary>
public static class RunbookMarkdown
{
    /// <summary>The whole runbook.</summary>
    public static string Of(Runbook runbook)
    {
        var text = new StringBuilder();
        text.Append(CultureInfo.InvariantCulture, $"# Runbook: {MarkdownText.Plain(runbook.Lab)}\n\n");
        if (runbook.Open == 0)
        {
            return text.Append("Nothing to do: what stands is what is planned.\n").ToString();
        }

        text.Append(
            CultureInfo.InvariantCulture,
            $"{Numbers.Count(runbook.Open, "step")}, about {new Duration(runbook.Sections.Sum(s => (double)s.MinutesLeft)).Exactly()}.\n"
        );
        var section = 0;
        foreach (var part in runbook.Sections)
        {
            text.Append(CultureInfo.InvariantCulture, $"\n## {++section}. {MarkdownText.Plain(part.Title)}\n");
            foreach (var caution in part.Cautions)
            {
                text.Append(CultureInfo.InvariantCulture, $"\n> **Mind:** {MarkdownText.Plain(caution)}\n");
            }

            var number = 0;
            foreach (var step in part.Steps)
            {
                Append(text, step, $"{section}.{++number}");
            }
        }

        return text.ToString();
    }

    private static void Append(StringBuilder text, RunbookStep step, string number)
    {
        text.Append(
            CultureInfo.InvariantCulture,
            $"\n- {(!step.Act.CanBeDone ? "" : step.Done ? "[x] " : "[ ] ")}**{number} {MarkdownText.Plain(step.What)}** (on {MarkdownText.Plain(step.Where)}{(step.Act.CanBeDone ? $", {step.Minutes} min" : "")})\n"
        );
        if (step.Caution is not null)
        {
            text.Append(CultureInfo.InvariantCulture, $"  - **Caution:** {MarkdownText.Plain(step.Caution)}\n");
        }

        foreach (var value in step.Values)
        {
            text.Append(
                CultureInfo.InvariantCulture,
                $"  - {MarkdownText.Plain(value.Label)}: {(value.Literal ? Code(value.Value) : value.Blank ? $"\\_\\_\\_\\_\\_\\_ ({MarkdownText.Plain(value.Value)})" : MarkdownText.Plain(value.Value))}\n"
            );
        }

        if (step.LookFirst is { } look)
        {
            text.Append(CultureInfo.InvariantCulture, $"  - **First:** {MarkdownText.Plain(look)}\n");
        }

        text.Append(
            CultureInfo.InvariantCulture,
            $"  - Check: {MarkdownText.Plain(step.Check)}\n  - If not: {MarkdownText.Plain(step.IfNot)}\n  - Way back: {MarkdownText.Plain(step.WayBack)}\n"
        );
    }

    /// <summary>A code span that holds the text as it is, with a fence longer than any run of backticks in it.</summary>
    private static string Code(string text)
    {
        var line = text.ReplaceLineEndings(" ");
        var fence = "`";
        while (line.Contains(fence, StringComparison.Ordinal))
        {
            fence += "`";
        }

        return fence.Length == 1 ? $"`{line}`" : $"{fence} {line} {fence}";
    }
}
