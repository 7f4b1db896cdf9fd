namespace Yuntak.Core.Figures;

/// <summary>One number that went into a figure.</summary>
/// <param name="Label">What it is, in a few words.</param>
/// <param name="Value">The value with its unit; written out only when somebody opens the figure.</param>
/// <param name="Origin">Where it came from.</param>
/// <param name="Note">Anything that helps to judge it.</param>
public sealed record FigureInput(string Label, object Value, Origin Origin = Origin.Computed, string? Note = null)
{
    /// <summary>The value as people read it.</summary>
    public string ValueText => FigureText.Of(Value);
}
