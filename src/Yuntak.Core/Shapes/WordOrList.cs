using System.Text.Json.Nodes;
using Yuntak.Core.Base;

namespace Yuntak.Core.Shapes;

/// <summary>A member that is a list of numbers, where some lists have a name.</summary>
/// <typeparam name="T">The record.</typeparam>
/// <param name="name">Its name in files.</param>
/// <param name="member">The member of the record it stands for.</param>
/// <param name="label">What people call it.</param>
/// <param name="codec">How a number is written, read and said.</param>
/// <param name="named">The lists with a name.</param>
/// <param name="get">The list.</param>
/// <param name="set">The record with another.</param>
internal sealed class WordOrList<T>(
    string name,
    string member,
    string label,
    Codec<double> codec,
    IReadOnlyList<(string Word, ValueList<double> List)> named,
    Func<T, ValueList<double>> get,
    Func<T, ValueList<double>, T> set
) : Field<T>(name, member, label)
{
    private readonly ListOf<T, double> plain = new(name, member, label, codec, get, set) { Always = true };

    /// <inheritdoc/>
    public override string Expects => $"one of {string.Join(", ", named.Select(n => n.Word))}, or a list of numbers";

    /// <inheritdoc/>
    public override bool Same(T a, T b) => get(a) == get(b);

    /// <inheritdoc/>
    public override T Copy(T from, T to) => set(to, get(from));

    /// <inheritdoc/>
    public override T Read(T record, MapReader map)
    {
        if (map.Find(Name, Needed) is not { Text: { } word })
        {
            return map.Has(Name) ? plain.Read(record, map) : record;
        }

        foreach (var (known, list) in named)
        {
            if (known == word)
            {
                return set(record, list);
            }
        }

        map.Note(Name, $"{Expects} belongs here, not «{Names.Short(word)}»");
        return record;
    }

    /// <inheritdoc/>
    public override void Write(T record, JsonObject tree)
    {
        foreach (var (word, list) in named)
        {
            if (list == get(record))
            {
                tree[Name] = word;
                return;
            }
        }

        plain.Write(record, tree);
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Problems(T record) => plain.Problems(record);

    /// <inheritdoc/>
    public override JsonObject Schema(JsonObject parts) =>
        new()
        {
            ["oneOf"] = new JsonArray(
                new JsonObject { ["enum"] = new JsonArray([.. named.Select(n => (JsonNode)n.Word)]) },
                plain.Schema(parts)
            ),
        };

    /// <inheritdoc/>
    protected override void TellPlainly(T before, T after, Telling telling, string of) =>
        telling.Add(Happened.Changed, $"{of}{Label} changed", Known);
}
