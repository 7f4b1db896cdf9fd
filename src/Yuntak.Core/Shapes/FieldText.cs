namespace Yuntak.Core.Shapes;

/// <summary>A member of a record as the table of the lab file has it.</summary>
/// <param name="Name">Its name in files.</param>
/// <param name="Label">What people call it.</param>
/// <param name="Expects">What may stand there.</param>
/// <param name="Needed">Whether a file must say it.</param>
/// <param name="About">A few words more; empty when there are none.</param>
public sealed record FieldText(string Name, string Label, string Expects, bool Needed, string About);
