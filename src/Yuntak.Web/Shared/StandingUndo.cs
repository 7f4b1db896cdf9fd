using Yuntak.Core.Labs;
using Yuntak.Data;

namespace Yuntak.Web.Shared;

/// <summary>
/// What is taken over comes into the draft and stands by one press, as two changes one after the other. One press takes both back: else the runbook would want what
/// runs taken away.
/// </summary>
internal static class StandingUndo
{
    /// <summary>Takes the last change of the draft back, and with it what came to stand by the same press.</summary>
    public static async Task<CommitResult> UndoAsync(LabStore store, long basedOn, CancellationToken cancel)
    {
        var draft = await store.HeadAsync(Pointer.Draft, cancel);
        var along = draft.Revision == basedOn && await CameAlongAsync(store, draft, cancel);
        var result = await store.UndoAsync(Pointer.Draft, basedOn, cancel);
        if (along && result is CommitResult.Committed)
        {
            await store.UndoAsync(Pointer.AsBuilt, (await store.HeadAsync(Pointer.AsBuilt, cancel)).Revision, cancel);
        }

        return result;
    }

    /// <summary>Does again what was taken back, and with it what stood by it.</summary>
    public static async Task<CommitResult> RedoAsync(LabStore store, long basedOn, CancellationToken cancel)
    {
        var built = await store.HeadAsync(Pointer.AsBuilt, cancel);
        // Taken back right after the draft's change, and by no tick: its sentence says what stood.
        var along = built.Revision == basedOn + 1 && built.CanRedo && built.Sentence.Contains(" stand", StringComparison.Ordinal);
        var result = await store.RedoAsync(Pointer.Draft, basedOn, cancel);
        if (along && result is CommitResult.Committed)
        {
            await store.RedoAsync(Pointer.AsBuilt, built.Revision, cancel);
        }

        return result;
    }

    /// <summary>Whether the newest change of what stands came right after the newest of the draft and only let stand what had come with it.</summary>
    private static async Task<bool> CameAlongAsync(LabStore store, Head draft, CancellationToken cancel)
    {
        var built = await store.HeadAsync(Pointer.AsBuilt, cancel);
        return built.Revision == draft.Revision + 1
            && built.Parent is { } stood
            && draft.Parent is { } planned
            && await store.LabAtAsync(stood, cancel) is { } stoodBefore
            && await store.LabAtAsync(planned, cancel) is { } plannedBefore
            && OnlyNew(built.Lab, stoodBefore, plannedBefore);
    }

    private static bool OnlyNew(Lab built, Lab stoodBefore, Lab plannedBefore)
    {
        var hosts = built.Hosts.Where(h => stoodBefore.Host(h.Id) is null).ToList();
        var guests = built.Guests.Where(g => stoodBefore.Guest(g.Id) is null).ToList();
        return hosts.Count + guests.Count > 0
            && hosts.TrueForAll(h => plannedBefore.Host(h.Id) is null)
            // One that is being built step by step is a tick's matter.
            && guests.TrueForAll(g => plannedBefore.Guest(g.Id) is null && g.Life == LifeStage.InService);
    }
}
