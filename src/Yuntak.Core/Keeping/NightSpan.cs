namespace Yuntak.Core.Keeping;

/// <summary>A time in which something ran at one rate.</summary>
/// <param name="Piece">Which of its pieces ran, from 0.</param>
/// <param name="From">When it began, in seconds.</param>
/// <param name="To">When it ended, in seconds.</param>
/// <param name="Rate">The rate, in bytes a second.</param>
public sealed record NightSpan(int Piece, double From, double To, double Rate);
