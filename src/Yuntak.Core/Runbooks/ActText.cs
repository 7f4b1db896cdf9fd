using Yuntak.Core.Base;

namespace Yuntak.Core.Runbooks;

/// <summary>What an act says to the person who does it.</summary>
/// <param name="What">What to do, in one line.</param>
/// <param name="Values">Exact values to type.</param>
/// <param name="Check">How to see that it worked.</param>
/// <param name="IfNot">What to do when it did not.</param>
/// <param name="WayBack">How to undo it.</param>
/// <param name="Caution">What may hurt somebody or destroy data.</param>
public sealed record ActText(string What, ValueList<StepValue> Values, string Check, string IfNot, string WayBack, string? Caution = null);
