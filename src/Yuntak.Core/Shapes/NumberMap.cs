using System.Text.Json.Nodes;
using Yuntak.Core.Base;

namespace Yuntak.Core.Shapes;

/// <summary>A member that is names with numbers, where which names there may be is decided elsewhere.</summary>
/// <typeparam name="T">The record.</typeparam>
/// <param name="name">Its name in files.</param>
/// <param name="member">The member of the record it stands for.</param>
/// <param name="label">What people call it.</param>
/// <param name="get">Names with their numbers.</param>
/// <param name="set">The record with others.</param>
internal sealed class NumberMap<T>(
    string name,
    string member,
    string label,
    Func<T, IEnumerable<(string Name, double Value)>> get,
    Func<T, IEnumerable<(string Name, double Value)>, T> set
) : Field<T>(name, member, label)
{
    private static readonly Codec<double> Number = Codecs.Number(0, double.MaxValue);

    /// <inheritdoc/>
    public override string Expects => "names and numbers";

    /// <inheritdoc/>
    public override bool Same(T a, T b) => get(a).SequenceEqual(get(b));

    /// <inheritdoc/>
    public override T Copy(T from, T to) => set(to, get(from));

    /// <inheritdoc/>
    public override T Read(T record, MapReader map)
    {
        if (map.Find(Name, Needed) is not { } node)
        {
            return record;
        }

        var inner = new MapReader(node, map.Join(Name), map.Problems);
        List<(string, double)> values = [];
        foreach (var known in inner.Names)
        {
            if (inner.Text(known) is not { } text)
            {
                continue;
            }

            if (Number.TryRead(text, out var value))
            {
                values.Add((known, value));
            }
            else
            {
                inner.Note(known, Number.Wrong(text));
            }
        }

        return set(record, values);
    }

    /// <inheritdoc/>
    public override void Write(T record, JsonObject tree)
    {
        var values = get(record).ToList();
        if (values.Count > 0)
        {
            tree[Name] = new JsonObject(values.Select(v => KeyValuePair.Create(v.Name, (JsonNode?)v.Value)));
        }
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Problems(T record) =>
        get(record)
            .Where(v => !Number.Within(v.Value))
            .Select(v => new Problem($"{Name}.{v.Name}", Number.Wrong(Number.Write(v.Value).ToString()), v.Name));

    /// <inheritdoc/>
    public override JsonObject Schema(JsonObject parts) => new() { ["type"] = "object", ["additionalProperties"] = Number.Schema() };

    /// <inheritdoc/>
    protected override void TellPlainly(T before, T after, Telling telling, string of) =>
        telling.Add(Happened.Changed, $"{of}{Label} changed", Known);
}
