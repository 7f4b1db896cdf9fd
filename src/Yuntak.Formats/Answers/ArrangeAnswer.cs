using System.Text.Json.Nodes;
using Yuntak.Core.Arranging;
using Yuntak.Core.Labs;
using Yuntak.Core.Profiles;

namespace Yuntak.Formats.Answers;

/// <summary>What <c>arrange --json</c> answers.</summary>
public static class ArrangeAnswer
{
    /// <summary>The answer.</summary>
    public static string Of(Arrangement arrangement) =>
        JsonAnswers.Text(
            new JsonObject
            {
                ["status"] = arrangement.Status.ToString().ToLowerInvariant(),
                ["goals"] = new JsonArray([.. arrangement.Goals.Select(Goal)]),
                ["placements"] = new JsonArray([.. arrangement.Placed.Select(Placed)]),
                ["moves"] = new JsonArray([
                    .. arrangement.Moves.Select(m => new JsonObject
                    {
                        ["guest"] = m.Guest.Name,
                        ["from"] = m.From?.Name,
                        ["to"] = m.Host.Name,
                    }),
                ]),
                ["unplaced"] = new JsonArray([.. arrangement.LeftOut.Select(LeftOut)]),
                ["bought"] = new JsonArray([.. arrangement.Bought.Select(b => new JsonObject { ["name"] = b.Name, ["price"] = b.Price })]),
                ["power"] = new JsonObject
                {
                    ["wattsToday"] = arrangement.Power.Today,
                    ["watts"] = arrangement.Power.Then,
                    ["moneyAYearToday"] = Math.Round(arrangement.Power.MoneyToday, 2),
                    ["moneyAYear"] = Math.Round(arrangement.Power.MoneyThen, 2),
                    ["unknown"] = new JsonArray([.. arrangement.Power.Unknown.Select(u => JsonValue.Create(u))]),
                },
                ["seconds"] = arrangement.Seconds,
            }
        );

    private static JsonObject Goal(GoalReached goal) =>
        new()
        {
            ["name"] = goal.Name,
            ["value"] = goal.Value,
            ["bound"] = goal.Bound,
            ["today"] = goal.Today,
            ["why"] = goal.Sentence,
        };

    private static JsonObject Placed(ArrangedGuest placed)
    {
        var answer = new JsonObject
        {
            ["guest"] = placed.Guest.Name,
            ["host"] = placed.Host.Name,
            ["systemPool"] = placed.Place.SystemPool,
            ["bulkPool"] = placed.Place.BulkPool,
        };
        if (placed.Kind != placed.Guest.Kind)
        {
            answer["kind"] = ProfileWords.Kinds.Word(placed.Kind);
        }

        return answer;
    }

    private static JsonObject LeftOut(LeftOut left) =>
        new()
        {
            ["guest"] = left.Guest.Name,
            ["stays"] = left.Stays,
            ["hosts"] = new JsonArray([
                .. left.Hosts.Select(h => new JsonObject
                {
                    ["host"] = h.Host.Name,
                    ["limit"] = h.Limit,
                    ["smallestChange"] = h.SmallestChange,
                    ["proven"] = h.Proven,
                }),
            ]),
        };
}
