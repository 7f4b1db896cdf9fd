using Yuntak.Core.Labs;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>One value of a step.</summary>
/// <param name="Label">Where it goes.</param>
/// <param name="Value">What to type; of a blank, what it is for.</param>
/// <param name="Literal">Whether it is typed as it stands, such as a path or a line of a file, and shown in the typewriter face.</param>
/// <param name="Run">Whether it is a line that can be run as it stands, as administrator, where the step is done.</param>
/// <param name="Blank">Whether only the person can know it: it is filled in by hand and kept with the step.</param>
public sealed record StepValue(string Label, string Value, bool Literal = false, bool Run = false, bool Blank = false)
{
    /// <summary>A line that can be run as it stands.</summary>
    internal static StepValue Line(string label, string line) => new(label, line, Literal: true, Run: true);

    /// <summary>A value only the person can know.</summary>
    internal static StepValue Ask(string label, string what) => new(label, what, Blank: true);
}
