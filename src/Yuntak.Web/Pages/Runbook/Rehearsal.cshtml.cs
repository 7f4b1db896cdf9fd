using Microsoft.AspNetCore.Mvc;
using Yuntak.Core.Base;
using Yuntak.Core.Findings;
using Yuntak.Core.Rehearsals;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Runbook;

/// <summary>The steps against simulated hosts: lanes, a play head, faults.</summary>
public sealed class RehearsalModel(DeskService desks, LabStore store) : LabPageModel(desks, store)
{
    private const int AtOnce = 60;

    public override Station? Here => Station.Runbook;

    /// <summary>The fault that is switched on, by name; «all» for each where it can strike; null for none.</summary>
    [BindProperty(Name = "fault", SupportsGet = true)]
    public string? Fault { get; set; }

    /// <summary>The number of the step it strikes; empty for the worst.</summary>
    [BindProperty(Name = "step", SupportsGet = true)]
    public string? Step { get; set; }

    /// <summary>The number of the step the play head stands at.</summary>
    [BindProperty(Name = "at", SupportsGet = true)]
    public string? At { get; set; }

    /// <summary>The part of the list that is shown.</summary>
    [BindProperty(Name = "part", SupportsGet = true)]
    public int? Part { get; set; }

    /// <summary>The rehearsal.</summary>
    public Rehearsal Rehearsed { get; private set; } = null!;

    /// <summary>The step the play head stands at; null for none.</summary>
    public RehearsedStep? Head { get; private set; }

    /// <summary>Whether every fault was tried.</summary>
    public bool All => Fault == "all";

    /// <summary>Which steps are listed: the part asked for, else the one the play head is in.</summary>
    public Paging Parts
    {
        get
        {
            var parts = Paging.Of(Rehearsed.Steps.Count, AtOnce, Part, "parts of the steps");
            return Part is null && Head is { } head ? parts.At(Rehearsed.Steps.ToList().IndexOf(head)) : parts;
        }
    }

    public void OnGet()
    {
        try
        {
            Rehearsed =
                All ? Desk.WithAllFaults
                : Fault is { Length: > 0 } fault
                    ? Rehearsal.Of(Desk.Runbook, [new FaultAt(fault, Step is { Length: > 0 } step ? step.Trim() : null)])
                : Desk.Rehearsal;
        }
        catch (Refused refused)
        {
            Refusal = refused.Message;
            Fault = null;
            Rehearsed = Desk.Rehearsal;
        }

        Head = Rehearsed.Steps.FirstOrDefault(s => s.Number == At);
    }

    /// <summary>The address of the same rehearsal with the play head elsewhere.</summary>
    public string With(RehearsedStep? head) =>
        "/Runbook/Rehearsal?"
        + string.Join(
            '&',
            new[]
            {
                Fault is { Length: > 0 } fault ? $"fault={Uri.EscapeDataString(fault)}" : null,
                Step is { Length: > 0 } step ? $"step={Uri.EscapeDataString(step)}" : null,
                head is not null ? $"at={head.Number}" : null,
            }.OfType<string>()
        );

    /// <summary>The step before or after the one the play head stands at.</summary>
    public RehearsedStep? Beside(int by)
    {
        var at = Head is null ? -1 : Rehearsed.Steps.ToList().IndexOf(Head);
        var next = Head is null ? (by > 0 ? 0 : -1) : at + by;
        return next >= 0 && next < Rehearsed.Steps.Count ? Rehearsed.Steps[next] : null;
    }
}
