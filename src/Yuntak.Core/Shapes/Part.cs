using System.Text.Json.Nodes;

namespace Yuntak.Core.Shapes;

/// <summary>A member that is a record of its own, or nothing.</summary>
/// <typeparam name="T">The record.</typeparam>
/// <typeparam name="TPart">The inner record.</typeparam>
/// <param name="name">Its name in files.</param>
/// <param name="member">The member of the record it stands for.</param>
/// <param name="label">What people call it; before the names of its members in differences.</param>
/// <param name="shape">The shape of the inner record; asked for late, so that shapes may name each other.</param>
/// <param name="get">The inner record; null for none.</param>
/// <param name="set">The record with another inner one, or none.</param>
internal sealed class Part<T, TPart>(
    string name,
    string member,
    string label,
    Func<Shape<TPart>> shape,
    Func<T, TPart?> get,
    Func<T, TPart?, T> set
) : Field<T>(name, member, label)
    where TPart : class
{
    /// <summary>What is compared with nothing, in differences.</summary>
    public Func<T, TPart>? Otherwise { get; init; }

    /// <inheritdoc/>
    public override string Expects => $"names and values, see *{shape().Name}*";

    /// <summary>The shape of the inner record.</summary>
    public Shape<TPart> Shape => shape();

    /// <summary>The inner record; null for none.</summary>
    public TPart? Value(T record) => get(record);

    /// <summary>The record with another inner one.</summary>
    public T With(T record, TPart? value) => set(record, value);

    /// <inheritdoc/>
    public override bool Same(T a, T b) => EqualityComparer<TPart?>.Default.Equals(get(a), get(b));

    /// <inheritdoc/>
    public override T Copy(T from, T to) => set(to, get(from));

    /// <inheritdoc/>
    public override T Read(T record, MapReader map) =>
        map.Find(Name, Needed) is { } node ? set(record, shape().Read(new MapReader(node, map.Join(Name), map.Problems))) : record;

    /// <inheritdoc/>
    public override void Write(T record, JsonObject tree)
    {
        if (get(record) is { } value)
        {
            tree[Name] = shape().Write(value);
        }
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Problems(T record) =>
        get(record) is { } value ? shape().Problems(value).Select(p => p.Below(Name)) : [];

    /// <inheritdoc/>
    public override T Sound(T record, T blank, List<Problem> dropped)
    {
        if (get(record) is not { } value)
        {
            return record;
        }

        List<Problem> below = [];
        var sound = shape().Sound(value, below);
        var rest = shape().Problems(sound).ToList();
        below = [.. below.UnionBy(rest, p => p.Path)];
        dropped.AddRange(below.Select(p => p.Below(Name)));
        return below.Count == 0 ? record : set(record, rest.Count > 0 ? null : sound);
    }

    /// <inheritdoc/>
    public override void Describe(IDictionary<string, IReadOnlyList<FieldText>> tables) => shape().Describe(tables);

    /// <inheritdoc/>
    public override JsonObject Schema(JsonObject parts) => shape().Reference(parts);

    /// <inheritdoc/>
    protected override void TellPlainly(T before, T after, Telling telling, string of)
    {
        var (was, now) = (get(before) ?? Otherwise?.Invoke(before), get(after) ?? Otherwise?.Invoke(after));
        var inner = Label.Length == 0 ? of : $"{of}{Label} ";
        if (was is null || now is null)
        {
            telling.Add(was is null ? Happened.Came : Happened.Went, $"{of}{Label} {(was is null ? "added" : "gone")}", Known);
        }
        else
        {
            shape().Tell(was, now, telling, inner);
        }
    }
}
