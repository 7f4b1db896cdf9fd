using System.Text.Json.Nodes;
using Yuntak.Core.Base;

namespace Yuntak.Core.Shapes;

/// <summary>A member that is a list of records, each known by a key.</summary>
/// <typeparam name="T">The record.</typeparam>
/// <typeparam name="TPart">The inner record.</typeparam>
/// <param name="name">Its name in files.</param>
/// <param name="member">The member of the record it stands for.</param>
/// <param name="label">What people call one of them.</param>
/// <param name="shape">The shape of the inner record; asked for late, so that shapes may name each other.</param>
/// <param name="key">What one is known by among the others.</param>
/// <param name="get">The inner records.</param>
/// <param name="set">The record with others.</param>
internal sealed class Parts<T, TPart>(
    string name,
    string member,
    string label,
    Func<Shape<TPart>> shape,
    Func<TPart, string> key,
    Func<T, ValueList<TPart>> get,
    Func<T, ValueList<TPart>, T> set
) : Field<T>(name, member, label)
    where TPart : class
{
    /// <summary>The most of them.</summary>
    public int Most { get; init; } = 10_000;

    /// <summary>Whether an empty list is written too.</summary>
    public bool Always { get; init; }

    /// <summary>One that came or went, in words.</summary>
    public Func<TPart, string>? Words { get; init; }

    /// <summary>What stands before the names of the members of a changed one; its label and key when left out.</summary>
    public Func<TPart, string>? Before { get; init; }

    /// <summary>One words for all that changed about one, where it is rather another one; null where its members say it.</summary>
    public Func<TPart, TPart, string?> Instead { get; init; } = (_, _) => null;

    /// <summary>What people call one, for a clash of two changes; its key when left out.</summary>
    public Func<TPart, string>? Called { get; init; }

    /// <inheritdoc/>
    public override string Expects => $"a list, see *{shape().Name}*";

    /// <summary>The shape of the inner record.</summary>
    public Shape<TPart> Shape => shape();

    /// <summary>The inner records.</summary>
    public ValueList<TPart> Values(T record) => get(record);

    /// <summary>The record with others.</summary>
    public T With(T record, ValueList<TPart> values) => set(record, values);

    /// <inheritdoc/>
    public override bool Same(T a, T b) => get(a) == get(b);

    /// <inheritdoc/>
    public override T Copy(T from, T to) => set(to, get(from));

    /// <inheritdoc/>
    public override T Read(T record, MapReader map)
    {
        List<TPart> values = [];
        foreach (var (node, path) in map.Items(Name, Needed))
        {
            if (map.Problems.Full)
            {
                break;
            }

            if (values.Count == Most)
            {
                map.Note(Name, $"more than {Most:#,##0} of them");
                break;
            }

            values.Add(shape().Read(new MapReader(node, path, map.Problems)));
        }

        return set(record, [.. values]);
    }

    /// <inheritdoc/>
    public override void Write(T record, JsonObject tree)
    {
        if (get(record).Count > 0 || Always)
        {
            tree[Name] = new JsonArray([.. get(record).Select(r => shape().Write(r))]);
        }
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Problems(T record)
    {
        var values = get(record);
        if (values.Count > Most)
        {
            yield return new Problem(Name, $"{values.Count:#,##0} of them; {Most:#,##0} are the most", Label);
        }

        for (var n = 0; n < values.Count; n++)
        {
            foreach (var problem in shape().Problems(values[n]))
            {
                yield return problem.Below($"{Name}[{n}]");
            }
        }
    }

    /// <inheritdoc/>
    public override T Sound(T record, T blank, List<Problem> dropped)
    {
        var before = dropped.Count;
        List<TPart> kept = [];
        foreach (var item in get(record).Take(Most))
        {
            List<Problem> below = [];
            var sound = shape().Sound(item, below);
            // What a thing cannot be without, such as its name, is still wrong when it is blank: then it is left out whole.
            var rest = shape().Problems(sound).ToList();
            dropped.AddRange(
                below
                    .Concat(rest.Where(r => below.All(b => b.Path != r.Path)))
                    .Select(p => p.Below(key(item) is { Length: > 0 } named ? $"{Name} {Names.Short(Names.Clean(named))}" : Name))
            );
            if (rest.Count == 0)
            {
                kept.Add(sound);
            }
        }

        return dropped.Count == before && kept.Count == get(record).Count ? record : set(record, [.. kept]);
    }

    /// <inheritdoc/>
    public override void Describe(IDictionary<string, IReadOnlyList<FieldText>> tables) => shape().Describe(tables);

    /// <inheritdoc/>
    public override JsonObject Schema(JsonObject parts) =>
        new()
        {
            ["type"] = "array",
            ["items"] = shape().Reference(parts),
            ["maxItems"] = Most,
        };

    /// <inheritdoc/>
    public override T Merge(T common, T theirs, T mine, T into, List<string> clashes)
    {
        var was = get(common).ToDictionary(key, StringComparer.Ordinal);
        var wanted = get(mine).ToDictionary(key, StringComparer.Ordinal);
        var there = get(theirs).Select(key).ToHashSet(StringComparer.Ordinal);
        IEnumerable<TPart?> merged =
        [
            .. get(theirs).Select(r => One(was.GetValueOrDefault(key(r)), r, wanted.GetValueOrDefault(key(r)), clashes)),
            .. get(mine).Where(r => !there.Contains(key(r))).Select(r => One(was.GetValueOrDefault(key(r)), null, r, clashes)),
        ];
        return set(into, [.. merged.OfType<TPart>()]);
    }

    /// <summary>The one that changed an item. Added by both under one key it is the same thing twice, or a clash.</summary>
    private TPart? One(TPart? common, TPart? theirs, TPart? mine, List<string> clashes)
    {
        if (Equals(theirs, mine) || Equals(mine, common))
        {
            return theirs;
        }

        if (!Equals(theirs, common))
        {
            clashes.Add(NameOf((theirs ?? mine ?? common)!));
        }

        return mine;
    }

    /// <inheritdoc/>
    protected override void TellPlainly(T before, T after, Telling telling, string of)
    {
        var had = get(before).ToLookup(key, StringComparer.Ordinal);
        var has = get(after).Select(key).ToHashSet(StringComparer.Ordinal);
        foreach (var item in get(after))
        {
            if (had[key(item)].FirstOrDefault() is not { } was)
            {
                telling.Add(Happened.Came, $"{of}{InWords(item)} added", Known);
            }
            else if (Instead(was, item) is { } words)
            {
                telling.Add(Happened.Changed, of + words, Known);
            }
            else
            {
                shape().Tell(was, item, telling, $"{of}{(Before is null ? $"{Label} {key(item)}" : Before(was))} ");
            }
        }

        foreach (var item in get(before).Where(r => !has.Contains(key(r))))
        {
            telling.Add(Happened.Went, $"{of}{InWords(item)} gone", Known);
        }
    }

    private string InWords(TPart item) => Words is null ? $"{Label} {key(item)}" : Words(item);

    private string NameOf(TPart item) => Called is null ? key(item) : Called(item);
}
