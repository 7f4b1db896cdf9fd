namespace Yuntak.Core.Runbooks;

/// <summary>One value to type.</summary>
/// <param name="Label">Where it goes.</param>
/// <param name="Value">What to type.</param>
/// <param name="Literal">Whether it is typed as it stands, such as a path or a line of a file, and shown in the typewriter face.</param>
public sealed record StepValue(string Label, string Value, bool Literal = false);
