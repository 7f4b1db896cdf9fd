namespace Yuntak.Core.Rehearsals;

/// <summary>One thing somebody does in practice.</summary>
/// <param name="Verb">What, by its name in <see cref="PracticeVerbs"/>.</param>
/// <param name="Value">What was typed with it; empty for none.</param>
public sealed record PracticeMove(string Verb, string Value);
