using Yuntak.Core.Base;
using Yuntak.Core.Labs;
using Yuntak.Core.Wires;

namespace Yuntak.Core.Runbooks;

/// <summary>What an act says to the person who does it.</summary>
/// <param name="What">What to do, in one line.</param>
/// <param name="Values">Exact values to type.</param>
/// <param name="Check">How to see that it worked.</param>
/// <param name="IfNot">What to do when it did not.</param>
/// <param name="WayBack">How to undo it.</param>
/// <param name="Caution">What may hurt somebody or destroy data.</param>
/// <param name="Proves">Lines that end well when the check holds, run where the step is done; none where only a person can tell.</param>
public sealed record ActText(
    string What,
    ValueList<StepValue> Values,
    string Check,
    string IfNot,
    string WayBack,
    string? Caution = null,
    ValueList<string> Proves = default
);
