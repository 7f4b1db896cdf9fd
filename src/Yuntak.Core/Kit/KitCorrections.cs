using Yuntak.Core.Base;
using Yuntak.Core.Figures;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;

namespace Yuntak.Core.Kit;

/// <summary>What a person knows better than the tools: it stands until it is dropped, also when the host is read again.</summary>
public static class KitCorrections
{
    /// <summary>The host with one fact corrected. What the tools had said is remembered beside it.</summary>
    /// <exception cref="Refused">There is no such fact, it cannot be corrected, or what was typed makes no sense.</exception>
    public static Host Correct(Host host, string key, string text, DateOnly on)
    {
        var fact = KitFacts.Find(host, key) ?? throw new Refused($"{host.Name} no longer has what you wanted to correct.");
        var set = fact.Set ?? throw new Refused($"«{fact.Label}» is read, not typed.");
        var changed = set(host, text);
        return Noted(host, changed, fact, on);
    }

    /// <summary>The host with a correction dropped: what the tools said counts again.</summary>
    /// <exception cref="Refused">There is no such correction.</exception>
    public static Host Drop(Host host, string key)
    {
        var note = KitFacts.CorrectionOf(host, key) ?? throw new Refused("That was not corrected, so there is nothing to drop.");
        var fact = KitFacts.Find(host, key);
        var changed = fact?.Set is { } set ? set(host, note.Text) : host;
        return changed with { Notes = changed.Notes.Without(n => n == note) };
    }

    /// <summary>Notes every fact that differs between two forms of a host as corrected, as when a whole form was filled in.</summary>
    public static Host NoteAll(Host before, Host after, DateOnly on)
    {
        var was = KitFacts.Of(before).Where(f => f.Set is not null).DistinctBy(f => f.Key).ToDictionary(f => f.Key, StringComparer.Ordinal);
        return KitFacts
            .Of(after)
            .Where(f => was.TryGetValue(f.Key, out var old) && old.Value != f.Value)
            .Aggregate(after, (host, f) => Noted(before, host, was[f.Key], on));
    }

    /// <summary>The corrections of a host made again on what was read anew. Where the tools now agree the correction goes.</summary>
    internal static Host Again(Host before, Host read)
    {
        foreach (var note in before.Notes.Where(n => n.Origin == Origin.Entered))
        {
            var mine = KitFacts.Find(before, note.Fact);
            var theirs = KitFacts.Find(read, note.Fact);
            if (mine?.Value is null || theirs?.Set is null || (theirs.Switch && theirs.Value is not null))
            {
                continue;
            }

            if (theirs.OnlySaid && theirs.Value == mine.Value)
            {
                read = read with { Notes = read.Notes.With(note) };
                continue;
            }

            read = read with { Notes = read.Notes.Without(n => n.Fact == note.Fact) };
            if (theirs.Value != mine.Value)
            {
                read = theirs.Set(read, mine.Value) with { Notes = read.Notes.With(note with { Text = theirs.Value ?? "" }) };
            }
        }

        return read;
    }

    private static Host Noted(Host before, Host changed, KitFact fact, DateOnly on)
    {
        var known = KitFacts.CorrectionOf(before, fact.Key);
        var read = known?.Text ?? fact.Value ?? "";
        var notes = changed.Notes.Without(n => n.Fact == fact.Key);
        var now = KitFacts.Find(changed, fact.Key)?.Value ?? "";
        return changed with { Notes = now == read ? notes : notes.With(new FactNote(fact.Key, Origin.Entered, read, on)) };
    }
}
