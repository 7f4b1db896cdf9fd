using Yuntak.Core.Base;

namespace Yuntak.Core.Figures;

/// <summary>A number that carries its working.</summary>
/// <typeparam name="T">The unit type, such as a size or an amount of cores.</typeparam>
public sealed class Figure<T> : IFigure
    where T : notnull
{
    private readonly Func<T, string>? words;
    private readonly Once<IReadOnlyList<FigureInput>> inputs;

    internal Figure(string label, T value, string formula, Func<IEnumerable<FigureInput>> inputs, Source source, Func<T, string>? words)
    {
        Label = label;
        Value = value;
        Formula = formula;
        Source = source;
        this.words = words;
        this.inputs = new(() => [.. inputs()]);
    }

    /// <inheritdoc/>
    public string Label { get; }

    /// <summary>The number with its unit.</summary>
    public T Value { get; }

    /// <inheritdoc/>
    public string ValueText => words is null ? FigureText.Of(Value) : words(Value);

    /// <inheritdoc/>
    public string Formula { get; }

    /// <inheritdoc/>
    public IReadOnlyList<FigureInput> Inputs => inputs.Value;

    /// <inheritdoc/>
    public Source Source { get; }

    /// <inheritdoc/>
    public bool RestsOnAssumptions => Inputs.Any(i => i.Origin == Origin.Assumed);

    /// <inheritdoc/>
    public override string ToString() => $"{Label} {ValueText}";
}
