using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Base;
using Yuntak.Core.Findings;
using Yuntak.Core.Rehearsals;
using Yuntak.Core.Runbooks;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Runbook;

/// <summary>A piece of work taken by oneself against simulated hosts. What was done until now is in the form itself; nothing is kept and nothing real is touched.</summary>
public sealed class PracticeModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    private const int LongestValue = 100;

    public override Station? Here => Station.Runbook;

    /// <summary>The pieces of work that can be practised.</summary>
    public IReadOnlyList<RunbookSection> Exercises => Practice.Exercises(Desk.Runbook);

    /// <summary>What is practised; null while nothing is chosen.</summary>
    public Practice? Now { get; private set; }

    /// <summary>What was done until now.</summary>
    public IReadOnlyList<PracticeMove> Moves { get; private set; } = [];

    /// <summary>Whether what was forgotten is told.</summary>
    public bool Judged { get; private set; }

    /// <param name="work">The piece of work, by its key.</param>
    public void OnGet(string? work) => Take(work, []);

    /// <summary>One move more, one back, or what was forgotten.</summary>
    public IActionResult OnPostMove(string? work, string[]? did, string? verb, string? value, string? take)
    {
        List<PracticeMove> moves = [.. (did ?? []).Take(Practice.MostMoves).Select(Read)];
        if (take == "back" && moves.Count > 0)
        {
            moves.RemoveAt(moves.Count - 1);
        }
        else if (take is null && verb is { Length: > 0 })
        {
            moves.Add(new(verb, Clip(value ?? "")));
        }

        Judged = take == "judge";
        Take(work, moves);
        return Page();
    }

    private void Take(string? work, IReadOnlyList<PracticeMove> moves)
    {
        if (work is null)
        {
            return;
        }

        try
        {
            Now = Practice.Of(Desk.Runbook, work, moves);
            Moves = moves;
        }
        catch (Refused refused)
        {
            Refusal = refused.Message;
        }
    }

    /// <summary>A move as it stands in the form: its verb, a blank, what was typed.</summary>
    public static string Write(PracticeMove move) => $"{move.Verb} {move.Value}";

    private static PracticeMove Read(string text)
    {
        var at = text.IndexOf(' ', StringComparison.Ordinal);
        return at < 0 ? new(text, "") : new(text[..at], Clip(text[(at + 1)..]));
    }

    private static string Clip(string text) => text.Length <= LongestValue ? text : text[..LongestValue];
}
