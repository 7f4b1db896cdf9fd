using Yuntak.Core.Edits;
using Yuntak.Core.Keeping;
using Yuntak.Core.Labs;

namespace Yuntak.Core.Runbooks;

/// <summary>Stores, jobs and onward copies among what stands.</summary>
internal static class StandingCopies
{
    /// <summary>A draft with the marks of what of them stands.</summary>
    public static Lab WithMarks(Lab draft, Lab asBuilt) =>
        draft with
        {
            Stores = draft.Stores.Change(
                _ => true,
                s => s with { Stands = asBuilt.Stores.Any(b => KeptThings.Essence(b) == KeptThings.Essence(s)) }
            ),
            Jobs = draft.Jobs.Change(
                _ => true,
                j => j with { Stands = asBuilt.Jobs.Any(b => KeptThings.Essence(asBuilt, b) == KeptThings.Essence(draft, j)) }
            ),
            Onward = draft.Onward.Change(
                _ => true,
                o => o with { Stands = asBuilt.Onward.Any(b => KeptThings.Essence(b) == KeptThings.Essence(o)) }
            ),
        };

    /// <summary>What stands, with the stores, jobs and onward copies that a file marks and that are not there yet, as far as what they speak of stands.</summary>
    public static Lab Marked(Lab stands, Lab marked) =>
        WireEdits.Without(
            stands with
            {
                Stores = [.. stands.Stores, .. marked.Stores.Where(s => s.Stands && stands.Stores.All(k => k.Name != s.Name))],
                Jobs = [.. stands.Jobs, .. marked.Jobs.Where(j => j.Stands && stands.Jobs.All(k => k.Name != j.Name))],
                Onward = [.. stands.Onward, .. marked.Onward.Where(o => o.Stands && stands.Onward.All(k => k.Key != o.Key))],
            }
        );

    /// <summary>What stands, with the stores, jobs and onward copies of a draft as far as what they speak of stands.</summary>
    public static Lab OfDraft(Lab stands, Lab draft) =>
        WireEdits.Without(stands with { Stores = draft.Stores, Jobs = draft.Jobs, Onward = draft.Onward });
}
