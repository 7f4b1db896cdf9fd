namespace Yuntak.Core.Figures;

/// <summary>A computed number that can be opened: what it is, how it was worked out and from what.</summary>
public interface IFigure
{
    /// <summary>What the number is.</summary>
    string Label { get; }

    /// <summary>The value with its unit, as people read it.</summary>
    string ValueText { get; }

    /// <summary>The working in words and symbols.</summary>
    string Formula { get; }

    /// <summary>The numbers that went in, in the order of the formula.</summary>
    IReadOnlyList<FigureInput> Inputs { get; }

    /// <summary>What stands behind the formula.</summary>
    Source Source { get; }

    /// <summary>Whether any input is a default that nobody has confirmed.</summary>
    bool RestsOnAssumptions { get; }
}
