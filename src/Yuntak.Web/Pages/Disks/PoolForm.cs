using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;
using Yuntak.Data;
using Yuntak.Web.Shared;

namespace Yuntak.Web.Pages.Disks;

/// <summary>What was typed about a pool, kept as typed so that nothing is lost when something in it is wrong.</summary>
public sealed class PoolForm
{
    /// <summary>What some members are called in the form.</summary>
    private static readonly Dictionary<string, string> Called = new(StringComparer.Ordinal) { ["already-used"] = "used" };

    private static readonly string[] Boxes = ["thin", "spare-ready", "kept-as-found"];

    private readonly FormFields fields;
    private readonly IReadOnlyList<string> takes;

    private PoolForm(FormFields fields, IReadOnlyList<string> takes) => (this.fields, this.takes) = (fields, takes);

    /// <summary>What was typed into a field; nothing when it was left empty.</summary>
    public string this[string field] => fields[field];

    /// <summary>Whether a kind of content was ticked.</summary>
    public bool Takes(ContentKind kind) => takes.Contains(LabWords.Contents.Word(kind));

    /// <summary>The form of a pool that is there.</summary>
    public static PoolForm Of(Pool pool)
    {
        var values = FormFields.From(PoolShapes.Pool, pool, Called);
        values["used"] = pool.AlreadyUsed == Core.Units.ByteSize.Zero ? "" : values["used"];
        values["compression"] = pool.Compression is 1 ? "" : values["compression"];
        values["encrypted"] = pool.Encrypted.YesNo() ?? "";
        values["key-places"] = string.Join('\n', pool.KeyPlaces);
        return new PoolForm(new FormFields(values), [.. pool.Takes.Select(LabWords.Contents.Word)]);
    }

    /// <summary>The form as posted. A box that was not ticked does not come.</summary>
    public static PoolForm Read(IFormCollection form)
    {
        var posted = Boxes.Aggregate(FormFields.Of(form), (f, box) => f.With(box, f[box].Length > 0 ? "true" : "false"));
        return new PoolForm(posted, [.. form["takes"].OfType<string>()]);
    }

    /// <summary>The pool with what was typed.</summary>
    /// <exception cref="Refused">Something typed does not make sense.</exception>
    public Pool ToPool(Pool before) =>
        fields.Into(PoolShapes.Pool, before, called: Called) with
        {
            Takes = [.. takes.Select(t => LabWords.Contents.Read(t, "What it is for")).Distinct()],
            KeyPlaces = [.. fields["key-places"].Split('\n').Select(Names.Clean).Where(p => p.Length > 0)],
        };
}
