using System.Text.Json.Nodes;
using Yuntak.Core.Base;

namespace Yuntak.Core.Shapes;

/// <summary>How one sort of value is written, read, held against its limits and said.</summary>
/// <typeparam name="TValue">The type of the value.</typeparam>
public abstract class Codec<TValue>
    where TValue : notnull
{
    /// <summary>What belongs here, in words: «a whole number from 1 to 64».</summary>
    public abstract string Expects { get; }

    /// <summary>What a file holds for the value: text, a number, yes or no.</summary>
    public abstract JsonNode Write(TValue value);

    /// <summary>Reads what somebody typed; false when it is no such value or outside its limits.</summary>
    public abstract bool TryRead(string text, out TValue value);

    /// <summary>Whether a value keeps its limits.</summary>
    public abstract bool Within(TValue value);

    /// <summary>The value as people read it.</summary>
    public abstract string Say(TValue value);

    /// <summary>The value in a JSON Schema.</summary>
    public abstract JsonObject Schema();

    /// <summary>What is wrong with a text.</summary>
    public virtual string Wrong(string text) => $"{Expects} belongs here, not «{Names.Short(Names.Clean(text))}»";
}
