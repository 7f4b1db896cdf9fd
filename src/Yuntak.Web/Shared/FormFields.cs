using Yuntak.Core.Base;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Web.Shared;

/// <summary>
/// The fields of a form as they were typed, and the one way from them into a record: each field is read by the shape of the record, so that a form refuses what a
/// file, an edit and the command line refuse, in the same words.
/// </summary>
/// <param name="values">What was typed, by the names of the fields.</param>
internal sealed class FormFields(IReadOnlyDictionary<string, string> values)
{
    /// <summary>No fields.</summary>
    public static readonly FormFields None = new(new Dictionary<string, string>(StringComparer.Ordinal));

    /// <summary>What was typed into a field; nothing when it is not there.</summary>
    public string this[string field] => values.GetValueOrDefault(field, "");

    /// <summary>Everything that was typed.</summary>
    public IEnumerable<KeyValuePair<string, string>> All => values;

    /// <summary>The fields as posted; of a name that came several times, all values with commas between.</summary>
    public static FormFields Of(IFormCollection form) =>
        new(form.ToDictionary(f => f.Key, f => f.Value.ToString(), StringComparer.Ordinal));

    /// <summary>Fields with the values a record has.</summary>
    /// <param name="shape">The shape of the record.</param>
    /// <param name="record">The record.</param>
    /// <param name="called">What some of its members are called in the form.</param>
    public static Dictionary<string, string> From<T>(Shape<T> shape, T record, IReadOnlyDictionary<string, string>? called = null) =>
        shape
            .Fields.OfType<Scalar<T>>()
            .ToDictionary(f => called?.GetValueOrDefault(f.Name, f.Name) ?? f.Name, f => f.Typed(record), StringComparer.Ordinal);

    /// <summary>Whether a field was there.</summary>
    public bool Has(string field) => values.ContainsKey(field);

    /// <summary>The fields with one of them changed.</summary>
    public FormFields With(string field, string value) =>
        new(new Dictionary<string, string>(values, StringComparer.Ordinal) { [field] = value });

    /// <summary>A record with what was typed. Members the form does not ask for stay as they are.</summary>
    /// <param name="shape">The shape of the record.</param>
    /// <param name="record">The record before.</param>
    /// <param name="but">Members that are never taken from a form.</param>
    /// <param name="called">What some members are called in the form.</param>
    /// <exception cref="Refused">Something typed is no such value or outside its limits.</exception>
    public T Into<T>(
        Shape<T> shape,
        T record,
        IReadOnlyCollection<string>? but = null,
        IReadOnlyDictionary<string, string>? called = null
    ) =>
        shape
            .Fields.OfType<Scalar<T>>()
            .Select(f => (Field: f, Name: called?.GetValueOrDefault(f.Name, f.Name) ?? f.Name))
            .Where(f => but?.Contains(f.Field.Name) != true && values.ContainsKey(f.Name))
            .Aggregate(record, (r, f) => f.Field.Set(r, WithUnit(f.Field, values[f.Name])));

    /// <summary>A bare number where a size belongs is in GiB, and a decimal comma is a decimal point.</summary>
    private static string WithUnit<T>(Scalar<T> field, string typed) =>
        field is ScalarOf<T, ByteSize> && Numbers.TryParse(typed, out _) ? typed.Trim() + " GiB"
        : field is ScalarOf<T, double> && Numbers.TryParse(typed, out var number)
            ? number.ToString("R", System.Globalization.CultureInfo.InvariantCulture)
        : typed;
}
