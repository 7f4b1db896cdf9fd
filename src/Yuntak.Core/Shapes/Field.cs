using System.Text.Json.Nodes;

namespace Yuntak.Core.Shapes;

/// <summary>One member of a record as files, forms, schemas, limits, differences and tables see it.</summary>
/// <typeparam name="T">The record.</typeparam>
/// <param name="name">Its name in files and forms; a promise.</param>
/// <param name="member">The member of the record it stands for, such as <c>Overrides.Memory</c>; empty for what follows from elsewhere.</param>
/// <param name="label">What people call it.</param>
public abstract class Field<T>(string name, string member, string label)
{
    /// <summary>Its name in files and forms.</summary>
    public string Name { get; } = name;

    /// <summary>The member of the record it stands for; empty for what follows from elsewhere.</summary>
    public string Member { get; } = member;

    /// <summary>What people call it.</summary>
    public string Label { get; } = label;

    /// <summary>Whether a file must say it.</summary>
    public bool Needed { get; private set; }

    /// <summary>A few words more for the table in the handbook of the lab file.</summary>
    public string About { get; private set; } = "";

    /// <summary>Whether it is only known or said: when it differs nobody has to do anything, and what stands takes it over.</summary>
    public bool Known { get; private set; }

    /// <summary>Whether a difference is worth no words, because it is measured anew each time or said elsewhere.</summary>
    public bool Silent { get; private set; }

    /// <summary>The difference in words of its own; null for the usual «label before → after».</summary>
    private Func<T, T, string?>? Phrase { get; set; }

    /// <summary>Describes a member that a file must say.</summary>
    public Field<T> IsNeeded()
    {
        Needed = true;
        return this;
    }

    /// <summary>Describes a member that is always written, but may be left out by who types a file.</summary>
    public Field<T> IsOptional()
    {
        Needed = false;
        return this;
    }

    /// <summary>Describes a member that is only known or said.</summary>
    public Field<T> IsKnown()
    {
        Known = true;
        return this;
    }

    /// <summary>Describes a member whose differences are worth no words.</summary>
    public Field<T> IsSilent()
    {
        Silent = true;
        return this;
    }

    /// <summary>Gives a member a few words more.</summary>
    public Field<T> Explained(string about)
    {
        About = about;
        return this;
    }

    /// <summary>Gives a member words of its own for a difference; null where one is not worth a word.</summary>
    public Field<T> Saying(Func<T, T, string?> phrase)
    {
        Phrase = phrase;
        return this;
    }

    /// <summary>Whether two records say the same here.</summary>
    public abstract bool Same(T a, T b);

    /// <summary>The record with this member as another has it.</summary>
    public abstract T Copy(T from, T to);

    /// <summary>Reads it from a file; what is wrong is noted, and the record stays as it was.</summary>
    public abstract T Read(T record, MapReader map);

    /// <summary>Writes it into a file's tree; what says nothing is left out.</summary>
    public abstract void Write(T record, JsonObject tree);

    /// <summary>What is wrong with it, whatever door it came through.</summary>
    public abstract IEnumerable<Problem> Problems(T record);

    /// <summary>The record with this member as it may be kept: what is outside its limits is left as a blank record has it, and noted.</summary>
    /// <param name="record">The record.</param>
    /// <param name="blank">A record with nothing in it.</param>
    /// <param name="dropped">Where what was left out is noted.</param>
    public virtual T Sound(T record, T blank, List<Problem> dropped)
    {
        var before = dropped.Count;
        dropped.AddRange(Problems(record));
        return dropped.Count == before ? record : Copy(blank, record);
    }

    /// <summary>What a JSON Schema says of it.</summary>
    /// <param name="parts">Schemas of records, by their names; a part adds its own.</param>
    public abstract JsonObject Schema(JsonObject parts);

    /// <summary>Adds the records it leads to, to a table of all of them.</summary>
    /// <param name="tables">The members of records, by what people call one.</param>
    public virtual void Describe(IDictionary<string, IReadOnlyList<FieldText>> tables) { }

    /// <summary>What may stand there, in words for the table.</summary>
    public abstract string Expects { get; }

    /// <summary>Says how two forms of the record differ here.</summary>
    /// <param name="before">One.</param>
    /// <param name="after">The other.</param>
    /// <param name="telling">Where the words go.</param>
    /// <param name="of">The thing it belongs to, with a blank behind it; empty for the record itself.</param>
    public void Tell(T before, T after, Telling telling, string of = "")
    {
        if (Silent || Same(before, after))
        {
            return;
        }

        if (Phrase is null)
        {
            TellPlainly(before, after, telling, of);
        }
        else if (Phrase(before, after) is { } words)
        {
            telling.Add(Happened.Changed, of + words, Known);
        }
    }

    /// <summary>Joins two changes of this member made at the same time; where both changed it, and differently, its label is a clash.</summary>
    /// <param name="common">What both started from.</param>
    /// <param name="theirs">As one changed it.</param>
    /// <param name="mine">As the other did.</param>
    /// <param name="into">The record that takes it.</param>
    /// <param name="clashes">The names of what both changed.</param>
    public virtual T Merge(T common, T theirs, T mine, T into, List<string> clashes)
    {
        if (Same(theirs, mine) || Same(mine, common))
        {
            return Copy(theirs, into);
        }

        if (!Same(theirs, common))
        {
            clashes.Add(Label);
        }

        return Copy(mine, into);
    }

    /// <summary>Says the difference the usual way.</summary>
    protected abstract void TellPlainly(T before, T after, Telling telling, string of);
}
