namespace Yuntak.Core.Shapes;

/// <summary>Short ways to describe the members of one record.</summary>
/// <typeparam name="T">The record.</typeparam>
internal static class Of<T>
{
    /// <summary>A value that may be missing.</summary>
    public static ScalarOf<T, TValue> Maybe<TValue>(
        string name,
        string member,
        string label,
        Codec<TValue> codec,
        Func<T, TValue?> get,
        Func<T, TValue?, T> set
    )
        where TValue : struct =>
        new(name, member, label, codec, t => get(t) is { } v ? (true, v) : default, (t, v) => set(t, v.Has ? v.Value : null));

    /// <summary>A text that may be missing.</summary>
    public static ScalarOf<T, string> MaybeText(
        string name,
        string member,
        string label,
        Codec<string> codec,
        Func<T, string?> get,
        Func<T, string?, T> set
    ) =>
        new ScalarOf<T, string>(
            name,
            member,
            label,
            codec,
            t => get(t) is { } v ? (true, v) : (false, ""),
            (t, v) => set(t, v is { Has: true, Value.Length: > 0 } ? v.Value : null)
        );

    /// <summary>A value that is always there; when nothing is said it is the usual one, which a file leaves out.</summary>
    public static ScalarOf<T, TValue> Value<TValue>(
        string name,
        string member,
        string label,
        Codec<TValue> codec,
        TValue usual,
        Func<T, TValue> get,
        Func<T, TValue, T> set
    )
        where TValue : notnull =>
        new ScalarOf<T, TValue>(name, member, label, codec, t => (true, get(t)), (t, v) => set(t, v.Has ? v.Value : usual)).LeftOutWhen(
            (_, v) => EqualityComparer<TValue>.Default.Equals(v, usual)
        );

    /// <summary>A value that is always there and always said.</summary>
    public static Field<T> Always<TValue>(
        string name,
        string member,
        string label,
        Codec<TValue> codec,
        TValue blank,
        Func<T, TValue> get,
        Func<T, TValue, T> set
    )
        where TValue : notnull =>
        new ScalarOf<T, TValue>(name, member, label, codec, t => (true, get(t)), (t, v) => set(t, v.Has ? v.Value : blank)).IsNeeded();
}
