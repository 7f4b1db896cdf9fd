using Yuntak.Core.Edits;
using Yuntak.Core.Units;

namespace Yuntak.Core.Wants;

/// <summary>Checks on what people say about loads.</summary>
public static class Loads
{
    /// <summary>Refuses a load the profile does not know, or one outside its sensible range.</summary>
    /// <exception cref="EditRefused">With the range in the message.</exception>
    public static void Check(Profile profile, string id, double value)
    {
        var spec =
            profile.Loads.FirstOrDefault(l => l.Id == id)
            ?? throw new EditRefused(
                $"A {profile.Name} is not asked about «{id}». It is asked about: {string.Join(", ", profile.Loads.Select(l => l.Id))}."
            );
        if (!(value >= spec.Min && value <= spec.Max))
        {
            throw new EditRefused(
                $"{spec.Label}: {Numbers.Short(spec.Min)} to {Numbers.Short(spec.Max)}{(spec.Unit.Length > 0 ? " " + spec.Unit : "")}; {Numbers.Short(value)} was given."
            );
        }
    }
}
