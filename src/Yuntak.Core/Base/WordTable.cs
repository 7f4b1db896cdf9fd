namespace Yuntak.Core.Base;

/// <summary>
/// The words for the values of an enumeration, two columns of one table: the word that files, forms and the command line use, which is a promise, and the
/// words people read, which may change. Where a value has several rows the first is the one written; the others are read too.
/// </summary>
/// <typeparam name="T">The enumeration.</typeparam>
public sealed class WordTable<T>
    where T : struct, Enum
{
    private readonly (T Value, string Word, string Display)[] rows;
    private readonly Dictionary<T, (string Word, string Display)> byValue = [];
    private readonly Dictionary<string, T> byWord = new(StringComparer.Ordinal);

    /// <summary>Makes a table; every value must have a row.</summary>
    public WordTable(params (T Value, string Word, string Display)[] rows)
    {
        this.rows = rows;
        foreach (var (value, word, display) in rows)
        {
            byValue.TryAdd(value, (word, display));
            byWord.Add(word, value);
        }
    }

    /// <summary>Every word that is understood, in order.</summary>
    public IEnumerable<string> Known => rows.Select(r => r.Word);

    /// <summary>Every value, in the order of the table.</summary>
    public IEnumerable<T> Values => byValue.Keys;

    /// <summary>The word that files use.</summary>
    public string Word(T value) => byValue[value].Word;

    /// <summary>The words people read.</summary>
    public string Display(T value) => byValue[value].Display;

    /// <summary>The value of a word as files write it; nothing else is understood, numbers least of all.</summary>
    public bool TryRead(string? word, out T value) => byWord.TryGetValue((word ?? "").Trim(), out value);

    /// <summary>The value of a word.</summary>
    /// <param name="word">The word.</param>
    /// <param name="what">What it stands for, for the message.</param>
    /// <exception cref="Refused">There is no such word.</exception>
    public T Read(string? word, string what) => TryRead(word, out var value) ? value : throw new Refused($"{what}: {Wrong(word)}.");

    /// <summary>What is wrong with a word that is none of the table's.</summary>
    public string Wrong(string? word) => $"one of {string.Join(", ", Known)} belongs here, not «{Names.Short(word)}»";
}
