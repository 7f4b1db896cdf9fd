namespace Yuntak.Core.Figures;

/// <summary>A number that carries its working.</summary>
/// <typeparam name="T">The unit type, such as a size or an amount of cores.</typeparam>
public sealed class Figure<T> : IFigure
    where T : notnull
{
    private readonly Lazy<IReadOnlyList<FigureInput>> inputs;

    internal Figure(string label, T value, string formula, Func<IEnumerable<FigureInput>> inputs, Source source)
    {
        Label = label;
        Value = value;
        Formula = formula;
        Source = source;
        this.inputs = new(() => [.. inputs()]);
    }

    /// <inheritdoc/>
    public string Label { get; }

    /// <summary>The number with its unit.</summary>
    public T Value { get; }

    /// <inheritdoc/>
    public string ValueText => FigureText.Of(Value);

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
