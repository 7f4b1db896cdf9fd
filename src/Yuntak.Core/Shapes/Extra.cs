using System.Text.Json.Nodes;

namespace Yuntak.Core.Shapes;

/// <summary>Something a file says beside the members of a record; who reads the file deals with it.</summary>
/// <typeparam name="T">The record.</typeparam>
/// <param name="name">Its name in files.</param>
/// <param name="label">What people call it.</param>
/// <param name="expects">What may stand there.</param>
/// <param name="schema">What a JSON Schema says of it.</param>
internal sealed class Extra<T>(string name, string label, string expects, Func<JsonObject> schema) : Field<T>(name, "", label)
{
    /// <inheritdoc/>
    public override string Expects => expects;

    /// <inheritdoc/>
    public override bool Same(T a, T b) => true;

    /// <inheritdoc/>
    public override T Copy(T from, T to) => to;

    /// <inheritdoc/>
    public override T Read(T record, MapReader map)
    {
        map.Find(Name, Needed);
        return record;
    }

    /// <inheritdoc/>
    public override void Write(T record, JsonObject tree) { }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Problems(T record) => [];

    /// <inheritdoc/>
    public override JsonObject Schema(JsonObject parts) => schema();

    /// <inheritdoc/>
    protected override void TellPlainly(T before, T after, Telling telling, string of) { }
}
