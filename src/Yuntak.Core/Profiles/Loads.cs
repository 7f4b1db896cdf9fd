using Yuntak.Core.Base;
using Yuntak.Core.Shapes;
using Yuntak.Core.Units;

namespace Yuntak.Core.Profiles;

/// <summary>Checks on what people say about loads.</summary>
public static class Loads
{
    /// <summary>What is wrong with a load: the profile does not know it, or it is outside its sensible range; null when nothing is.</summary>
    public static string? Problem(Profile profile, string id, double value)
    {
        if (profile.Loads.FirstOrDefault(l => l.Id == id) is not { } spec)
        {
            return $"{Names.A(profile.Name, capital: true)} is not asked about «{Names.Short(id)}». It is asked about: {string.Join(", ", profile.Loads.Select(l => l.Id))}.";
        }

        return value >= spec.Min && value <= spec.Max
            ? null
            : $"{spec.Label}: {Numbers.Short(spec.Min)} to {Numbers.Short(spec.Max)}{(spec.Unit.Length > 0 ? " " + spec.Unit : "")}; {Numbers.Exact(value)} was given.";
    }

    /// <summary>Refuses a load with a problem.</summary>
    /// <exception cref="Refused">With the range in the message.</exception>
    public static void Check(Profile profile, string id, double value)
    {
        if (Problem(profile, id, value) is { } problem)
        {
            throw new Refused(problem);
        }
    }
}
