using System.Text.Json.Nodes;
using Yuntak.Core.Labs;
using Yuntak.Core.Rehearsals;

namespace Yuntak.Formats.Answers;

/// <summary>What <c>rehearse --json</c> answers; minutes from the beginning, memory in bytes.</summary>
public static class RehearsalAnswer
{
    /// <summary>The answer for a rehearsal.</summary>
    /// <param name="rehearsal">The rehearsal.</param>
    public static string Of(Rehearsal rehearsal) =>
        JsonAnswers.Text(
            new JsonObject
            {
                ["reachesDraft"] = rehearsal.ReachesDraft,
                ["minutes"] = rehearsal.Minutes,
                ["steps"] = new JsonArray([
                    .. rehearsal.Steps.Select(s => new JsonObject
                    {
                        ["id"] = s.Step.Id,
                        ["number"] = s.Number,
                        ["startsMinute"] = s.Starts,
                        ["endsMinute"] = s.Ends,
                        ["outcome"] = s.Outcome.Word(),
                        ["message"] = s.Message,
                    }),
                ]),
                ["away"] = new JsonArray([
                    .. rehearsal.Away.Select(a => new JsonObject
                    {
                        ["guest"] = rehearsal.NameOf(a.Guest),
                        ["fromMinute"] = a.From,
                        ["toMinute"] = a.To,
                    }),
                ]),
                ["leastMemoryFreeBytes"] = new JsonArray([
                    .. rehearsal.LeastMemory.Select(l => new JsonObject { ["host"] = rehearsal.NameOf(l.Host), ["bytes"] = l.Free.Bytes }),
                ]),
                ["faults"] = new JsonArray([
                    .. rehearsal.Faults.Select(f => new JsonObject
                    {
                        ["name"] = f.Fault.Name,
                        ["step"] = f.Step,
                        ["number"] = f.Number,
                        ["outcome"] = f.Outcome.Word(),
                        ["message"] = f.Message,
                        ["cost"] = f.Cost,
                    }),
                ]),
                ["noReturnAfter"] = rehearsal.NoReturn?.Step.Id,
                ["differences"] = new JsonArray([.. rehearsal.Differences.Select(d => JsonValue.Create(d))]),
                ["lost"] = new JsonArray([.. rehearsal.Lost.Select(d => JsonValue.Create(d))]),
                ["minds"] = new JsonArray([
                    .. rehearsal.Remarks.Select(r => new JsonObject
                    {
                        ["kind"] = r.Kind,
                        ["title"] = r.Title,
                        ["text"] = r.Text,
                        ["step"] = r.Step,
                    }),
                ]),
            }
        );
}
