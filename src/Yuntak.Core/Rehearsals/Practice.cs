using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Runbooks;
using Yuntak.Core.Simulation;

namespace Yuntak.Core.Rehearsals;

/// <summary>A piece of work done by somebody against simulated hosts, in whatever order they like; nothing real is touched.</summary>
public sealed class Practice
{
    /// <summary>The most moves somebody makes.</summary>
    public const int MostMoves = 80;

    private Practice(
        RunbookSection section,
        string guest,
        IReadOnlyList<PracticeAnswer> answers,
        IReadOnlyList<string> forgotten,
        string state
    )
    {
        (Section, Guest, Answers, Forgotten, State) = (section, guest, answers, forgotten, state);
    }

    /// <summary>The piece of work.</summary>
    public RunbookSection Section { get; }

    /// <summary>The guest it is about.</summary>
    public string Guest { get; }

    /// <summary>What the host answered, move by move.</summary>
    public IReadOnlyList<PracticeAnswer> Answers { get; }

    /// <summary>What the guest is to be: the values of the step that makes, changes or moves it.</summary>
    public IReadOnlyList<StepValue> Wanted =>
        Section
            .Steps.FirstOrDefault(s => s.Act is CreateMachine or CreateContainer or LayStack or SetFigures or MoveGuest or RetireGuest)
            ?.Values
        ?? [];

    /// <summary>What is still missing or wrong; empty when it is as planned.</summary>
    public IReadOnlyList<string> Forgotten { get; }

    /// <summary>How the host lists the guest now.</summary>
    public string State { get; }

    /// <summary>The pieces of work that can be practised: those on one guest that can be done.</summary>
    public static IReadOnlyList<RunbookSection> Exercises(Runbook runbook) =>
        [.. runbook.Sections.Where(s => s.Open > 0 && GuestOf(s) is not null && s.Steps.All(t => t.Act.CanBeDone))];

    /// <summary>Practises a piece of work.</summary>
    /// <param name="runbook">The runbook.</param>
    /// <param name="section">The work, by its key.</param>
    /// <param name="moves">What was done until now.</param>
    /// <exception cref="Refused">There is no such work, or too much was done.</exception>
    public static Practice Of(Runbook runbook, string section, IReadOnlyList<PracticeMove> moves)
    {
        var work =
            Exercises(runbook).FirstOrDefault(s => s.Key == section)
            ?? throw new Refused("That piece of work is not in the runbook any more.");
        if (moves.Count > MostMoves)
        {
            throw new Refused($"That is more than {MostMoves} moves: begin again.");
        }

        var task = new PracticeTask(work, GuestOf(work)!.Value, runbook.Plan);
        var house = Before(runbook, work);
        var should = house.Copy();
        foreach (var step in work.Steps.Where(s => !s.Done))
        {
            step.Act.DoQuietly(should, runbook.Plan);
        }

        List<PracticeAnswer> answers = [];
        HashSet<string> done = [];
        foreach (var move in moves)
        {
            var verb = PracticeVerbs.Find(move.Verb) ?? throw new Refused("There is no such move.");
            try
            {
                answers.Add(new(move, verb.Words, true, verb.Do(house, task, move.Value.Trim())));
                done.UnionWith(verb.For);
            }
            catch (HostRefuses refusal)
            {
                answers.Add(new(move, verb.Words, false, refusal.Message));
            }
        }

        return new(work, runbook.Plan.NameOf(task.Guest), answers, [.. Missing(house, should, task, done)], StateOf(house, task.Guest));
    }

    /// <summary>The hosts when this work's turn comes: all before it is done.</summary>
    private static SimHouse Before(Runbook runbook, RunbookSection work)
    {
        var house = Beginning.Of(runbook);
        foreach (var step in runbook.Sections.TakeWhile(s => s.Key != work.Key).SelectMany(s => s.Steps).Where(s => !s.Done))
        {
            step.Act.DoQuietly(house, runbook.Plan);
        }

        return house;
    }

    private static IEnumerable<string> Missing(SimHouse house, SimHouse should, PracticeTask task, HashSet<string> done)
    {
        foreach (var step in task.Section.Steps.Where(s => !s.Done && !done.Contains(s.Act.Type)))
        {
            yield return $"Not done: {step.What}";
        }

        foreach (var difference in HouseWords.Differences(house, should))
        {
            yield return $"Not as planned, {difference}";
        }

        foreach (var lost in house.Lost.Except(should.Lost))
        {
            yield return $"Lost: {lost}";
        }
    }

    private static string StateOf(SimHouse house, GuestId id) =>
        house.GuestIf(id) is not { } guest
            ? "not on the list"
            : $"{guest.State.ToString().ToLowerInvariant()}, {guest.Figures.Memory}{(guest.MediumIn ? ", medium in" : "")}{(guest.Installed ? "" : ", nothing installed")}{(guest.Starts ? ", starts with its host" : "")}";

    private static GuestId? GuestOf(RunbookSection section) => section.Steps.Select(s => s.Act).OfType<GuestAct>().LastOrDefault()?.Guest;
}
