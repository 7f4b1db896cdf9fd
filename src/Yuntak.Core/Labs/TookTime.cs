namespace Yuntak.Core.Labs;

/// <summary>How long a kind of step took here, as somebody measured it, in parts of what was expected.</summary>
/// <param name="Act">The kind of step.</param>
/// <param name="Factor">Minutes it took for each minute that was expected; the running mean of the last few times.</param>
/// <param name="Times">How often it was measured.</param>
public sealed record TookTime(string Act, double Factor, int Times = 1)
{
    /// <summary>The least and the most a measured time may be of what was expected.</summary>
    public const double Least = 0.01;

    /// <inheritdoc cref="Least"/>
    public const double Most = 100;

    /// <summary>After so many times an old one weighs no more than a new one.</summary>
    private const int Remembered = 4;

    /// <summary>The same with one more measurement.</summary>
    /// <param name="factor">Minutes it took for each minute that was expected before anything was measured.</param>
    public TookTime With(double factor)
    {
        var weight = Math.Min(Times, Remembered);
        return this with { Factor = ((Factor * weight) + factor) / (weight + 1), Times = Times + 1 };
    }
}
