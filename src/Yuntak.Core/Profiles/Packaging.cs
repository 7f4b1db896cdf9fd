namespace Yuntak.Core.Profiles;

/// <summary>How a service had best be packaged, and why.</summary>
/// <param name="Kind">The way advised.</param>
/// <param name="Reasons">Why, one plain sentence each.</param>
public sealed record Packaging(GuestKind Kind, IReadOnlyList<string> Reasons)
{
    /// <summary>The advice for a profile; common practice.</summary>
    public static Packaging For(Profile profile)
    {
        List<string> reasons = [.. profile.Advice.Split(". ", StringSplitOptions.RemoveEmptyEntries).Select(r => r.TrimEnd('.') + ".")];
        if (profile.MachineOnly)
        {
            reasons.Add("Nothing but a machine will do.");
        }

        reasons.AddRange(profile.Needs.Select(n => $"It needs {n}."));
        return new Packaging(profile.Advised[0], reasons);
    }
}
