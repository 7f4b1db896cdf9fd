using System.Text.Json.Nodes;

namespace Yuntak.Core.Shapes;

/// <summary>
/// The one description of a record. The lab file both ways, its JSON Schema and its table, the limits at every door, the words of a difference, the merge of
/// two changes and the generators of the tests all read it.
/// </summary>
/// <typeparam name="T">The record.</typeparam>
/// <param name="name">What people call one of them.</param>
/// <param name="blank">A record with nothing in it, which reading begins from.</param>
/// <param name="fields">Its members, in the order files have them.</param>
public sealed class Shape<T>(string name, T blank, params IReadOnlyList<Field<T>> fields)
{
    /// <summary>What people call one of them.</summary>
    public string Name => name;

    /// <summary>A record with nothing in it.</summary>
    public T Blank => blank;

    /// <summary>Its members, in the order files have them.</summary>
    public IReadOnlyList<Field<T>> Fields => fields;

    /// <summary>What is wrong between several members, each of them sound by itself.</summary>
    public Func<T, IEnumerable<Problem>> Check { get; init; } = _ => [];

    /// <summary>A member with a single value.</summary>
    /// <exception cref="KeyNotFoundException">There is none of that name.</exception>
    public Scalar<T> this[string field] =>
        fields.OfType<Scalar<T>>().FirstOrDefault(f => f.Name == field) ?? throw new KeyNotFoundException($"{name} has no «{field}».");

    /// <summary>Reads a record from a file. What is wrong is noted; unknown names are wrong too.</summary>
    public T Read(MapReader map)
    {
        var record = blank;
        foreach (var field in fields)
        {
            record = field.Read(record, map);
        }

        map.Done();
        return record;
    }

    /// <summary>The record as a file has it; what says nothing is left out.</summary>
    public JsonObject Write(T record)
    {
        var tree = new JsonObject();
        foreach (var field in fields)
        {
            field.Write(record, tree);
        }

        return tree;
    }

    /// <summary>Everything wrong with a record: members outside their limits or, when none is, members that do not go together.</summary>
    public IEnumerable<Problem> Problems(T record)
    {
        var any = false;
        foreach (var problem in fields.SelectMany(f => f.Problems(record)))
        {
            any = true;
            yield return problem;
        }

        if (any)
        {
            yield break;
        }

        foreach (var problem in Check(record))
        {
            yield return problem;
        }
    }

    /// <summary>A record that was read from a machine, with only what may be kept: members outside their limits are left out and noted. Such as members that do not go together remain.</summary>
    public T Sound(T record, List<Problem> dropped) => fields.Aggregate(record, (r, field) => field.Sound(r, blank, dropped));

    /// <summary>Says how two forms of a record differ.</summary>
    /// <param name="before">One.</param>
    /// <param name="after">The other.</param>
    /// <param name="telling">Where the words go.</param>
    /// <param name="of">The thing it is, with a blank behind it; empty for the record itself.</param>
    public void Tell(T before, T after, Telling telling, string of = "")
    {
        foreach (var field in fields)
        {
            field.Tell(before, after, telling, of);
        }
    }

    /// <summary>Whether two records differ in nothing but what is only known or said.</summary>
    public bool SameButKnown(T a, T b) => fields.All(f => f.Known || f.Same(a, b));

    /// <summary>What stands, with all that is only known or said of it taken over from a draft.</summary>
    public T WithKnown(T stands, T draft) => fields.Where(f => f.Known).Aggregate(stands, (record, field) => field.Copy(draft, record));

    /// <summary>Joins two changes of one record made at the same time, member by member; lists of records item by item.</summary>
    /// <param name="common">What both started from.</param>
    /// <param name="theirs">As one changed it.</param>
    /// <param name="mine">As the other did.</param>
    /// <param name="clashes">The names of what both changed, and differently.</param>
    public T Merge(T common, T theirs, T mine, List<string> clashes) =>
        fields.Aggregate(theirs, (into, field) => field.Merge(common, theirs, mine, into, clashes));

    /// <summary>Adds this record and all it leads to, to a table of records.</summary>
    /// <param name="tables">The members of records, by what people call one.</param>
    public void Describe(IDictionary<string, IReadOnlyList<FieldText>> tables)
    {
        if (tables.TryAdd(name, [.. fields.Select(f => new FieldText(f.Name, f.Label, f.Expects, f.Needed, f.About))]))
        {
            foreach (var field in fields)
            {
                field.Describe(tables);
            }
        }
    }

    /// <summary>A reference to the schema of this record, which is added to the others when it is not there yet.</summary>
    public JsonObject Reference(JsonObject parts)
    {
        var key = name.Replace(' ', '-');
        if (!parts.ContainsKey(key))
        {
            parts[key] = new JsonObject();
            parts[key] = Schema(parts);
        }

        return new JsonObject { ["$ref"] = $"#/definitions/{key}" };
    }

    /// <summary>The schema of this record.</summary>
    public JsonObject Schema(JsonObject parts)
    {
        var properties = new JsonObject();
        foreach (var field in fields)
        {
            var schema = field.Schema(parts);
            if (field.About.Length > 0 && !schema.ContainsKey("$ref"))
            {
                schema["description"] = field.About;
            }

            properties[field.Name] = schema;
        }

        return new JsonObject
        {
            ["type"] = "object",
            ["properties"] = properties,
            ["required"] = new JsonArray([.. fields.Where(f => f.Needed).Select(f => (JsonNode)f.Name)]),
            ["additionalProperties"] = false,
        };
    }
}
