using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Rehearsals;

/// <summary>What a runbook should not have.</summary>
internal static class Remarks
{
    /// <summary>What a rehearsal showed.</summary>
    public static IEnumerable<Remark> Of(SimHouse house, Plan plan, IReadOnlyList<RehearsedStep> steps, IReadOnlyList<FaultTry> faults)
    {
        foreach (var guest in house.Guests.Where(g => house.Down.Contains(g.Id)))
        {
            var since = steps.FirstOrDefault(s => s.Away.Contains(guest.Id));
            yield return new(
                "breaks-what-runs",
                $"{guest.Figures.Name} served before and does not run at the end",
                steps
                    .LastOrDefault(s => s.Outcome == StepOutcome.Refused && s.Step.Act is GuestAct { Guest: var id } && id == guest.Id)
                    ?.Message
                    ?? "No step starts it again.",
                since?.Number ?? ""
            );
        }

        foreach (var lost in house.Lost)
        {
            yield return new("no-way-back", $"Lost for good: {lost}", "No copy of it was made before.", "");
        }

        foreach (var missed in faults.Where(f => f.Outcome == StepOutcome.Missed))
        {
            yield return new(
                "fault-uncaught",
                $"{Capital(missed.Fault.Words)} at step {missed.Number}, and nothing shows it",
                $"{missed.Message} {missed.Cost}",
                missed.Number
            );
        }
    }

    private static string Capital(string words) => char.ToUpperInvariant(words[0]) + words[1..];
}
