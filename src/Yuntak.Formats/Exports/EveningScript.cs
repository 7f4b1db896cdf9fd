using System.Globalization;
using System.Text;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Shapes;

namespace Yuntak.Formats.Exports;

/// <summary>
/// The open steps of one host as a script for the everyday shell (POSIX). It does nothing by itself: before each step it says what it is and what it will do, asks,
/// runs the lines that can be run, and stops at the first check that does not hold. What can only be done by hand it tells and waits for.
/// </summary>
public static class EveningScript
{
    /// <summary>The script.</summary>
    /// <param name="runbook">The runbook.</param>
    /// <param name="host">The host whose steps are wanted.</param>
    public static string Of(Runbook runbook, Host host)
    {
        var text = new StringBuilder();
        text.Append(
            $$"""
            #!/bin/sh
            # {{Comment(runbook.Lab)}}: the open steps on {{Comment(host.Name)}}.
            # It asks before each step, shows what it will do, and stops at the first check that does not hold.
            # Read it before you run it. Stopped half-way it can be run again: answer «s» to what is done.
            set -u

            say() { printf '%s\n' "$1"; }

            # 0: do it, 1: leave it out
            ask() {
              while :; do
                printf '%s [y: yes, s: leave it out, q: stop here] ' "$1"
                read -r answer || exit 1
                case $answer in
                  y | Y) return 0 ;;
                  s | S) return 1 ;;
                  q | Q) say 'Stopped. Nothing of this step was done.'; exit 1 ;;
                esac
              done
            }

            holds() {
              printf '%s [y: it holds, n: it does not] ' 'Does the check hold?'
              read -r answer || exit 1
              case $answer in
                y | Y) return 0 ;;
                *) say "$1"; say 'Stopped.'; exit 1 ;;
              esac
            }

            """
        );
        var number = 0;
        foreach (var section in runbook.Sections)
        {
            number++;
            var at = 0;
            foreach (var step in section.Steps)
            {
                at++;
                if (!step.Done && step.Host == host.Id)
                {
                    Append(text, step, string.Create(CultureInfo.InvariantCulture, $"{number}.{at}"));
                }
            }
        }

        return text.Append("\nsay 'All steps of this host are through. Tick them off in the runbook.'\n").ToString();
    }

    private static void Append(StringBuilder text, RunbookStep step, string number)
    {
        text.Append(CultureInfo.InvariantCulture, $"\n# {number} {Comment(step.What)}\n");
        Say(text, "");
        Say(text, $"{number} {step.What} ({step.Minutes} min)");
        if (!step.Act.CanBeDone)
        {
            Say(text, $"{step.Caution} What clears the way: {step.Values.Select(v => v.Value).FirstOrDefault()}");
            Say(text, "  Left out, with what waits for it.");
            return;
        }

        if (step.Caution is { } caution)
        {
            Say(text, $"  Mind: {caution}");
        }

        foreach (var value in step.Values)
        {
            Say(text, value.Run ? $"  will run: {value.Value}" : $"  {value.Label}: {value.Value}");
        }

        if (step.LookFirst is { } look)
        {
            Say(text, $"  {look}");
        }

        text.Append("if ask 'Do it?'; then\n");
        var lines = step.Values.Where(v => v.Run).Select(v => v.Value).ToList();
        foreach (var line in lines)
        {
            // Each line is a program of its own, so that nothing in it can reach the script around it.
            text.Append(
                CultureInfo.InvariantCulture,
                $"  sh -c {ShellText.Quoted(line)} || {{ say {ShellText.Quoted("That failed. " + step.IfNot)}; exit 1; }}\n"
            );
        }

        if (step.Values.Any(v => !v.Run))
        {
            text.Append("  printf '%s' 'Do what is left of it by hand, then press Enter. '\n  read -r answer || exit 1\n");
        }

        foreach (var proof in step.Text.Proves)
        {
            text.Append(
                CultureInfo.InvariantCulture,
                $"  sh -c {ShellText.Quoted(proof)} || {{ say {ShellText.Quoted("The check does not hold. " + step.IfNot)}; exit 1; }}\n"
            );
        }

        text.Append(
            CultureInfo.InvariantCulture,
            $"  say {ShellText.Quoted("  Check: " + step.Check)}\n  holds {ShellText.Quoted(step.IfNot)}\nfi\n"
        );
    }

    private static void Say(StringBuilder text, string line) =>
        text.Append(CultureInfo.InvariantCulture, $"say {ShellText.Quoted(line)}\n");

    /// <summary>A name in a comment stays on its line.</summary>
    private static string Comment(string name) => string.Concat(name.Select(c => char.IsControl(c) ? ' ' : c));
}
