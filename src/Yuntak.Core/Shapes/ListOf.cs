using System.Text.Json.Nodes;
using Yuntak.Core.Base;

namespace Yuntak.Core.Shapes;

/// <summary>A member with several values of one type.</summary>
/// <typeparam name="T">The record.</typeparam>
/// <typeparam name="TValue">The type of a value.</typeparam>
/// <param name="name">Its name in files.</param>
/// <param name="member">The member of the record it stands for.</param>
/// <param name="label">What people call it.</param>
/// <param name="codec">How a value is written, read and said.</param>
/// <param name="get">The values.</param>
/// <param name="set">The record with other values.</param>
internal sealed class ListOf<T, TValue>(
    string name,
    string member,
    string label,
    Codec<TValue> codec,
    Func<T, ValueList<TValue>> get,
    Func<T, ValueList<TValue>, T> set
) : Field<T>(name, member, label)
    where TValue : notnull
{
    /// <summary>The most values.</summary>
    public int Most { get; init; } = 1_000;

    /// <summary>The word for no value.</summary>
    public string None { get; init; } = "nothing";

    /// <summary>Whether an empty list is written too.</summary>
    public bool Always { get; init; }

    /// <inheritdoc/>
    public override string Expects => $"a list; each {codec.Expects}";

    /// <summary>How a value is written, read and said.</summary>
    public Codec<TValue> Codec => codec;

    /// <summary>The values.</summary>
    public ValueList<TValue> Values(T record) => get(record);

    /// <summary>The record with other values.</summary>
    public T With(T record, ValueList<TValue> values) => set(record, values);

    /// <inheritdoc/>
    public override bool Same(T a, T b) => get(a) == get(b);

    /// <inheritdoc/>
    public override T Copy(T from, T to) => set(to, get(from));

    /// <inheritdoc/>
    public override T Read(T record, MapReader map)
    {
        List<TValue> values = [];
        foreach (var (node, path) in map.Items(Name, Needed))
        {
            map.Problems.At(path, node.Line);
            if (node.Text is not { } text)
            {
                map.Problems.Note(path, "a single value belongs here");
            }
            else if (codec.TryRead(text, out var value))
            {
                values.Add(value);
            }
            else
            {
                map.Problems.Note(path, codec.Wrong(text));
            }
        }

        return set(record, [.. values]);
    }

    /// <inheritdoc/>
    public override void Write(T record, JsonObject tree)
    {
        if (get(record) is { Count: > 0 } || Always)
        {
            tree[Name] = new JsonArray([.. get(record).Select(v => codec.Write(v))]);
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
            if (!codec.Within(values[n]))
            {
                yield return new Problem($"{Name}[{n}]", codec.Wrong(codec.Write(values[n]).ToString()), Label);
            }
        }
    }

    /// <inheritdoc/>
    public override JsonObject Schema(JsonObject parts) =>
        new()
        {
            ["type"] = "array",
            ["items"] = codec.Schema(),
            ["maxItems"] = Most,
        };

    /// <inheritdoc/>
    protected override void TellPlainly(T before, T after, Telling telling, string of) =>
        telling.Change(of + Label, Listed(get(before)), Listed(get(after)), Known);

    private string Listed(ValueList<TValue> values) =>
        values.Count == 0 ? None : string.Join(", ", values.Select(v => codec.Say(v)).Order(StringComparer.Ordinal));
}
