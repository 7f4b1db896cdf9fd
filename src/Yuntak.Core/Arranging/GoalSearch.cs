using Google.OrTools.Sat;

namespace Yuntak.Core.Arranging;

/// <summary>Goal by goal: the best of each that the goals before it leave.</summary>
internal sealed class GoalSearch
{
    /// <summary>The part of the time that is left one search may take while others come after it.</summary>
    private const double Part = 0.6;

    /// <summary>The same for the first: nothing after it makes up for a guest without a place.</summary>
    private const double FirstPart = 0.75;

    private readonly ArrangeProblem problem;
    private readonly Search search;
    private readonly ArrangeModel model;
    private readonly List<GoalReached> reached = [];
    private readonly Choice[] today;
    private Choice[] chosen;
    private long lost;
    private bool whole;

    private GoalSearch(ArrangeProblem problem, Search search)
    {
        (this.problem, this.search) = (problem, search);
        model = new ArrangeModel(problem);
        chosen = FirstFit.Of(problem);
        today = FirstFit.Today(problem);
        lost = model.Lost.Count();
    }

    /// <summary>What was chosen for each guest, and how far each goal was reached.</summary>
    public static (Choice[] Chosen, IReadOnlyList<GoalReached> Goals) Of(ArrangeProblem problem, Search search)
    {
        var of = new GoalSearch(problem, search);
        var goals = new GoalMaker(of.model).All();
        for (var n = 0; n < goals.Count; )
        {
            // Goals that go well together are searched for at once, each outweighing all that comes after it.
            List<Goal> together = [goals[n], .. goals.Skip(n + 1).TakeWhile(g => g.WithLast)];
            n += together.Count;
            of.Reach(together, last: n == goals.Count);
        }

        // What was found later may be better than it had to be.
        return (
            of.chosen,
            [.. of.reached.Zip(goals, (r, g) => r with { Value = of.Value(g) / g.Scale }).Select(r => r with { Bound = Sound(r) })]
        );
    }

    private static double Sound(GoalReached goal) => goal.Most ? Math.Max(goal.Bound, goal.Value) : Math.Min(goal.Bound, goal.Value);

    private void Reach(List<Goal> goals, bool last)
    {
        var bounds = goals.ConvertAll(g => g.Best);
        // What is as good as can be needs no search; before anything else the solver has to have seen that all of it goes together.
        if (!whole || goals.Exists(g => Value(g) != g.Best))
        {
            var weights = Weights(goals);
            model.Hint(chosen);
            model.Model.Minimize(LinearExpr.Sum(goals.Select((g, n) => g.Sum * (g.Most ? -weights[n] : weights[n]))));
            var status = search.Solve(
                model.Model,
                goals[0].Words,
                last ? 1
                    : whole ? Part
                    : FirstPart
            );
            if (status is CpSolverStatus.Optimal or CpSolverStatus.Feasible)
            {
                chosen = model.Read(search.Solver!);
                lost = model.Lost.Count(l => search.Solver!.BooleanValue(l));
                if (!whole && status != CpSolverStatus.Optimal)
                {
                    // What the search had no time for is filled in as people do; who could still flee is looked into anew.
                    chosen = FirstFit.Completed(problem, chosen);
                    lost = model.Lost.Count();
                }

                whole = true;
                bounds =
                    status == CpSolverStatus.Optimal
                        ? goals.ConvertAll(Value)
                        : [Bound(search.Solver!.BestObjectiveBound, goals, weights), .. goals.Skip(1).Select(g => g.Best)];
            }
        }

        for (var n = 0; n < goals.Count; n++)
        {
            var (goal, value) = (goals[n], Value(goals[n]));
            model.Model.Add(goal.Most ? goal.Sum >= value : goal.Sum <= value);
            reached.Add(
                new GoalReached(
                    goal.Name,
                    goal.Words,
                    goal.Sentence,
                    value / goal.Scale,
                    bounds[n] / goal.Scale,
                    goal.Of?.Invoke(today) / goal.Scale,
                    goal.Most
                )
            );
        }
    }

    private long Value(Goal goal) => goal.Of?.Invoke(chosen) ?? lost;

    private static List<long> Weights(List<Goal> goals)
    {
        var weights = new long[goals.Count];
        long weight = 1;
        for (var n = goals.Count - 1; n >= 0; n--)
        {
            weights[n] = weight;
            weight *= goals[n].Range + 1;
        }

        return [.. weights];
    }

    /// <summary>What the first of some goals cannot be better than, from what all of them together cannot be better than.</summary>
    private long Bound(double together, List<Goal> goals, List<long> weights)
    {
        var (goal, value) = (goals[0], Value(goals[0]));
        if (goal.Most)
        {
            // What comes after it can only add to the sum.
            return Math.Clamp((long)Math.Floor((-together / weights[0]) + 1e-6), value, goal.Best);
        }

        var rest = goals.Skip(1).Select((g, n) => weights[n + 1] * (double)(g.Best + g.Range)).Sum();
        return Math.Clamp((long)Math.Ceiling(((together - rest) / weights[0]) - 1e-6), Math.Min(value, goal.Best), value);
    }
}
