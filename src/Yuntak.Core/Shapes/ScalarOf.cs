using System.Text.Json.Nodes;
using Yuntak.Core.Base;

namespace Yuntak.Core.Shapes;

/// <summary>A member with a single value of one type.</summary>
/// <typeparam name="T">The record.</typeparam>
/// <typeparam name="TValue">The type of the value.</typeparam>
/// <param name="name">Its name in files and forms.</param>
/// <param name="member">The member of the record it stands for.</param>
/// <param name="label">What people call it.</param>
/// <param name="codec">How the value is written, read and said.</param>
/// <param name="get">The value, and whether there is one.</param>
/// <param name="set">The record with a value, or with none.</param>
public sealed class ScalarOf<T, TValue>(
    string name,
    string member,
    string label,
    Codec<TValue> codec,
    Func<T, (bool Has, TValue Value)> get,
    Func<T, (bool Has, TValue Value), T> set
) : Scalar<T>(name, member, label)
    where TValue : notnull
{
    private string none = "unknown";
    private Func<T, TValue, bool> leftOut = (_, _) => false;
    private bool grows;

    /// <summary>Gives no value a word of its own.</summary>
    public ScalarOf<T, TValue> NoneIs(string word)
    {
        none = word;
        return this;
    }

    /// <summary>Describes a value that grows by itself, so that a growth that was read is no difference.</summary>
    public ScalarOf<T, TValue> ThatGrows()
    {
        grows = true;
        return this;
    }

    /// <summary>Says when a file leaves the value out.</summary>
    public ScalarOf<T, TValue> LeftOutWhen(Func<T, TValue, bool> when)
    {
        leftOut = when;
        return this;
    }

    /// <summary>How the value is written, read and said.</summary>
    public Codec<TValue> Codec => codec;

    /// <inheritdoc/>
    public override string Expects => codec.Expects;

    /// <inheritdoc/>
    public override bool Same(T a, T b) => EqualityComparer<(bool, TValue)>.Default.Equals(get(a), get(b));

    /// <inheritdoc/>
    public override T Copy(T from, T to) => set(to, get(from));

    /// <inheritdoc/>
    public override string Typed(T record) => get(record) is (true, var value) ? codec.Write(value).ToString() : "";

    /// <inheritdoc/>
    public override T Set(T record, string typed)
    {
        if (typed.Trim().Length == 0)
        {
            return set(record, default);
        }

        return codec.TryRead(typed, out var value) ? set(record, (true, value)) : throw new Refused(Wrong(codec.Wrong(typed)).Sentence);
    }

    /// <inheritdoc/>
    public override T Read(T record, MapReader map)
    {
        if (map.Text(Name, Needed) is not { } text)
        {
            return record;
        }

        if (codec.TryRead(text, out var value))
        {
            return set(record, (true, value));
        }

        map.Note(Name, codec.Wrong(text));
        return record;
    }

    /// <inheritdoc/>
    public override void Write(T record, JsonObject tree)
    {
        if (get(record) is (true, var value) && !leftOut(record, value))
        {
            tree[Name] = codec.Write(value);
        }
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Problems(T record) =>
        get(record) is (true, var value) && !codec.Within(value) ? [Wrong(codec.Wrong(codec.Write(value).ToString()))] : [];

    /// <inheritdoc/>
    public override JsonObject Schema(JsonObject parts) => codec.Schema();

    /// <inheritdoc/>
    protected override void TellPlainly(T before, T after, Telling telling, string of)
    {
        var (was, now) = (get(before), get(after));
        if (grows && telling.Reading && !(was.Has && now.Has && Comparer<TValue>.Default.Compare(now.Value, was.Value) < 0))
        {
            return;
        }

        telling.Change(of + Label, Said(was), Said(now), Known);
    }

    private string Said((bool Has, TValue Value) value) => value.Has ? codec.Say(value.Value) : none;

    private Problem Wrong(string text) => new(Name, text, Label);
}
