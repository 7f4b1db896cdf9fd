using Yuntak.Core.Units;

namespace Yuntak.Core.Profiles;

/// <summary>One thing a profile asks about its load.</summary>
/// <param name="Id">Its name in files and on the command line.</param>
/// <param name="Label">The question in the person's words.</param>
/// <param name="Unit">The unit shown after the number; empty for a plain count.</param>
/// <param name="Says">The load in a sentence, with {0} for the number and its unit: «{0} cameras».</param>
/// <param name="Default">What a household usually has.</param>
/// <param name="Min">The least that makes sense.</param>
/// <param name="Max">The most that makes sense.</param>
/// <param name="Step">The step of the input; 1 for whole numbers.</param>
/// <param name="YesNo">Whether it is a question of yes (1) or no (0).</param>
/// <param name="ForTheRecord">Whether it only says how much is asked for: no figure of the profile grows with it.</param>
public sealed record LoadSpec(
    string Id,
    string Label,
    string Unit,
    string Says,
    double Default,
    double Min,
    double Max,
    double Step = 1,
    bool YesNo = false,
    bool ForTheRecord = false
)
{
    /// <summary>The load in a few words; nothing for a question answered with no.</summary>
    public string Words(double value) =>
        YesNo && value <= 0
            ? ""
            : Says.Replace("{0}", Numbers.Short(value) + (Unit.Length > 0 ? Numbers.ThinSpace + Unit : ""), StringComparison.Ordinal);
}
