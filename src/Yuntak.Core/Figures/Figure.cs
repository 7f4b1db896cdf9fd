namespace Yuntak.Core.Figures;

/// <summary>Makes figures.</summary>
internal static class Figure
{
    /// <summary>A figure whose inputs are listed only when somebody opens it, so that an assessment of many guests stays quick.</summary>
    /// <param name="label">What the number is.</param>
    /// <param name="value">The number with its unit.</param>
    /// <param name="formula">The working in words and symbols.</param>
    /// <param name="inputs">Lists the numbers that went in.</param>
    /// <param name="source">What stands behind the formula; arithmetic when left out.</param>
    /// <param name="words">The value in words, where its type would say it in another unit.</param>
    public static Figure<T> Of<T>(
        string label,
        T value,
        string formula,
        Func<IEnumerable<FigureInput>> inputs,
        Source? source = null,
        Func<T, string>? words = null
    )
        where T : notnull => new(label, value, formula, inputs, source ?? Source.Arithmetic, words);
}
